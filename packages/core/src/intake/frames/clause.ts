import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { CheckKind } from '../../checkKinds/checkKind.ts';
import { CHECK_KINDS } from '../../checkKinds/checkKinds.ts';
import type { CheckName } from '../../checkKinds/checkTypes.ts';
import type { Token } from '../../text/tokens.ts';
import type { Check } from '../../vocabulary/check.ts';
import type { DocketSymptom, HistoryEvent } from '../../vocabulary/docket.ts';
import type { Said, Unit } from '../unit.ts';
import type { Item, Looked, Thing } from '../words/item.ts';

/** What was last spoken of in the sentence, for the clause that leaves it out: `ring fine front right, cracked front left`. */
export interface Topic {
  looked: Looked | null;
  measure: 'ohm' | 'supply' | 'live' | 'play' | 'noise' | null;
}

/** A fact as heard in a clause; which wheel it is of is settled later. */
export interface Heard {
  readonly is: 'check' | 'event' | 'complaint' | 'noise';
  readonly check?: Check;
  readonly event?: HistoryEvent;
  readonly symptom?: DocketSymptom;
  readonly from: number;
  readonly to: number;
  readonly unit: Unit;
  readonly note: string | null;
  /** The clause whose place it shares: an elliptical one has its deed and its wheel from the one before. */
  readonly placeAs?: Unit;
  /** Further words that belong to it, such as when it was. */
  readonly also?: ReadonlyArray<{ readonly from: number; readonly to: number }>;
}

/** A clause with what was heard before it in its sentence. */
export interface Clause {
  readonly unit: Unit;
  readonly tokens: readonly Token[];
  readonly topic: Topic;
  /** The other clauses of its sentence, and where it stands among them. */
  readonly sentence: readonly Unit[];
  /** The clauses of the sentence after. */
  readonly following: readonly Unit[];
  /** Said as a question or a guess: nothing in it is a finding. */
  readonly doubtful: boolean;
  readonly today: string;
  /** Judgement numbers of hearing, `hearing.*`. */
  readonly a: Assumptions;
  /** Whether any lamp of the text is named: a bare "lamp" is then no other one. */
  readonly lampNamed: boolean;
}

export type Frame = (clause: Clause) => Heard[];

type Kind = Item['is'];
type Of<K extends Kind> = Extract<Item, { is: K }>;

/** Items of a kind in a clause. */
export const all = <K extends Kind>(unit: Unit, kind: K): Array<Said & { readonly meaning: Of<K> }> =>
  unit.items.filter((item): item is Said & { readonly meaning: Of<K> } => item.meaning.is === kind);

export const first = <K extends Kind>(unit: Unit, kind: K): (Said & { readonly meaning: Of<K> }) | null =>
  all(unit, kind)[0] ?? null;

export const has = (unit: Unit, ...kinds: Kind[]): boolean =>
  unit.items.some((item) => kinds.includes(item.meaning.is));

/** Whether a clause speaks of a thing. */
export const speaksOf = (unit: Unit, ...things: Thing[]): boolean =>
  all(unit, 'thing').some((item) => things.includes(item.meaning.thing));

/** Whether what stands at a token is denied: a negative stands before it in its clause. */
export const deniedAt = (unit: Unit, at: number): boolean => all(unit, 'not').some((item) => item.to <= at);

const gap = (a: { from: number; to: number }, b: { from: number; to: number }): number =>
  a.to <= b.from ? b.from - a.to : a.from - b.to;

/** Whether a clause says that what it speaks of is over. `never goes out` says the opposite. */
export const isGone = (unit: Unit): boolean =>
  all(unit, 'gone').some((item) => !(item.meaning.verb && deniedAt(unit, item.from)));

/** Whether a clause says that something does not go away. */
export const staysOn = (unit: Unit): boolean =>
  has(unit, 'stays') || all(unit, 'gone').some((item) => item.meaning.verb && deniedAt(unit, item.from));

/** The thing nearest to a span in its clause; of equally near ones the one before it. */
export const nearestThing = (
  unit: Unit,
  span: { from: number; to: number },
  fits: (thing: Thing) => boolean = () => true,
): (Said & { readonly meaning: Of<'thing'> }) | null =>
  all(unit, 'thing')
    .filter((item) => fits(item.meaning.thing) && (item.to <= span.from || item.from >= span.to))
    .sort((x, y) => gap(x, span) - gap(y, span) || x.from - y.from)[0] ?? null;

/** The check of looking at each thing, as the kinds of check say. */
const CHECK_OF: ReadonlyMap<string, CheckName> = new Map(
  CHECK_KINDS.flatMap((kind: CheckKind & { readonly name: CheckName }) =>
    Object.keys(kind.looks ?? {}).map((thing) => [thing, kind.name] as const),
  ),
);

export const LOOKED: ReadonlySet<Thing> = new Set<Thing>(CHECK_OF.keys() as Iterable<Looked>);

/** The check of looking at a thing. */
export const lookAt = (thing: Looked, result: string): Check =>
  ({ check: CHECK_OF.get(thing), result }) as unknown as Check;

/** A check heard at a span. */
export const check = (
  clause: Clause,
  at: { readonly from: number; readonly to: number },
  what: Check,
  note: string | null = null,
): Heard => ({ is: 'check', check: what, from: at.from, to: at.to, unit: clause.unit, note });

/** The span over several items. */
export const spanOf = (
  ...items: ReadonlyArray<{ readonly from: number; readonly to: number } | null | undefined>
): { from: number; to: number } => {
  const there = items.filter((item) => item != null);
  return { from: Math.min(...there.map((s) => s.from)), to: Math.max(...there.map((s) => s.to)) };
};

/** Whether the words of a clause hold one of these. */
export const saysWord = ({ unit, tokens }: Clause, words: RegExp): boolean => {
  for (let i = unit.from; i < unit.to; i++) if (words.test(tokens[i]?.norm ?? '')) return true;
  return false;
};
