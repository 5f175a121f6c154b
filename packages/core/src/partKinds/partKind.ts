import type { Fault } from '../faultKinds/faultData.ts';
import type { PartFigure } from './partFigure.ts';
import type { PartWork } from './partWork.ts';

/** What a wheel end must have for a part of a kind to exist there. */
export type PartNeed = 'separate-sensor' | 'ring' | 'ring-sold-alone' | 'ring-on-shaft';

/** One class of parts a counter hands over: all that is told of it, in one place. */
export interface PartKind {
  readonly part: string;
  readonly words: string;
  /** Sits at a wheel, at the sender in the middle of an axle, or at any. */
  readonly at: 'wheel' | 'centre' | 'any';
  readonly needs: readonly PartNeed[];
  /** Chance that a new one, fitted well, takes the fault away. Counter judgement. */
  readonly cures: Partial<Record<Fault, number>>;
  readonly curesWhy?: string;
  /** What it takes away beside, where it brings something built in: by how the wheel end senses. */
  readonly brings?: ReadonlyArray<{
    readonly when: 'in-hub' | 'encoder-in-bearing' | 'ring-on-hub';
    readonly why: string;
    readonly cures: Partial<Record<Fault, number>>;
  }>;
  /** Where the catalogue says nothing: price and what goes along in the shop's money, work in hours. */
  readonly price: number;
  readonly hours: number;
  readonly companions: number;
  /** Senses by itself: it can be metered, and be bad from the box. */
  readonly isSensor?: true;
  /** Fitting it means drawing a separate sensor out of its bore. */
  readonly drawsSensor?: true;
  /** Its work undoes fasteners that are used once. */
  readonly singleUse?: true;
  /** Its work moves the knuckle: the wheels are to be set after. */
  readonly movesKnuckle?: true;
  /** Fitted on both sides at once by those who do not want to come again. */
  readonly bothSides?: true;
  /** Its lead hangs on the loom: where both are bad, one visit mends both. */
  readonly onLoom?: true;
  /** What goes bad with it, or breaks on the way to it, and is renewed in one job. */
  readonly alongside?: string;
  /** The event it is when it was renewed. */
  readonly renewed: string;
  readonly renewedWords: string;
  /** What people speak of when they name it, and how they do, `|` between. */
  readonly thing: string;
  readonly heardAs: string;
  /** What can be measured or seen on it, in the order one would take it. */
  readonly figures: readonly PartFigure[];
  /** How the work goes where the catalogue has no note for the vehicle. */
  readonly work: PartWork;
}
