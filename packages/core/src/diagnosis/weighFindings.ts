import type { Finding } from './finding.ts';
import { memo } from './memo.ts';

/** How a finding counts beside others that report the same mechanism at the same wheel end. */
export interface Weighing {
  /** Power of its whole chance. */
  readonly whole: number;
  /** Power of the chance that a check shows anything abnormal at all; which abnormality it shows counts in full. */
  readonly abnormal: number;
}

/** Findings of one kind that report one mechanism, by their places in the list. */
interface Group {
  readonly kind: Finding['kind'];
  readonly mechanism: string;
  readonly places: readonly number[];
}
const grouped = new WeakMap<readonly Finding[], readonly Group[]>();

const groupsOf = (findings: readonly Finding[]): readonly Group[] =>
  memo(grouped, findings, () => {
    const groups = new Map<string, { kind: Finding['kind']; mechanism: string; places: number[] }>();
    findings.forEach(({ kind, mechanism }, i) =>
      memo(groups, `${kind} ${mechanism}`, () => ({ kind, mechanism, places: [] })).places.push(i),
    );
    return [...groups.values()];
  });

const WHOLE: Weighing = { whole: 1, abnormal: 0 };
const UNHEARD: Weighing = { whole: 0, abnormal: 0 };

/**
 * Of codes that share a mechanism the most telling counts in full, the others with a small power: three reports of one
 * open circuit are not three proofs. A check that repeats what a code says (or another check) could be foretold to be
 * abnormal: only that chance is damped. What it shows, such as a dip once a turn and not a dead signal, counts in full.
 */
export const weighFindings = (
  findings: readonly Finding[],
  spread: readonly number[],
  repeat: number,
  mostHeard: number,
): Weighing[] => {
  const isStronger = (i: number, j: number): boolean => {
    const [mine, its] = [spread[i] ?? 0, spread[j] ?? 0];
    if (its !== mine) return its > mine;
    // Equally telling: by what they say, so that the order they were written in changes nothing.
    const [my, other] = [findings[i]?.label ?? '', findings[j]?.label ?? ''];
    return other < my || (other === my && j < i);
  };
  const groups = groupsOf(findings);
  const reported = new Set(groups.flatMap(({ kind, mechanism }) => (kind === 'present' ? [mechanism] : [])));
  const repeated: Weighing = { whole: repeat, abnormal: 0 };
  const foretold: Weighing = { whole: 1, abnormal: repeat - 1 };
  const out = findings.map(() => WHOLE);
  for (const { kind, mechanism, places } of groups) {
    const best = places.reduce((sofar, i) => (isStronger(sofar, i) ? i : sofar));
    if (kind === 'check') {
      for (const i of places)
        if (!findings[i]?.isNormal && (i !== best || reported.has(mechanism))) out[i] = foretold;
      continue;
    }
    for (const i of places) if (i !== best) out[i] = repeated;
    // Of many reports of one thing the most telling are heard: a reader that writes it forty times proves it no better.
    if (places.length > mostHeard)
      for (const i of [...places].sort((x, y) => (isStronger(x, y) ? 1 : -1)).slice(mostHeard))
        out[i] = UNHEARD;
  }
  return out;
};
