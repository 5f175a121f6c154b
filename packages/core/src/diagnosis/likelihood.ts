import type { Fault } from '../faultKinds/faultData.ts';
import type { Answering, Finding } from './finding.ts';

const TINY = 1e-12;

/** Chance that a check is sound though these faults hold: each hides with n_i / n_0 of the sound vehicle's chance. */
export const soundChance = (
  { normal, jointly }: Pick<Finding, 'normal' | 'jointly'>,
  faults: readonly Fault[],
  answering: Answering,
): number => {
  if (!normal) return 0;
  const joint = faults.length === 2 ? (jointly?.(faults, 'normal', answering) ?? null) : null;
  if (joint !== null) return joint;
  const [only] = faults;
  if (only !== undefined && faults.length === 1) return normal(only, answering);
  const base = normal(null, answering);
  let product = base;
  for (const fault of faults) product *= Math.min(1, normal(fault, answering) / base);
  return product;
};

/** Whether a finding is as likely with this fault beside others as without it: then it need not be reckoned with. */
export const showsNothing = ({ kind, seen, normal }: Finding, fault: Fault, answering: Answering): boolean =>
  kind === 'factor' || kind === 'absent'
    ? seen(fault, answering) === 1
    : seen(fault, answering) === seen(null, answering) &&
      (!normal || normal(fault, answering) === normal(null, answering));

/** Chance of one finding under any faults that hold at once. */
export type Likelihood = (faults: readonly Fault[]) => number;

const presentUnder = ({ seen }: Finding, answering: Answering): Likelihood => {
  const leak = seen(null, answering);
  return (faults) => {
    const [only] = faults;
    if (only === undefined) return Math.max(TINY, leak);
    if (faults.length === 1) return Math.max(TINY, seen(only, answering));
    let missed = 1;
    for (const fault of faults) missed *= 1 - seen(fault, answering);
    return Math.max(TINY, 1 - missed / (1 - leak) ** (faults.length - 1));
  };
};

const factorUnder = ({ seen }: Finding, answering: Answering): Likelihood => {
  const leak = Math.max(TINY, seen(null, answering));
  return (faults) => {
    if (faults.length === 0) return leak;
    let product = 1;
    for (const fault of faults) product *= seen(fault, answering);
    return product;
  };
};

const checkUnder = (finding: Finding, normal: Finding['seen'], answering: Answering): Likelihood => {
  const { seen, jointly, isNormal } = finding;
  const plain = seen(null, answering);
  const base = normal(null, answering);
  return (faults) => {
    const [only] = faults;
    if (only === undefined) return Math.max(TINY, plain);
    if (faults.length === 1) return Math.max(TINY, seen(only, answering));
    const joint = faults.length === 2 ? (jointly?.(faults, 'seen', answering) ?? null) : null;
    if (joint !== null) return Math.max(TINY, joint);
    if (isNormal) return Math.max(TINY, soundChance(finding, faults, answering));
    let hiddenAll = 1;
    let adds = 0;
    let shows = 0;
    for (const fault of faults) {
      const hidden = Math.min(1, normal(fault, answering) / base);
      hiddenAll *= hidden;
      adds += Math.max(0, seen(fault, answering) - hidden * plain);
      shows += 1 - hidden;
    }
    return Math.max(TINY, hiddenAll * plain + (shows > 0 ? ((1 - hiddenAll) * adds) / shows : 0));
  };
};

/**
 * Chance of a finding when several faults hold at once. A reading that says nothing has chance one under all.
 *
 * Method: noisy-or on the abnormal. With leak l (nothing wrong) and chances p_i, a present finding has
 * 1 - prod(1 - p_i) / (1 - l)^(n-1); an absent one the product of its chances. In a check each fault adds to what a
 * sound vehicle shows: it stays hidden with h_i = n_i / n_0, and else shows x_i(r) = p_i(r) - h_i p_0(r). Together the
 * result is what a sound vehicle shows with H = prod(h_i), and else shared in proportion to the x_i; a fault that does
 * not show in this check (its row is the sound one) changes nothing. One fault alone gives its own row exactly;
 * two of one mechanism (a swollen ring and the tip it grinds) have a row of their own.
 */
export const likelihoodUnder = (finding: Finding, answering: Answering): Likelihood => {
  if (finding.says && !finding.says(answering)) return () => 1;
  if (finding.kind === 'factor' || finding.kind === 'absent') return factorUnder(finding, answering);
  return finding.kind === 'present' || !finding.normal
    ? presentUnder(finding, answering)
    : checkUnder(finding, finding.normal, answering);
};

/** The same for one set of faults. */
export const likelihood = (finding: Finding, faults: readonly Fault[], answering: Answering): number =>
  likelihoodUnder(finding, answering)(faults);
