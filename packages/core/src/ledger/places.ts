import type { RankedCause } from '../vocabulary/advice.ts';
import type { CauseShare, LedgerPlace } from '../vocabulary/ledgerEntry.ts';
import { axleOf, isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

/** Where on a vehicle a wheel end counts. */
export const placeOf = (wheelEnd: WheelEnd | null): LedgerPlace =>
  wheelEnd === null ? 'shared' : isCentre(wheelEnd) ? 'centre' : axleOf(wheelEnd) === 1 ? 'front' : 'rear';

/** Shares rarer than this are left out: together they count for nothing. */
const WORTH_KEEPING = 0.002;

/** Shares brought to a sum of one; none where all are nought. */
export const toOne = (shares: readonly CauseShare[]): CauseShare[] => {
  const total = shares.reduce((sum, { p }) => sum + p, 0);
  return total > 0 ? shares.map((share) => ({ ...share, p: share.p / total })) : [];
};

/** Chances of causes at wheel ends as shares of the whole, by place. */
export const sharesOf = (causes: readonly RankedCause[]): CauseShare[] => {
  const by = new Map<string, CauseShare>();
  for (const { cause, wheelEnd, probability } of causes) {
    const place = placeOf(wheelEnd);
    const key = `${cause} ${place}`;
    by.set(key, { cause, place, p: (by.get(key)?.p ?? 0) + probability });
  }
  const kept = toOne([...by.values()]).filter(({ p }) => p >= WORTH_KEEPING);
  // To five figures: it is written down with every sale.
  return toOne(kept).map((share) => ({ ...share, p: Number(share.p.toPrecision(5)) }));
};
