import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Architecture } from '../diagnosis/architecture.ts';
import type { BuiltPlan } from './buildPlan.ts';
import type { CornerProblem } from './buildProblem.ts';

/** So far ahead both are looked at: a question is set against others, and each answer is a plan of its own. */
const STEPS = 2;

/** The belief at a wheel end in parts, by something of how it is built; each part sums to the chance of it. */
const beliefsBy = <K>(corner: CornerProblem, keyOf: (architecture: Architecture) => K): Map<K, number[]> => {
  const parts = new Map<K, number[]>();
  for (const { p, architecture, at } of corner.truths) {
    const key = keyOf(architecture);
    const belief = parts.get(key) ?? corner.problem.belief.map(() => 0);
    belief[at] = (belief[at] as number) + p;
    parts.set(key, belief);
  }
  return parts;
};

/**
 * What asking how a wheel end is built, or looking it up, saves on this job: the plan's cost now, less the mean of what it
 * costs knowing each answer, less the minutes of asking. Money; not below zero. Zero where nothing is open.
 */
export const askWorth = (
  { corner, solve, depth: planned }: BuiltPlan,
  field: keyof Architecture,
  perMinute: number,
  a: Assumptions,
): number => {
  const depth = Math.min(STEPS, planned);
  const byValue = beliefsBy(corner, (architecture) => String(architecture[field]));
  if (byValue.size < 2) return 0;
  const now = solve.best(solve.start, depth).value;
  const knowing = [...byValue].reduce((sum, [value, belief]) => {
    const chance = belief.reduce((total, p) => total + p, 0);
    if (chance <= 0) return sum;
    const told = {
      ...solve.start,
      belief: belief.map((p) => p / chance),
      key: `ask ${field} ${value}`,
    };
    return sum + chance * solve.best(told, depth).value;
  }, 0);
  return Math.max(0, now - knowing - a.get('ask.minutes') * perMinute);
};

/** What knowing how a wheel end is built would do for the decision there. */
export interface KnownBuild {
  /** What it saves on average, the asking not yet paid. Money. */
  readonly saves: number;
  /** Chance that something would then be fitted or done here, where now it would be handed on. */
  readonly fixes: number;
}

/** The decision at a wheel end, had one been told how it is built: each way planned for itself, weighed by its chance. */
export const knownBuild = ({ corner, solve, depth: planned }: BuiltPlan): KnownBuild => {
  const depth = Math.min(STEPS, planned);
  const byBuild = beliefsBy(corner, (architecture) => architecture);
  const now = solve.best(solve.start, depth).value;
  let knowing = 0;
  let fixes = 0;
  let number = 0;
  for (const belief of byBuild.values()) {
    const chance = belief.reduce((total, p) => total + p, 0);
    const told = { ...solve.start, belief: belief.map((p) => p / chance), key: `build ${number++}` };
    const { value, choice } = solve.best(told, depth);
    knowing += chance * value;
    if (choice.kind !== 'refer') fixes += chance;
  }
  return { saves: Math.max(0, now - knowing), fixes };
};
