import type { CataloguePart, CatalogueSlice, JobNote, Tier } from '../vocabulary/catalogue.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/**
 * Whether a build date, known to the year, month or day, may lie within a range. A date that straddles the border is
 * let through: it is not known to be outside.
 */
export const mayBeBuiltWithin = (
  buildDate: string | null | undefined,
  from: string | null,
  to: string | null,
): boolean => {
  if (!buildDate) return true;
  const overlap = (a: string, b: string) => Math.min(a.length, b.length);
  if (from && buildDate.slice(0, overlap(buildDate, from)) < from.slice(0, overlap(buildDate, from)))
    return false;
  return !(to && buildDate.slice(0, overlap(buildDate, to)) > to.slice(0, overlap(buildDate, to)));
};

/** Which brand comes first: the usual order, the cheapest, or one tier up because the last one was bad from the box. */
export type Preference = 'usual' | 'cheapest' | 'better';

const TIER_ORDER: Readonly<Record<Preference, readonly Tier[]>> = {
  usual: ['good', 'dealer', 'budget'],
  cheapest: [],
  better: ['dealer', 'good', 'budget'],
};

/** The part to offer first: on the shelf before to be ordered, good aftermarket before the other tiers, then the price. */
export const preferredPart = (
  parts: readonly CataloguePart[],
  preference: Preference = 'usual',
): CataloguePart | null => {
  const order = TIER_ORDER[preference];
  const rank = (part: CataloguePart): number =>
    // Used or exchanged is what a customer asks for, not what is put before them.
    (part.state === 'new' ? 0 : 100) + (part.stock > 0 ? 0 : 10) + Math.max(0, order.indexOf(part.tier));
  return [...parts].sort((x, y) => rank(x) - rank(y) || x.priceCents - y.priceCents)[0] ?? null;
};

/** How the work goes on this vehicle, where the catalogue says. */
export const jobNote = (slice: CatalogueSlice, partClass: PartClass, wheelEnd: WheelEnd): JobNote | null =>
  slice.jobs.find((job) => job.partClass === partClass && job.axle === axleOf(wheelEnd)) ?? null;
