import type { Finding } from './finding.ts';

/** How a finding counts beside others that report the same mechanism at the same wheel end. */
export interface Weighing {
  /** Power of its whole chance. */
  readonly whole: number;
  /** Power of the chance that a check shows anything abnormal at all; which abnormality it shows counts in full. */
  readonly abnormal: number;
}

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
  /** The most telling of each mechanism and kind. */
  const best = new Map<string, number>();
  const groupOf = findings.map(({ mechanism, kind }) => `${kind} ${mechanism}`);
  const isStronger = (i: number, j: number): boolean => {
    const [mine, its] = [spread[i] ?? 0, spread[j] ?? 0];
    if (its !== mine) return its > mine;
    // Equally telling: by what they say, so that the order they were written in changes nothing.
    const [my, other] = [findings[i]?.label ?? '', findings[j]?.label ?? ''];
    return other < my || (other === my && j < i);
  };
  const reported = new Set<string>();
  const groups = new Map<string, number[]>();
  findings.forEach((finding, i) => {
    const group = groupOf[i] as string;
    const sofar = best.get(group);
    if (sofar === undefined || isStronger(sofar, i)) best.set(group, i);
    if (finding.kind === 'present') reported.add(finding.mechanism);
    if (finding.kind === 'check') return;
    const members = groups.get(group);
    if (members) members.push(i);
    else groups.set(group, [i]);
  });
  // Of many reports of one thing the most telling are heard: a reader that writes it forty times proves it no better.
  const unheard = new Set(
    [...groups.values()].flatMap((group) =>
      group.length > mostHeard ? group.sort((i, j) => (isStronger(i, j) ? 1 : -1)).slice(mostHeard) : [],
    ),
  );
  return findings.map((finding, i): Weighing => {
    if (unheard.has(i)) return { whole: 0, abnormal: 0 };
    const repeats = best.get(groupOf[i] as string) !== i;
    if (finding.kind !== 'check') return { whole: repeats ? repeat : 1, abnormal: 0 };
    const foretold = !finding.isNormal && (repeats || reported.has(finding.mechanism));
    return { whole: 1, abnormal: foretold ? repeat - 1 : 0 };
  });
};
