import type { Hit } from '../text/lexicon.ts';
import type { LocatedPosition } from '../positions/locatedPosition.ts';
import type { NumberSaid } from './numbers.ts';
import type { Item } from './words/item.ts';

/** Wheels named together: joined by "and" they are all meant, by "or" one of them. */
export interface PlaceGroup {
  readonly from: number;
  readonly to: number;
  readonly places: readonly LocatedPosition[];
  readonly choice: boolean;
  /** Taken out of all wheels: `all but the rear left`. */
  readonly except?: LocatedPosition;
}

/** An item where it stands. */
export type Said = Hit<Item>;
/** A number where it stands, in tokens as well. */
export type NumberAt = NumberSaid & { readonly from: number; readonly to: number };

/** A clause that speaks of one place at most, with everything that was heard in it. */
export interface Unit {
  readonly index: number;
  readonly from: number;
  readonly to: number;
  readonly sentence: number;
  /** What stands before it. */
  readonly opener: 'start' | 'comma' | 'and' | 'but' | 'colon' | 'since' | 'split';
  readonly group: PlaceGroup | null;
  /** A place that heads what follows: `front left:`. */
  readonly label: boolean;
  readonly items: readonly Said[];
  readonly numbers: readonly NumberAt[];
}

/** Predicates: what may be said of a place. */
export const PREDICATES = new Set<Item['is']>([
  'look',
  'sound',
  'play',
  'rocking',
  'moves',
  'tight',
  'noise',
  'quiet',
  'open',
  'short',
  'jumps',
  'nothing',
  'live',
  'check',
  'deed',
  'complaint',
]);
