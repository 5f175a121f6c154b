import { PART_FIGURES } from '../partKinds/partData.ts';
import type { PartFigure } from '../partKinds/partFigure.ts';

/** Every figure by its key. */
export const FIGURE_BY_KEY: ReadonlyMap<string, PartFigure> = new Map(
  Object.values(PART_FIGURES)
    .flat()
    .map((figure) => [figure.key, figure]),
);

/** Tools on the counter. */
export const TOOLS = ['caliper', 'ruler', 'tape', 'eye'] as const;
export type Tool = (typeof TOOLS)[number];
