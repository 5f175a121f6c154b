import type { Chip } from '@hardy/core/plain';
import type { Preview } from '../state/useCounter.ts';

/** Effects smaller than this are not told on a chip: the docket shows them all. */
const TOLD_FROM = 1.5;

/**
 * How the fact of a chip moved the answer that is shown, or null where it moved little. The reading's paths count from
 * the words; the docket's from what was there before them.
 */
export const chipEffect = (chip: Chip, preview: Preview | null): string | null => {
  const at = /^(checks|codes|history|symptoms)\[(\d+)\]$/.exec(chip.path ?? '');
  if (!at || !preview) return null;
  const list = at[1] as keyof Preview['before'];
  const path = `${list}[${Number(at[2]) + preview.before[list]}]`;
  const effect = preview.advice.facts.find((fact) => fact.path === path)?.effects[0];
  return effect && Math.max(effect.factor, 1 / effect.factor) >= TOLD_FROM ? effect.words : null;
};
