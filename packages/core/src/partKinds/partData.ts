import type { PartFigure } from './partFigure.ts';
import type { PartKind } from './partKind.ts';
import { PART_KINDS } from './partKinds.ts';
import type { PartWork } from './partWork.ts';

type Kind = (typeof PART_KINDS)[number];
export type PartClass = Kind['part'];

const KINDS: ReadonlyArray<PartKind & { readonly part: PartClass }> = PART_KINDS;

/** Every class of parts, in the order they are offered. */
export const PART_CLASSES = KINDS.map(({ part }) => part) as unknown as readonly [PartClass, ...PartClass[]];

const byPart = <V>(of: (kind: (typeof KINDS)[number]) => V): Readonly<Record<PartClass, V>> =>
  Object.fromEntries(KINDS.map((kind) => [kind.part, of(kind)])) as Record<PartClass, V>;

export const PART_IN_WORDS = byPart(({ words }) => words);
/** What can be measured or seen on a part of each class, in the order one would take it. */
export const PART_FIGURES: Readonly<Record<PartClass, readonly PartFigure[]>> = byPart(
  ({ figures }) => figures,
);
/** Order of work for each part class, as a careful mechanic would do it. */
export const PART_WORK: Readonly<Record<PartClass, PartWork>> = byPart(({ work }) => work);
/** The event it is when a part of the class was renewed. */
export const RENEWED: Readonly<Record<PartClass, Kind['renewed']>> = byPart(
  ({ renewed }) => renewed as Kind['renewed'],
);
export const RENEWED_IN_WORDS = Object.fromEntries(
  KINDS.map(({ renewed, renewedWords }) => [renewed, renewedWords]),
) as Readonly<Record<Kind['renewed'], string>>;

type Trait = 'isSensor' | 'drawsSensor' | 'singleUse' | 'movesKnuckle' | 'bothSides' | 'onLoom';
/** Classes that have a trait. */
export const partsThat = (trait: Trait): ReadonlySet<PartClass> =>
  new Set(KINDS.filter((kind) => kind[trait]).map(({ part }) => part));

/** Classes that exist at a wheel or at a sender in the middle of an axle, where what they need is there. */
export const partsWhere = (
  at: 'wheel' | 'centre',
  holds: (need: PartKind['needs'][number]) => boolean,
): PartClass[] =>
  // What belongs to the place comes before what fits any.
  [...KINDS.filter((kind) => kind.at === at), ...KINDS.filter((kind) => kind.at === 'any')]
    .filter((kind) => kind.needs.every(holds))
    .map(({ part }) => part);

/** Parts fitted in one job, the main one first. */
export const PAIRS = KINDS.flatMap(({ part, alongside }): Array<readonly [PartClass, PartClass]> =>
  alongside ? [[part, alongside as PartClass]] : [],
);
