import { PAIRS } from '../partKinds/partData.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import { cureChance, WITH_WORK, workCures, WORKS, type Work } from '../offers/fixes.ts';
import type { Outlay } from '../offers/outlay.ts';
import { soundFromStart } from '../offers/partLife.ts';
import { workHours, type Rates } from '../offers/rates.ts';
import { jobCost, together, withWork, type JobOutlay } from '../offers/together.ts';
import type { Docket } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import type { PartClass } from '../vocabulary/words.ts';

/** Parts fitted in one job, the main one first. */
export interface PartFix {
  readonly kind: 'part';
  readonly part: PartClass;
  readonly with: readonly PartClass[];
  /** Work without a part done in the same visit. */
  readonly work: Work | null;
  readonly outlays: readonly Outlay[];
  readonly job: JobOutlay;
  /** Expected cost of doing it; a hub has the bearing it spares taken off. */
  readonly mean: number;
}
/** Whether a fix is one part and nothing else. */
export const isAlone = (fix: Fix): fix is PartFix =>
  fix.kind === 'part' && fix.with.length === 0 && fix.work === null;
export type Fix = PartFix | { kind: 'work'; work: Work; cost: number };

/**
 * Chance that doing `fix` takes `fault` away, in a vehicle built so; a part bad from the box takes nothing away.
 *
 * @param exist the parts that are there to be fitted
 */
export const takesAway = (
  fix: Fix,
  fault: Fault,
  exist: readonly PartClass[],
  architecture: Architecture,
  a: Assumptions,
): number => {
  if (fix.kind === 'work') return workCures(fix.work, fault, a);
  const left = fix.outlays.reduce(
    (stays, { part, chosen, badShare }) =>
      exist.includes(part)
        ? stays *
          (1 -
            Math.min(
              1,
              cureChance(part, fault, architecture, a) * soundFromStart(chosen?.tier ?? null, a, badShare),
            ))
        : stays,
    fix.work ? 1 - workCures(fix.work, fault, a) : 1,
  );
  return 1 - left;
};

const worksCost = (work: Work, docket: Docket, rates: Rates, a: Assumptions): number => {
  // Cleared already, and it stayed away: nothing is left to do.
  const cleared =
    work === 'none-present' &&
    (docket.checks ?? []).some((check) => check.check === 'clear-and-drive' && check.result === 'stays-away');
  return cleared ? 0 : workHours(work, rates, a) * rates.labour + a.get(`work.extra.${work}`);
};

/** Every part alone, the pairs that go bad together, and parts with the loom mended in the same visit. */
const partFixes = (outlays: readonly Outlay[], rates: Rates, a: Assumptions): PartFix[] => {
  const overlap = a.get('overlap.same-wheel');
  const fixOf = (parts: readonly Outlay[], work: Work | null = null): PartFix => {
    const fitted = together(parts, overlap, rates);
    const job = work
      ? withWork(fitted, workHours(work, rates, a), a.get(`work.extra.${work}`), overlap, rates)
      : fitted;
    const [main] = parts as [Outlay];
    return {
      kind: 'part',
      part: main.part,
      with: parts.slice(1).map(({ part }) => part),
      work,
      outlays: parts,
      job,
      mean: jobCost(job) - parts.reduce((sum, { spared }) => sum + spared.chance * spared.cost, 0),
    };
  };
  const outlayOf = (part: PartClass) => outlays.find((outlay) => outlay.part === part);
  return [
    ...outlays.map((outlay) => fixOf([outlay])),
    ...PAIRS.flatMap(([one, other]) => {
      const [first, second] = [outlayOf(one), outlayOf(other)];
      return first && second ? [fixOf([first, second])] : [];
    }),
    ...WITH_WORK.flatMap(([part, work]) => {
      const outlay = outlayOf(part);
      return outlay ? [fixOf([outlay], work)] : [];
    }),
  ];
};

/** Everything that can be done at a wheel end: parts, pairs, and work without a part. */
export const fixesAt = (docket: Docket, outlays: readonly Outlay[], rates: Rates, a: Assumptions): Fix[] => [
  ...partFixes(outlays, rates, a),
  ...WORKS.map((work): Fix => ({ kind: 'work', work, cost: worksCost(work, docket, rates, a) })),
];
