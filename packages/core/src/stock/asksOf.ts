import { dayAfter } from '../vocabulary/days.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Asked } from './partShelf.ts';

const total = <T extends { readonly partNumber: string | null; readonly quantity: number }>(
  list: readonly T[],
  partNumber: string,
): number => list.reduce((sum, each) => (each.partNumber === partNumber ? sum + each.quantity : sum), 0);

/**
 * What a docket says of each part: pieces taken, handed over, brought back. What was bad from the box is wanted again. What
 * was taken is put aside for `keptDays`, unless pieces of the order left already or a supplier was asked for the part
 * (`ordered`); a closed docket wants nothing more.
 */
export const asksOf = (
  docketId: string,
  docket: Docket,
  keptDays: number,
  ordered: ReadonlySet<string> = new Set(),
): Array<Asked & { partNumber: string }> => {
  const lines = docket.chosen?.lines ?? [];
  const [handed, returned] = [docket.handed ?? [], docket.returned ?? []];
  const numbers = new Set(
    [...lines, ...handed, ...returned].flatMap(({ partNumber }) => (partNumber ? [partNumber] : [])),
  );
  const closed = docket.outcome != null;
  const on = docket.chosen?.on ?? null;
  return [...numbers].sort().map((partNumber) => {
    const out = total(handed, partNumber);
    const bad = total(
      returned.filter((each) => each.bad === true),
      partNumber,
    );
    const wanted = total(lines, partNumber) + bad;
    return {
      docket: docketId,
      partNumber,
      wanted: closed ? Math.min(wanted, out) : wanted,
      handed: out,
      returned: total(
        returned.filter((each) => !each.opened),
        partNumber,
      ),
      opened: total(
        returned.filter((each) => each.opened),
        partNumber,
      ),
      until: on !== null && handed.length === 0 && !ordered.has(partNumber) ? dayAfter(on, keptDays) : null,
    };
  });
};
