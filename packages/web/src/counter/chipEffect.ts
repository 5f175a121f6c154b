import type { Chip } from '@hardy/core/words';
import type { Preview } from '../state/useCounter.ts';

/** How the fact of a chip moved the answer that is shown, or null where it moved little or is no fact. */
export const chipEffect = (chip: Chip, preview: Preview | null): string | null => {
  const path = preview?.paths[chip.path ?? ''];
  return preview?.advice.facts.find((fact) => fact.path === path)?.effects[0]?.words ?? null;
};
