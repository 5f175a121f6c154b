/** Steps people count money in. */
const STEPS = [1, 2, 2.5, 5, 10];

/**
 * Round ticks of an axis from `low` to `high`, about `count` of them, the ends among them: no figure stands on an axis
 * that nobody would say.
 */
export const roundTicks = (low: number, high: number, count: number): number[] => {
  const span = Math.max(high - low, 1e-9);
  const size = 10 ** Math.floor(Math.log10(span / count));
  const step = size * (STEPS.find((each) => each * size >= span / count) ?? 10);
  const first = Math.floor(low / step + 1e-9);
  const last = Math.ceil(high / step - 1e-9);
  return Array.from({ length: last - first + 1 }, (_, i) => (first + i) * step);
};
