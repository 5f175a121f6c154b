import { assumptionsWith, countsOf, relearn, type Count, type LedgerEntry } from '@hardy/core';

/** An entry as it is believed now, with what it counts. */
export interface Recounted {
  readonly entry: LedgerEntry;
  readonly counts: readonly Count[];
}

/** Learns anew from all entries and counts again each that moved; null where one did not; `overrides` are the shop’s own weights of learning. */
export const recounted = (
  entries: readonly LedgerEntry[],
  overrides: Readonly<Record<string, number>>,
  month: string,
): Array<Recounted | null> => {
  const a = assumptionsWith(overrides);
  return relearn(entries, a, month).map((entry, i) =>
    entry === entries[i] ? null : { entry, counts: countsOf(entry, a) },
  );
};
