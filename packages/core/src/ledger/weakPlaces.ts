import type { Assumptions } from '../assumptions/assumptions.ts';
import type { LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import type { WeakPlace } from '../vocabulary/weakPlace.ts';

/** Words of a place as they are compared. */
const same = (words: string): string =>
  words
    .toLowerCase()
    .replace(/[^\p{L}\d]+/gu, ' ')
    .trim();

/**
 * Where a vehicle line keeps failing: a told cause that was most of the jobs at a wheel end, of enough jobs. Each with its
 * evidence, for the counter to weigh.
 */
export const weakPlacesOf = (entries: readonly LedgerEntry[], line: string, a: Assumptions): WeakPlace[] => {
  const ends = new Map<string, LedgerEntry[]>();
  for (const entry of entries)
    if (entry.line === line && entry.wheelEnd && entry.cause)
      ends.set(entry.wheelEnd, [...(ends.get(entry.wheelEnd) ?? []), entry]);
  return [...ends]
    .flatMap(([wheelEnd, own]) => {
      if (own.length < a.get('learning.weak-from')) return [];
      const causes = new Map<string, LedgerEntry[]>();
      for (const entry of own)
        if (entry.cause) causes.set(entry.cause, [...(causes.get(entry.cause) ?? []), entry]);
      return [...causes.values()]
        .filter((of) => of.length / own.length >= a.get('learning.weak-share'))
        .map((of): WeakPlace => {
          const words = new Map<string, { n: number; words: string }>();
          for (const { at } of of)
            if (at)
              words.set(same(at), {
                n: (words.get(same(at))?.n ?? 0) + 1,
                words: words.get(same(at))?.words ?? at,
              });
          const [most] = [...words.values()].sort((p, q) => q.n - p.n);
          return {
            wheelEnd,
            cause: (of[0] as LedgerEntry).cause as WeakPlace['cause'],
            n: of.length,
            of: own.length,
            place: most?.words ?? null,
          };
        });
    })
    .sort((p, q) => q.n - p.n);
};
