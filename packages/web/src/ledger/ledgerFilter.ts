import type { Query } from '@hardy/core/contract';

/** Filters as they are typed; an empty one is none. */
export interface LedgerFilter {
  readonly from: string;
  readonly to: string;
  readonly line: string;
  readonly part: string;
  readonly wheelEnd: string;
  readonly cause: string;
  readonly desk: string;
  readonly customer: string;
}
export const NO_FILTER: LedgerFilter = {
  from: '',
  to: '',
  line: '',
  part: '',
  wheelEnd: '',
  cause: '',
  desk: '',
  customer: '',
};

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** Filters as the API takes them: a day half typed is none yet. */
export const queryOf = (filter: LedgerFilter): Query<'GET /ledger'> =>
  Object.fromEntries(
    Object.entries(filter).filter(
      ([name, value]) => value !== '' && ((name !== 'from' && name !== 'to') || DAY.test(value as string)),
    ),
  );
