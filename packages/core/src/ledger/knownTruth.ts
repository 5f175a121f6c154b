import type { Assumptions } from '../assumptions/assumptions.ts';
import { FAULTS, causeOf } from '../faultKinds/faultData.ts';
import type { Outcome } from '../vocabulary/docket.ts';
import type { CauseShare, LedgerPlace } from '../vocabulary/ledgerEntry.ts';
import type { Cause, PartClass } from '../vocabulary/words.ts';
import { placeOf, toOne } from './places.ts';

/** Chance that a part takes a cause away, of the best case of it. */
const curesCause = (part: PartClass, cause: Cause, a: Assumptions): number =>
  Math.max(
    ...FAULTS.filter((fault) => causeOf(fault) === cause).map((fault) => a.find(`cures.${part}.${fault}`, 0)),
    0,
  );

/** What was fitted, and where. */
export interface FittedThere {
  readonly parts: readonly PartClass[];
  readonly place: LedgerPlace;
}

const CURED: ReadonlySet<Outcome['result']> = new Set(['cured']);
const STAYED: ReadonlySet<Outcome['result']> = new Set(['not-cured', 'came-back', 'wrong-part']);

/** Whether an outcome says that what was fitted cured; null where it says nothing. */
export const curedBy = (outcome: Pick<Outcome, 'result'>): boolean | null =>
  CURED.has(outcome.result) ? true : STAYED.has(outcome.result) ? false : null;

/**
 * Shares of the causes when all is known: those said at the sale, conditioned on whether what was fitted cured, and drawn to
 * the cause that was told as far as how it is known makes it sure.
 *
 * @param said shares as they were believed at the sale
 */
export const knownTruth = (
  said: readonly CauseShare[],
  outcome: Outcome,
  fitted: FittedThere | null,
  a: Assumptions,
): CauseShare[] => {
  const cured = curedBy(outcome);
  const chanceOfCure = ({ cause, place }: CauseShare): number => {
    const here = fitted !== null && fitted.place === place;
    const by = here
      ? 1 - fitted.parts.reduce((stays, part) => stays * (1 - curesCause(part, cause, a)), 1)
      : 0;
    return Math.max(by, a.get('learning.elsewhere-cured'));
  };
  const seen = toOne(
    said.map((share) => {
      const cures = chanceOfCure(share);
      return { ...share, p: share.p * (cured === null || fitted === null ? 1 : cured ? cures : 1 - cures) };
    }),
  );
  const { trueCause: told } = outcome;
  if (!told) return seen;
  const sure = a.get(`learning.sure.${outcome.knownBy ?? 'told'}`);
  const where: LedgerPlace | null = outcome.trueWheelEnd
    ? placeOf(outcome.trueWheelEnd)
    : (fitted?.place ?? null);
  const matching = (share: CauseShare) => share.cause === told && (where === null || share.place === where);
  // A cause that nobody thought of is told all the same: it counts as the rarest of them.
  const all = seen.some(matching)
    ? seen
    : toOne([
        ...seen,
        {
          cause: told,
          place: where ?? 'shared',
          p: Math.min(a.get('learning.unthought'), ...seen.map(({ p }) => p)),
        },
      ]);
  // Who errs names any of the others: a rare cause that is told is more often an error than a common one.
  const others = Math.max(1, all.length - all.filter(matching).length);
  return toOne(
    all.map((share) => ({
      ...share,
      p: share.p * (matching(share) ? sure : (1 - sure) / others),
    })),
  );
};
