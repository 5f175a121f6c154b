import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { HistoryEvent } from '../../vocabulary/docket.ts';
import { EVENT_IN_WORDS } from '../../vocabulary/inWords.ts';
import type { SensedEnd } from '../sensedEnd.ts';
import type { Chance, Finding } from '../finding.ts';

/** Events of the whole vehicle: they speak of the supply and of stale codes, not of a wheel end's links. */
export const OF_THE_BATTERY: ReadonlySet<string> = new Set(['battery-flat', 'battery-replaced']);

/** How much of an event's weight is left after its days. */
export const fadeOf = (event: HistoryEvent, a: Assumptions): number =>
  event.daysAgo == null
    ? a.get('history.unknown-when')
    : Math.exp(-event.daysAgo / a.get('history.fade-days'));

/** What was done lately at a wheel end, as factors on the odds of its faults. */
export const historyFinding = (
  event: HistoryEvent,
  i: number,
  end: SensedEnd | null,
  a: Assumptions,
): Finding => {
  const short =
    event.cured === 'for-a-while' && (event.daysUntilReturn ?? 0) <= a.get('history.short-return-days');
  const outcome = event.cured === 'no' ? '.no' : event.cured === 'yes' ? '.yes' : short ? '.for-a-while' : '';
  const fade = fadeOf(event, a);
  // What a part did or did not cure does not fade as the disturbance of the work does.
  const weight = outcome ? Math.max(fade, a.get('history.unknown-when')) : fade;
  const tables = [`history.${event.event}${outcome}`, `history.${event.event}`];
  // An outcome with a table of its own is judged by it alone; another by what the work does anyway.
  const own = ['sensor', 'joint', 'sender', 'ring', 'bearing'].some(
    (fault) => a.find(`${tables[0]}.${fault}`, 0) > 0,
  );
  return {
    path: `history[${i}]`,
    label:
      EVENT_IN_WORDS[event.event] +
      (event.daysAgo == null ? '' : `, ${event.daysAgo} days ago`) +
      (event.cured === 'no'
        ? ', no change'
        : short
          ? `, good for ${event.daysUntilReturn ?? 'a few'} days`
          : ''),
    wheelEnd: end,
    mechanism: `history ${event.event}`,
    kind: 'factor',
    seen: (fault) => (fault === null ? 1 : a.find(`${own ? tables[0] : tables[1]}.${fault}`, 1) ** weight),
  };
};

/**
 * A battery that was flat or renewed: it makes a stale code likelier at the wheel ends where there is one, at all of them
 * alike, and moves nothing else here.
 */
export const staleCodeFindings = (
  event: HistoryEvent,
  i: number,
  ends: readonly SensedEnd[],
  a: Assumptions,
): Finding[] => {
  const stale = a.find(`history.${event.event}.none-present`, 1) ** fadeOf(event, a);
  const seen: Chance = (fault) => (fault === 'none-present' ? stale : 1);
  return ends.map((end) => ({
    path: `history[${i}]`,
    label: EVENT_IN_WORDS[event.event],
    wheelEnd: end,
    mechanism: `history ${event.event}`,
    kind: 'factor',
    seen,
  }));
};
