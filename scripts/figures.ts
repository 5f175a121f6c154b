/** Mean of values. */
export const mean = (values: readonly number[]): number =>
  values.reduce((sum, v) => sum + v, 0) / values.length;
const half = (values: readonly number[]): number => {
  const m = mean(values);
  return (
    (1.96 * Math.sqrt(values.reduce((sum, v) => sum + (v - m) ** 2, 0) / (values.length - 1))) /
    Math.sqrt(values.length)
  );
};
/** Mean and half of the 95 % interval, `times` larger, as a table shows it. */
export const figure = (values: readonly number[], digits: number, times = 1): string =>
  `${(mean(values) * times).toFixed(digits)} \u00B1 ${(half(values) * times).toFixed(digits)}`;
