import type { Cause } from '../vocabulary/words.ts';
import type { Architecture } from './architecture.ts';
import type { Finding } from './finding.ts';

const TINY = 1e-12;

/**
 * Chance of a finding when several causes hold at once.
 *
 * Method: noisy-or on the abnormal. With leak l (nothing wrong) and chances p_i, a present finding has
 * 1 - prod(1 - p_i) / (1 - l)^(n-1); a check is normal with prod(n_i) / n_0^(n-1), and its abnormal results share
 * the rest in proportion to what each cause gives them. One cause alone gives its own table row exactly.
 */
export const likelihood = (
  finding: Finding,
  causes: readonly Cause[],
  architecture: Architecture,
): number => {
  const { seen, normal } = finding;
  const [only] = causes;
  if (only === undefined) return Math.max(TINY, seen(null, architecture));
  if (finding.kind === 'factor')
    return causes.reduce((product, cause) => product * seen(cause, architecture), 1);
  if (causes.length === 1) return Math.max(TINY, seen(only, architecture));
  if (finding.kind === 'present' || !normal) {
    const leak = seen(null, architecture);
    const missed = causes.reduce((product, cause) => product * (1 - seen(cause, architecture)), 1);
    return Math.max(TINY, 1 - missed / (1 - leak) ** (causes.length - 1));
  }
  const base = normal(null, architecture);
  const allNormal = Math.min(
    1,
    causes.reduce((product, cause) => product * normal(cause, architecture), 1) / base ** (causes.length - 1),
  );
  if (finding.isNormal) return Math.max(TINY, allNormal);
  const abnormal = causes.reduce((sum, cause) => sum + 1 - normal(cause, architecture), 0);
  const thisResult = causes.reduce((sum, cause) => sum + seen(cause, architecture), 0);
  return Math.max(TINY, abnormal > 0 ? ((1 - allNormal) * thisResult) / abnormal : TINY);
};
