import type { FaultKind } from './faultKind.ts';
import { FAULT_KINDS } from './faultKinds.ts';

type Kind = (typeof FAULT_KINDS)[number];
export type Fault = Kind['fault'];
type CauseWord = Kind['cause'];

const KINDS: ReadonlyArray<FaultKind & { readonly fault: Fault; readonly cause: CauseWord }> = FAULT_KINDS;
const BY_NAME: ReadonlyMap<string, (typeof KINDS)[number]> = new Map(KINDS.map((kind) => [kind.fault, kind]));

/** Every fault, in the order they are listed. */
export const FAULTS: readonly Fault[] = KINDS.map(({ fault }) => fault);

/** The links of the signal chain, and the other reasons, that an answer may name. */
export const CAUSES = [...new Set(KINDS.map(({ cause }) => cause))] as unknown as readonly [
  CauseWord,
  ...CauseWord[],
];

const byCause = (of: (kind: FaultKind) => string): Readonly<Record<CauseWord, string>> =>
  Object.fromEntries(KINDS.map((kind) => [kind.cause, of(kind)])) as Record<CauseWord, string>;

/** Each cause as a counter person would say it. */
export const CAUSE_IN_WORDS = byCause(({ words }) => words);
export const CAUSE_SHORT = byCause(({ short }) => short);

/** The contract's word for a fault. */
export const causeOf = (fault: Fault): CauseWord => (BY_NAME.get(fault) as (typeof KINDS)[number]).cause;

/** Which of a wrong part it is, where the fault is one. */
export const wrongPartOf = (fault: Fault): 'sensor' | 'target' | null => BY_NAME.get(fault)?.wrong ?? null;

/** Faults a wheel end can have of which `holds` tells that what they need is there. */
export const faultsWhere = (holds: (need: FaultKind['needs'][number]) => boolean): Fault[] =>
  KINDS.filter(({ of, needs }) => of === 'wheel-end' && needs.every(holds)).map(({ fault }) => fault);

/** What the faults themselves say of the checks, by table and fault, and their own numbers. */
export const FAULT_SHOWS: ReadonlyArray<readonly [fault: Fault, shows: NonNullable<FaultKind['shows']>]> =
  KINDS.flatMap(({ fault, shows }) => (shows ? [[fault, shows] as const] : []));
export const FAULT_NUMBERS: NonNullable<FaultKind['numbers']> = Object.assign(
  {},
  ...KINDS.map(({ numbers = {} }) => numbers),
) as NonNullable<FaultKind['numbers']>;
