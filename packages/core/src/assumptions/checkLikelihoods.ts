import { CHECK_KINDS } from '../checkKinds/checkKinds.ts';
import type { CheckKind, CheckTable } from '../checkKinds/checkKind.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { chances, judgement, row, type JudgementTable } from './judgement.ts';

const UNCHANGED = 'As often as it is seen on vehicles where this link is sound.';

const rowsOf = ([name, { nothing, rows, together = {} }]: [string, CheckTable]): JudgementTable => ({
  ...chances(`check.${name}.nothing`, UNCHANGED, nothing),
  ...Object.fromEntries(
    Object.entries({ ...rows, ...together }).flatMap(([fault, [reason, each]]) =>
      Object.entries(chances(`check.${name}.${fault}`, reason, each)),
    ),
  ),
});

const KINDS: readonly CheckKind[] = CHECK_KINDS;

/**
 * What the kinds of check say, as single numbers: `check.<table>.<fault>.<result>`, the limits by which a reading becomes
 * a result, `check.minutes.<check>` and `check.draws.<check>`.
 */
export const CHECK_LIKELIHOODS: JudgementTable = {
  ...Object.fromEntries(Object.entries(CHECK_TABLES).flatMap((table) => Object.entries(rowsOf(table)))),
  ...Object.fromEntries(
    KINDS.flatMap(({ limits = {} }) =>
      Object.entries(limits).map(([key, limit]) => [key, judgement(...limit)]),
    ),
  ),
  ...row(
    'check.minutes',
    'min',
    [0, 240],
    'Time the look itself takes, once what it needs is set up.',
    Object.fromEntries(KINDS.map(({ name, minutes }) => [name, minutes])),
  ),
  ...row(
    'check.draws',
    'times',
    [0, 3],
    'How often the look draws a seized sensor out of its bore: half the looks at a tip, and a swap at both ends.',
    Object.fromEntries(KINDS.flatMap(({ name, draws }) => (draws === undefined ? [] : [[name, draws]]))),
  ),
};
