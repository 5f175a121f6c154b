import type { Fault } from '../faultKinds/faultData.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Sensing } from './architecture.ts';
import { memo } from './memo.ts';
import type { SensedEnd } from './sensedEnd.ts';

/** All that a reading can depend on of how a wheel end is built: what kind of sensor answers. */
export type Answering = Pick<Sensing, 'sensor'>;

/** A chance under one fault, or under none (null), at a wheel end that answers so. */
export type Chance = (fault: Fault | null, answering: Answering) => number;

/**
 * A fact that speaks of one wheel end, as the reasoning uses it.
 *
 * - `present`: something that is there (a code, a named corner); `seen` is its chance under one fault.
 * - `absent`: something that is not there though it was looked for (no code here); `seen` is the chance of its absence.
 * - `check`: a check with several results; `seen` is the chance of the result found, `normal` of the sound result.
 * - `factor`: what was done lately; `seen` multiplies the odds of a fault.
 */
export interface Finding {
  /** Path of the fact in the docket it comes from. */
  readonly path: string;
  readonly label: string;
  /** Null: the fact speaks of the corner complained of, wherever that is. */
  readonly wheelEnd: SensedEnd | null;
  /** Findings that share a mechanism at a wheel end do not count twice. */
  readonly mechanism: string;
  readonly kind: 'present' | 'absent' | 'check' | 'factor';
  readonly seen: Chance;
  readonly normal?: Chance;
  readonly isNormal?: boolean;
  /** Chance of the result found, or of the sound one, under two faults of one mechanism; null where they are two stories. */
  readonly jointly?: (
    faults: readonly Fault[],
    which: 'seen' | 'normal',
    answering: Answering,
  ) => number | null;
  /** False where the reading says nothing in a vehicle built so: it changes nothing there. */
  readonly says?: (answering: Answering) => boolean;
}

/** A complaint of the whole vehicle: any faulty wheel end, or a shared cause, may bring it about. */
export interface Complaint {
  readonly paths: readonly string[];
  readonly label: string;
  readonly leak: number;
  /** Chance that this fault at this wheel end brings it about. `wheelEnd` is null for shared ones. */
  readonly brings: (fault: Fault, wheelEnd: WheelEnd | null) => number;
}

/** A fact that speaks of the shared faults only: the chance of it with and without each. */
export interface SharedFinding {
  readonly path: string;
  readonly label: string;
  readonly seen: (shared: ReadonlySet<Fault>) => number;
}

export interface Evidence {
  readonly findings: readonly Finding[];
  readonly complaints: readonly Complaint[];
  readonly shared: readonly SharedFinding[];
  /** Facts that count for nothing, by path, with why: a repeat, a reading taken again, a place that is not there. */
  readonly setAside: ReadonlyMap<string, string>;
}

/** A number for each fault, asked for once. */
export const keptByFault = <F extends Fault | null>(ask: (fault: F) => number): ((fault: F) => number) => {
  const known = new Map<F, number>();
  return (fault) => memo(known, fault, () => ask(fault));
};

/** Whether a chance does not ask what kind of sensor answers: then it is the same for either. */
const isOfEither = (chance: Chance): boolean => chance.length < 2;

/** Whether a finding is the same whatever kind of sensor answers. */
export const asksNoSensor = ({ seen, normal, jointly, says }: Finding): boolean =>
  !says && (!jointly || jointly.length < 3) && isOfEither(seen) && (!normal || isOfEither(normal));

/**
 * The same chance, looked up once for each fault and kind of sensor: a finding is asked for it in every state, for
 * every fact that is left out to see what it did.
 */
export const onceEach = (chance: Chance): Chance => {
  const answers = {
    passive: keptByFault((fault) => chance(fault, { sensor: 'passive' })),
    active: keptByFault((fault) => chance(fault, { sensor: 'active' })),
  };
  return isOfEither(chance) ? answers.passive : (fault, { sensor }) => answers[sensor](fault);
};
