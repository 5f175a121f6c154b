import type { Assumptions } from '../assumptions/assumptions.ts';
import { FIGURE_BY_KEY, type Tool } from '../vocabulary/partFigures.ts';
import type { CataloguePart } from '../vocabulary/catalogue.ts';

/** One figure taken of the old part. */
export interface Reading {
  readonly key: string;
  readonly value: number | string;
  readonly tool: Tool;
}

/** Standard deviation in mm of a length `value` taken with a tool. */
export const deviationOf = (key: string, value: number, tool: Tool, a: Assumptions): number =>
  Math.hypot(
    a.get(`tool.${tool}`),
    a.get('tool.part-varies'),
    key === 'leadLength' ? value * a.get('tool.lead-share') : 0,
  );

/** Chance density of a reading that the catalogue is silent about: neither for nor against. */
const SILENT = 1;

/**
 * How likely a reading is if the part on the counter is this one: a bell around the catalogue's length, a count right
 * or off by one, a look right or misseen. Scaled so that a perfect reading gives one; a part whose figure the
 * catalogue does not know is neither favoured nor ruled out.
 */
export const readingChance = (part: CataloguePart, reading: Reading, a: Assumptions): number => {
  const figure = FIGURE_BY_KEY.get(reading.key);
  if (!figure) return SILENT;
  if (figure.kind === 'look') {
    const is = part.looks[reading.key];
    if (is === undefined) return SILENT;
    const right = a.get('look.right');
    const others = Math.max(1, (figure.values?.length ?? 2) - 1);
    return is.toLowerCase() === String(reading.value).toLowerCase() ? 1 : (1 - right) / others / right;
  }
  const is = part.measures[reading.key];
  const value = Number(reading.value);
  if (is === undefined || !Number.isFinite(value)) return SILENT;
  if (figure.kind === 'count') {
    const off = Math.abs(is - value);
    const right = a.get('count.right');
    if (off === 0) return 1;
    if (off === 1) return a.get('count.off-by-one') / 2 / right;
    return (1 - right - a.get('count.off-by-one')) / 10 / right;
  }
  // A heavy tail: now and then a figure is taken from the wrong edge altogether.
  const z = (value - is) / deviationOf(reading.key, is, reading.tool, a);
  return 0.995 * Math.exp(-0.5 * z * z) + 0.005 * Math.exp(-Math.abs(z) / 20);
};
