import type { Assumptions } from '../assumptions/assumptions.ts';
import { SOUND_RESULT } from '../checkKinds/checkData.ts';
import { checkChance, jointChance, resultsOf } from '../diagnosis/checkTable.ts';
import { onceEach, type Finding } from '../diagnosis/finding.ts';
import { abnormalChances, likelihoods } from '../diagnosis/likelihood.ts';
import { mechanismOf } from '../diagnosis/mechanism.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { SETUPS, type AvailableCheck } from './availableChecks.ts';
import type { SolveCheck } from './solve.ts';

/** The table of a check is that of the sensor there is: either gives the same chances. */
const OF_EITHER = { sensor: 'passive' } as const;

/**
 * A check as the solver takes it. A result that repeats what is known (a dead signal after a code of an open circuit)
 * could be foretold to be abnormal: its chance to be so is damped as the posterior will damp it, and each state's
 * results are brought to a sum of one again.
 *
 * @param lists the faults of each state
 */
export const checkAsSolved = (
  entry: AvailableCheck,
  lists: ReadonlyArray<readonly Fault[]>,
  cost: number,
  known: ReadonlySet<string>,
  a: Assumptions,
): Omit<SolveCheck, 'needs'> => {
  const normal = SOUND_RESULT[entry.table];
  const results = resultsOf(entry.table);
  const sound = onceEach((fault) => checkChance(entry.table, normal ?? '', fault, a));
  const power = a.get('correlation.repeat') - 1;
  const chances = results.map((result) => {
    const finding: Finding = {
      path: '',
      label: '',
      wheelEnd: null,
      mechanism: entry.table,
      kind: 'check',
      seen: (fault) => checkChance(entry.table, result, fault, a),
      normal: sound,
      isNormal: result === normal,
      jointly: (faults, which) =>
        jointChance(entry.table, which === 'seen' ? result : (normal ?? result), faults, a),
    };
    const repeats = result !== normal && known.has(mechanismOf(entry.check, result));
    const likely = likelihoods(finding, lists, OF_EITHER);
    if (!repeats) return likely;
    const abnormal = abnormalChances(finding, lists, OF_EITHER);
    return likely.map((chance, s) => chance * Math.max(1e-9, abnormal[s] as number) ** power);
  });
  const totals = lists.map((_, s) => chances.reduce((sum, row) => sum + (row[s] ?? 0), 0));
  return {
    id: entry.check,
    cost,
    setup: entry.setup === null ? null : SETUPS.indexOf(entry.setup),
    results: results.map((id, r) => ({
      id,
      chance: lists.map((_list, s) => (chances[r]?.[s] ?? 0) / (totals[s] ?? 1)),
    })),
  };
};
