/**
 * Natural logarithm of the upper tail of a standard normal at `z`, good to a few percent also far out:
 * for z > 5 by Mills' ratio, else by the complementary error function of Abramowitz and Stegun 7.1.26.
 */
export const logNormalTail = (z: number): number => {
  if (z > 5) return -0.5 * z * z - Math.log(z * Math.sqrt(2 * Math.PI)) - 1 / (z * z);
  const x = Math.abs(z) / Math.SQRT2;
  const t = 1 / (1 + 0.3275911 * x);
  const poly =
    t * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))));
  const tail = 0.5 * poly * Math.exp(-x * x);
  return Math.log(z >= 0 ? Math.max(tail, 1e-12) : 1 - tail);
};

/** Logarithm of the chance that chi-square with `degrees` of freedom exceeds `value`. Wilson and Hilferty's cube root. */
export const logChiSquareTail = (value: number, degrees: number): number => {
  if (degrees === 2) return -value / 2;
  const spread = 2 / (9 * degrees);
  return logNormalTail((Math.cbrt(value / degrees) - (1 - spread)) / Math.sqrt(spread));
};
