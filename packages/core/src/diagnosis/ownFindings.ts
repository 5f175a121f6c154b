import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import type { Evidence, Finding } from './finding.ts';

type ByEnd = ReadonlyMap<WheelEnd | null, readonly Finding[]>;

const NONE: readonly Finding[] = [];
const kept = new WeakMap<Evidence, ByEnd>();

const byEnd = (evidence: Evidence): ByEnd => {
  const known = kept.get(evidence);
  if (known) return known;
  const ends = new Map<WheelEnd | null, Finding[]>();
  for (const finding of evidence.findings) {
    const here = ends.get(finding.wheelEnd);
    if (here) here.push(finding);
    else ends.set(finding.wheelEnd, [finding]);
  }
  kept.set(evidence, ends);
  return ends;
};

/** The findings of one wheel end, always the same list for the same evidence. */
export const ownOf = (evidence: Evidence, end: WheelEnd): readonly Finding[] =>
  byEnd(evidence).get(end) ?? NONE;

/** Evidence without the fact at `path`. Wheel ends it does not speak of keep their very lists, so that what follows from them is not worked out again. */
export const evidenceWithout = (evidence: Evidence, path: string): Evidence => {
  const isOther = (finding: { readonly path: string }) => finding.path !== path;
  const rest: Evidence = {
    findings: evidence.findings.filter(isOther),
    complaints: evidence.complaints.some(({ paths }) => paths.includes(path))
      ? evidence.complaints.filter(({ paths }) => !paths.includes(path))
      : evidence.complaints,
    shared: evidence.shared.filter(isOther),
    setAside: evidence.setAside,
  };
  kept.set(
    rest,
    new Map([...byEnd(evidence)].map(([end, own]) => [end, own.every(isOther) ? own : own.filter(isOther)])),
  );
  return rest;
};
