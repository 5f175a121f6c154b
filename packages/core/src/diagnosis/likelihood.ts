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
  return faults.reduce((product, fault) => product * Math.min(1, normal(fault, answering) / base), base);
};

/** Whether a finding is as likely with this fault beside others as without it: then it need not be reckoned with. */
export const showsNothing = ({ kind, seen, normal }: Finding, fault: Fault, answering: Answering): boolean =>
  kind === 'factor' || kind === 'absent'
    ? seen(fault, answering) === 1
    : seen(fault, answering) === seen(null, answering) &&
      (!normal || normal(fault, answering) === normal(null, answering));

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
export const likelihood = (finding: Finding, faults: readonly Fault[], answering: Answering): number => {
  const { seen, normal } = finding;
  if (finding.says && !finding.says(answering)) return 1;
  const [only] = faults;
  if (only === undefined) return Math.max(TINY, seen(null, answering));
  if (finding.kind === 'factor' || finding.kind === 'absent')
    return faults.reduce((product, fault) => product * seen(fault, answering), 1);
  if (faults.length === 1) return Math.max(TINY, seen(only, answering));
  if (finding.kind === 'present' || !normal) {
    const leak = seen(null, answering);
    const missed = faults.reduce((product, fault) => product * (1 - seen(fault, answering)), 1);
    return Math.max(TINY, 1 - missed / (1 - leak) ** (faults.length - 1));
  }
  const joint = faults.length === 2 ? (finding.jointly?.(faults, 'seen', answering) ?? null) : null;
  if (joint !== null) return Math.max(TINY, joint);
  if (finding.isNormal) return Math.max(TINY, soundChance(finding, faults, answering));
  const plain = seen(null, answering);
  const base = normal(null, answering);
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
