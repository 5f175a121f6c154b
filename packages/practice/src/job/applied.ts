import type { Docket } from '@hardy/core/words';

const same = (x: unknown, y: unknown): boolean => JSON.stringify(x) === JSON.stringify(y);
/** What was added at the end of a list. */
const added = <T>(before: readonly T[] | null | undefined, after: readonly T[] | null | undefined): T[] =>
  (after ?? []).slice((before ?? []).length);

type History = NonNullable<Docket['history']>;

/** What was done before, and when by now: days have passed where the vehicle came back. */
const withHistory = (docket: Docket, before: Docket, after: Docket): History => {
  const fresh = added(before.history, after.history);
  const [was] = before.history ?? [];
  const [is] = after.history ?? [];
  const days = was && is ? (is.daysAgo ?? 0) - (was.daysAgo ?? 0) : (fresh[0]?.daysAgo ?? 0);
  const isBack = fresh.some(({ cured }) => cured === 'no') && days > 0;
  return [
    ...(docket.history ?? []).map((each) =>
      isBack && each.daysAgo != null ? { ...each, daysAgo: each.daysAgo + days } : each,
    ),
    ...fresh,
  ];
};

/** A learner's own docket with what a deed brought to light: what they wrote themselves stays. */
export const applied = (docket: Docket, before: Docket, after: Docket): Docket => ({
  ...docket,
  ...(same(before.symptoms, after.symptoms) ? {} : { symptoms: after.symptoms }),
  ...(same(before.codes, after.codes)
    ? {}
    : { codes: after.codes, modulesRead: after.modulesRead, reader: after.reader }),
  ...(same(before.wheelEnd, after.wheelEnd) ? {} : { wheelEnd: after.wheelEnd }),
  ...(same(before.vehicle?.wheelEnds, after.vehicle?.wheelEnds)
    ? {}
    : {
        vehicle: {
          ...docket.vehicle,
          wheelEnds: { ...docket.vehicle?.wheelEnds, ...after.vehicle?.wheelEnds },
        },
      }),
  checks: [...(docket.checks ?? []), ...added(before.checks, after.checks)],
  history: withHistory(docket, before, after),
});
