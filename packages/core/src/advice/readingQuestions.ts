import type { Assumptions } from '../assumptions/assumptions.ts';
import { doubtUnit } from '../checks/doubtUnit.ts';
import type { Question } from '../vocabulary/advice.ts';
import type { Check } from '../vocabulary/check.ts';

/** Asks about readings that look like a slip of unit. `about` is `reading:` and the check's place on the docket. */
export const readingQuestions = (checks: readonly Check[], a: Assumptions): Question[] =>
  checks.flatMap((check, i) => {
    const doubt = doubtUnit(check, a);
    return doubt
      ? [
          {
            about: `reading:${i}`,
            ask: doubt.ask,
            because: doubt.because,
            answers: [
              { label: doubt.labels[0], value: JSON.stringify(doubt.instead) },
              { label: doubt.labels[1], value: JSON.stringify({ ...check, confirmed: true }) },
            ],
          },
        ]
      : [];
  });
