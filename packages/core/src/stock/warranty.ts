import type { Docket } from '../vocabulary/docket.ts';

/** Whether a part is under warranty: from the day it was handed over, for its months. */
export interface Warranty {
  readonly until: string;
  readonly runs: boolean;
}

/** The same day of the month so many months on; the last one where that month is shorter. */
export const monthsAfter = (day: string, months: number): string => {
  const [year = 0, month = 1, of = 1] = day.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - 1 + months + 1, 0)).getUTCDate();
  return new Date(Date.UTC(year, month - 1 + months, Math.min(of, last))).toISOString().slice(0, 10);
};

/** Day a part was sold: when it was handed over, else when it was taken. */
export const soldOn = (docket: Docket, partNumber: string | null): string | null =>
  (docket.handed ?? []).find((each) => each.partNumber === partNumber)?.on ?? docket.chosen?.on ?? null;

/** The warranty of a part sold on a day; null where it has none or the day is not known. */
export const warrantyOf = (sold: string | null, months: number | null, today: string): Warranty | null => {
  if (sold === null || months === null || months <= 0) return null;
  const until = monthsAfter(sold, months);
  return { until, runs: today <= until };
};
