import type { Fault } from '../faultKinds/faultData.ts';
import type { Answering, Finding } from './finding.ts';
import { memo } from './memo.ts';

const TINY = 1e-12;

/** Lists of faults by number: which faults there are, how many each list has, and which, one list after another. */
interface Numbered {
  readonly faults: readonly Fault[];
  readonly counts: Uint8Array;
  readonly numbers: Uint8Array;
}
const numbered = new WeakMap<ReadonlyArray<readonly Fault[]>, Numbered>();

const numberedOf = (lists: ReadonlyArray<readonly Fault[]>): Numbered =>
  memo(numbered, lists, () => {
    const faults = [...new Set(lists.flat())];
    const number = new Map(faults.map((fault, i) => [fault, i]));
    return {
      faults,
      counts: Uint8Array.from(lists.map(({ length }) => length)),
      numbers: Uint8Array.from(lists.flat().map((fault) => number.get(fault) ?? 0)),
    };
  });

/** Chances of a finding under nothing, and under each of some faults by number. */
interface Row {
  readonly plain: number;
  readonly each: readonly number[];
}
const rowOf = (chance: Finding['seen'], faults: readonly Fault[], answering: Answering): Row => ({
  plain: chance(null, answering),
  each: faults.map((fault) => chance(fault, answering)),
});

/** A row under `count` faults from `at` on: the chance that a check is sound, each fault hiding with n_i / n_0. */
const soundTogether = ({ plain, each }: Row, numbers: Uint8Array, at: number, count: number): number => {
  if (count === 1) return each[numbers[at] as number] as number;
  let product = plain;
  for (let i = at; i < at + count; i++)
    product *= Math.min(1, (each[numbers[i] as number] as number) / plain);
  return product;
};

const factorTogether = ({ plain, each }: Row, numbers: Uint8Array, at: number, count: number): number => {
  if (count === 0) return Math.max(TINY, plain);
  let product = 1;
  for (let i = at; i < at + count; i++) product *= each[numbers[i] as number] as number;
  return product;
};

const presentTogether = ({ plain, each }: Row, numbers: Uint8Array, at: number, count: number): number => {
  let missed = 1;
  for (let i = at; i < at + count; i++) missed *= 1 - (each[numbers[i] as number] as number);
  return 1 - missed / (1 - plain) ** (count - 1);
};

const abnormalTogether = (seen: Row, normal: Row, numbers: Uint8Array, at: number, count: number): number => {
  let hiddenAll = 1;
  let adds = 0;
  let shows = 0;
  for (let i = at; i < at + count; i++) {
    const fault = numbers[i] as number;
    const hidden = Math.min(1, (normal.each[fault] as number) / normal.plain);
    hiddenAll *= hidden;
    adds += Math.max(0, (seen.each[fault] as number) - hidden * seen.plain);
    shows += 1 - hidden;
  }
  return hiddenAll * seen.plain + (shows > 0 ? ((1 - hiddenAll) * adds) / shows : 0);
};

const isProduct = ({ kind }: Finding): boolean => kind === 'factor' || kind === 'absent';

/**
 * Chances of a finding under many lists of faults that hold at once. A reading that says nothing has chance one under all.
 *
 * Method: noisy-or on the abnormal. With leak l (nothing wrong) and chances p_i, a present finding has
 * 1 - prod(1 - p_i) / (1 - l)^(n-1); an absent one the product of its chances. In a check each fault adds to what a
 * sound vehicle shows: it stays hidden with h_i = n_i / n_0, and else shows x_i(r) = p_i(r) - h_i p_0(r). Together the
 * result is what a sound vehicle shows with H = prod(h_i), and else shared in proportion to the x_i; a fault that does
 * not show in this check (its row is the sound one) changes nothing. One fault alone gives its own row exactly;
 * two of one mechanism (a swollen ring and the tip it grinds) have a row of their own.
 */
export const likelihoods = (
  finding: Finding,
  lists: ReadonlyArray<readonly Fault[]>,
  answering: Answering,
): Float64Array => {
  const out = new Float64Array(lists.length);
  if (finding.says && !finding.says(answering)) return out.fill(1);
  const { faults, counts, numbers } = numberedOf(lists);
  const seen = rowOf(finding.seen, faults, answering);
  const normal = finding.normal ? rowOf(finding.normal, faults, answering) : null;
  const product = isProduct(finding);
  const together = (list: number, at: number, count: number): number => {
    if (count === 0) return seen.plain;
    if (count === 1) return seen.each[numbers[at] as number] as number;
    if (finding.kind === 'present' || !normal) return presentTogether(seen, numbers, at, count);
    const joint =
      count === 2 ? finding.jointly?.(lists[list] as readonly Fault[], 'seen', answering) : undefined;
    if (joint != null) return joint;
    return finding.isNormal
      ? soundTogether(normal, numbers, at, count)
      : abnormalTogether(seen, normal, numbers, at, count);
  };
  for (let list = 0, at = 0; list < out.length; list++) {
    const count = counts[list] as number;
    out[list] = product
      ? factorTogether(seen, numbers, at, count)
      : Math.max(TINY, together(list, at, count));
    at += count;
  }
  return out;
};

/** Chance of a finding when several faults hold at once. */
export const likelihood = (finding: Finding, faults: readonly Fault[], answering: Answering): number =>
  likelihoods(finding, [faults], answering)[0] as number;

/** Chances that a check shows anything abnormal at all under many lists of faults; one where it says nothing. */
export const abnormalChances = (
  finding: Finding,
  lists: ReadonlyArray<readonly Fault[]>,
  answering: Answering,
): Float64Array => {
  const out = new Float64Array(lists.length).fill(1);
  if (!finding.normal || (finding.says && !finding.says(answering))) return out;
  const { faults, counts, numbers } = numberedOf(lists);
  const normal = rowOf(finding.normal, faults, answering);
  for (let list = 0, at = 0; list < out.length; list++) {
    const count = counts[list] as number;
    const joint =
      count === 2 ? finding.jointly?.(lists[list] as readonly Fault[], 'normal', answering) : undefined;
    out[list] = 1 - (joint ?? soundTogether(normal, numbers, at, count));
    at += count;
  }
  return out;
};

/** Whether a finding is as likely with this fault beside others as without it: then it need not be reckoned with. */
export const showsNothing = (finding: Finding, fault: Fault, answering: Answering): boolean => {
  const { seen, normal } = finding;
  return isProduct(finding)
    ? seen(fault, answering) === 1
    : seen(fault, answering) === seen(null, answering) &&
        (!normal || normal(fault, answering) === normal(null, answering));
};
