import type { Risk } from '../offers/outlay.ts';
import type { OrderLine } from '../vocabulary/advice.ts';
import type { WayPart } from '../vocabulary/comparison.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Something seized that a way must draw out: its chance of snapping and what each way of getting it out costs. */
export interface Snag {
  readonly chance: number;
  readonly snaps: readonly Risk[];
}

/** One way with its costs, before chance has spoken. Money in the shop's currency. */
export interface Way {
  readonly id: string;
  readonly label: string;
  readonly kind: 'parts' | 'work' | 'refer';
  readonly parts: readonly WayPart[];
  readonly price: number;
  readonly listPrice: number;
  readonly costPrice: number | null;
  readonly deposit: number;
  readonly core: number;
  readonly companions: number;
  readonly labourHours: number;
  /** A good or a bad day stretches this sum. */
  readonly labour: number;
  readonly supplies: number;
  readonly tax: number;
  readonly fee: number;
  /** At most two: a sensor on either side. */
  readonly snags: readonly Snag[];
  readonly seizure: number | null;
  readonly waitDays: number;
  readonly perDay: number;
  readonly from: 'shelf' | 'branch' | 'supplier' | 'not-known';
  /** Chance that it cures, in each of the model's groups. */
  readonly cures: readonly number[];
  /** Cost of coming back and of what is best then. */
  readonly failure: number;
  /** New parts worn out within the horizon, at most two. */
  readonly later: readonly Risk[];
  /** Whether the old bearing stays. */
  readonly keepsBearing: boolean;
  /** What fitting the other side as well spares later. */
  readonly spared: Risk | null;
  readonly lines: readonly OrderLine[];
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
