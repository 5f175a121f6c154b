import type { Risk } from '../offers/outlay.ts';
import type { JobOutlay } from '../offers/together.ts';
import type { WayPart } from '../vocabulary/comparison.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** One way with its costs, before chance has spoken. Money in the shop's currency. */
export interface Way extends JobOutlay {
  readonly id: string;
  readonly label: string;
  readonly kind: 'parts' | 'work' | 'refer';
  /** Work without a part done in the same visit, in words. */
  readonly work: string | null;
  readonly parts: readonly WayPart[];
  /** Chance that it cures, in each of the model's groups. */
  readonly cures: readonly number[];
  /** Cost of coming back and of what is best then. */
  readonly failure: number;
  /** Whether the old bearing stays. */
  readonly keepsBearing: boolean;
  /** What fitting the other side as well spares later. */
  readonly spared: Risk | null;
  readonly because: readonly string[];
}

/** Low and high of a factor whose mean is one, see `luckOf`. */
export interface Spread {
  readonly low: number;
  readonly high: number;
}

/** A job with its ways, as plain data: the same on the server and in the page. */
export interface CompareModel {
  readonly wheelEnd: WheelEnd;
  readonly currency: string;
  /** Groups of possible truths in which every way cures alike, with their chances (sum one), likeliest first. */
  readonly groups: readonly number[];
  readonly bearing: Risk;
  readonly labour: Spread;
  readonly continuation: Spread;
  readonly wait: Spread;
  readonly ways: readonly Way[];
}
