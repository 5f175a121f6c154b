import type { Assumptions } from '../assumptions/assumptions.ts';
import { meanInterval, shareInterval } from '../chance/intervals.ts';
import type { CauseShare, LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import type { Calibration } from '../vocabulary/ledgerViews.ts';
import { curedBy } from './knownTruth.ts';
import { placeOf, toOne } from './places.ts';

/** Something that was said with a chance, and whether it was so; `before` is what last month’s tables would have said. */
interface Saying {
  readonly p: number;
  readonly was: boolean;
  readonly before: number | null;
}
type Kind = Calibration['kinds'][number];

const BINS = 10;
/** Nobody who says never is forgiven without end. */
const SUREST = 1e-3;

const clipped = (p: number): number => Math.min(1 - SUREST, Math.max(SUREST, p));
const mean = (values: readonly number[]): number =>
  values.reduce((sum, value) => sum + value, 0) / Math.max(1, values.length);
const brierOf = (sayings: readonly Saying[], p: (saying: Saying) => number): number =>
  mean(sayings.map((saying) => (p(saying) - Number(saying.was)) ** 2));
const logOf = (sayings: readonly Saying[], p: (saying: Saying) => number): number =>
  mean(sayings.map((saying) => -Math.log(saying.was ? clipped(p(saying)) : 1 - clipped(p(saying)))));

const kindOf = (kind: Kind['kind'], sayings: readonly Saying[]): Kind => {
  const rate = mean(sayings.map(({ was }) => Number(was)));
  const known = sayings.filter(({ before }) => before !== null);
  const before = (score: typeof brierOf): number | null =>
    known.length === sayings.length && known.length > 0 ? score(known, (saying) => saying.before ?? 0) : null;
  return {
    kind,
    said: sayings.length,
    bins: Array.from({ length: BINS }, (_, i) => {
      const from = i / BINS;
      const to = (i + 1) / BINS;
      const own = sayings.filter(({ p }) => p >= from && (p < to || (i === BINS - 1 && p <= 1)));
      const n = own.filter(({ was }) => was).length;
      return {
        from,
        to,
        meanSaid: mean(own.map(({ p }) => p)),
        share: { n, of: own.length, interval: shareInterval(n, own.length) },
      };
    }).filter(({ share }) => share.of > 0),
    brier: {
      said: brierOf(sayings, ({ p }) => p),
      baseRate: brierOf(sayings, () => rate),
      before: before(brierOf),
    },
    log: { said: logOf(sayings, ({ p }) => p), baseRate: logOf(sayings, () => rate), before: before(logOf) },
  };
};

/**
 * How good what was said has been: only what was said at the time counts, never what is known now.
 *
 * @param under moves a share to what other tables would have said; for the scores of last month’s
 */
export const calibrate = (
  entries: readonly LedgerEntry[],
  a: Assumptions,
  under: ((share: CauseShare, entry: LedgerEntry) => number) | null = null,
): Calibration => {
  const causes = entries.flatMap((entry): Saying[] => {
    const { said, cause, wheelEnd, truePlace } = entry;
    if (!said || !cause) return [];
    const others = under
      ? toOne(
          said.causes.map((share) => ({ ...share, p: (share.p * under(share, entry)) / (share.moved ?? 1) })),
        )
      : null;
    return said.causes.flatMap((share, i) =>
      share.p < a.get('learning.said-from')
        ? []
        : [
            {
              p: share.p,
              was:
                share.cause === cause &&
                (share.place === (truePlace ?? placeOf(wheelEnd)) || share.place === 'shared'),
              before: others?.[i]?.p ?? null,
            },
          ],
    );
  });
  const cures = entries.flatMap(({ said, result }): Saying[] => {
    const was = curedBy({ result });
    return said && was !== null ? [{ p: said.cures, was, before: null }] : [];
  });
  const snaps = entries.flatMap(({ seizure }): Saying[] =>
    seizure ? [{ p: seizure.said, was: seizure.snapped, before: null }] : [],
  );
  const comebacks = entries.flatMap(({ said, comeback, result }): Saying[] =>
    said && result !== 'never-heard' && curedBy({ result }) !== null
      ? [
          {
            p: 1 - said.cures,
            was: comeback || result === 'not-cured' || result === 'wrong-part',
            before: null,
          },
        ]
      : [],
  );
  const paid = entries.flatMap(({ said, spentCents }) =>
    said?.money && spentCents !== null
      ? [spentCents >= said.money.low * 100 && spentCents <= said.money.high * 100]
      : [],
  );
  const held = paid.filter(Boolean).length;
  const ratios = entries.flatMap(({ said, hours }) => (said?.hours && hours ? [hours / said.hours] : []));
  return {
    kinds: [
      kindOf('causes', causes),
      kindOf('cures', cures),
      kindOf('snaps', snaps),
      kindOf('comebacks', comebacks),
    ].filter(({ said }) => said > 0),
    bands: [
      { kind: 'money', share: { n: held, of: paid.length, interval: shareInterval(held, paid.length) } },
    ],
    hours: { n: ratios.length, ratio: ratios.length > 1 ? meanInterval(ratios) : null },
  };
};
