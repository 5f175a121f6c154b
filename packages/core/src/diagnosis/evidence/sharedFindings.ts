import type { Assumptions } from '../../assumptions/assumptions.ts';
import { readCheck } from '../../checks/readCheck.ts';
import type { UnderstoodCode } from '../../codes/readCodes.ts';
import type { Docket } from '../../vocabulary/docket.ts';
import type { Fault } from '../../faultKinds/faultData.ts';
import { CHECK_IN_WORDS, EVENT_IN_WORDS } from '../../vocabulary/inWords.ts';
import { checkChance } from '../checkTable.ts';
import type { SharedFinding } from '../finding.ts';
import { fadeOf, OF_THE_BATTERY } from './historyFinding.ts';

/** Facts that speak of the controller or the supply, each counted once for the whole vehicle. */
export const sharedFindings = (
  docket: Docket,
  codes: readonly UnderstoodCode[],
  aside: ReadonlyMap<string, string>,
  a: Assumptions,
): SharedFinding[] => {
  const out: SharedFinding[] = [];
  const either = (key: string, fault: 'supply' | 'module') => (shared: ReadonlySet<Fault>) =>
    a.get(shared.has(fault) ? `${key}.${fault}` : `${key}.otherwise`);
  const first = (is: (code: UnderstoodCode) => boolean) => codes.findIndex(is);
  const voltage = first((code) => code.voltage);
  if (voltage >= 0)
    out.push({
      path: `codes[${voltage}]`,
      label: `code ${codes[voltage]?.code ?? ''}: ${codes[voltage]?.meaning ?? ''}`,
      seen: either('voltage-code', 'supply'),
    });
  const self = first((code) => code.self);
  if (self >= 0)
    out.push({
      path: `codes[${self}]`,
      label: `code ${codes[self]?.code ?? ''}: ${codes[self]?.meaning ?? ''}`,
      seen: either('self-code', 'module'),
    });
  const unrelated = new Set(
    codes
      .filter((code) => code.role === 'other' || code.role === 'unknown')
      .map((code) => code.module ?? '?'),
  );
  if (unrelated.size >= a.get('many-modules.count'))
    out.push({
      path: 'codes',
      label: `codes in ${unrelated.size} modules that have nothing to do with wheel speed`,
      seen: either('many-modules', 'supply'),
    });
  (docket.history ?? []).forEach((event, i) => {
    const path = `history[${i}]`;
    if (!OF_THE_BATTERY.has(event.event) || aside.has(path)) return;
    const cleared = docket.codesCleared === true ? a.get('code.cleared.supply') : 1;
    out.push({
      path,
      label: EVENT_IN_WORDS[event.event],
      seen: (shared) =>
        shared.has('supply')
          ? Math.max(1, a.get(`history.${event.event}.supply`) ** fadeOf(event, a) * cleared)
          : 1,
    });
  });
  (docket.checks ?? []).forEach((check, i) => {
    const path = `checks[${i}]`;
    const reading = check.check === 'battery' && !aside.has(path) ? readCheck(check, 'active', a) : null;
    if (reading)
      out.push({
        path,
        label: `${CHECK_IN_WORDS.battery}: ${reading.result}`,
        seen: (shared) => checkChance('battery', reading.result, shared.has('supply') ? 'supply' : null, a),
      });
  });
  return out;
};
