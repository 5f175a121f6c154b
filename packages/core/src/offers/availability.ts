import type { Assumptions } from '../assumptions/assumptions.ts';
import type { CataloguePart } from '../vocabulary/catalogue.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';

/** Where a part is and how many days it takes to be here. */
export interface Availability {
  readonly from: 'shelf' | 'branch' | 'supplier' | 'not-known';
  readonly days: number;
}

/** On the shelf, at the branch, or from the supplier with its days. A docket's own stock wins over the catalogue's. */
export const availabilityOf = (
  chosen: CataloguePart | null,
  part: PartClass,
  docket: Docket,
  a: Assumptions,
): Availability => {
  const stock = docket.options?.stock?.[part] ?? chosen?.stock;
  if (stock === undefined) return { from: 'not-known', days: 0 };
  if (stock > 0) return { from: 'shelf', days: 0 };
  if (chosen && chosen.branchStock > 0) return { from: 'branch', days: a.get('wait.branch-days') };
  return { from: 'supplier', days: chosen?.supplierDays ?? a.get('wait.days') };
};
