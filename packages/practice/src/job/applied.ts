import type { Docket } from '@hardy/core/words';

const same = (x: unknown, y: unknown): boolean => JSON.stringify(x) === JSON.stringify(y);
/** What was added at the end of a list. */
const added = <T>(before: readonly T[] | null | undefined, after: readonly T[] | null | undefined): T[] =>
  (after ?? []).slice((before ?? []).length);

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
  history: [...(docket.history ?? []), ...added(before.history, after.history)],
});
