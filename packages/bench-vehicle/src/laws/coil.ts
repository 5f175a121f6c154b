/** Temperature coefficient of copper at 20 degC, 1/K: textbook value of annealed copper. */
const COPPER_PER_K = 0.00393;
/** How fast the changing field falls with the gap, mm: a tooth pitch over two pi, about 3.5 mm pitch on road rings. */
export const COIL_FALLS_OVER_MM = 0.55;
/**
 * Peak volts for each tooth a second at the reference gap. Chosen so that a sound coil gives 0.15 V of AC when the wheel is
 * turned by hand once a second past 48 teeth, which is what the trade expects to meter (0.1 V at the least).
 */
const VOLTS_PER_TOOTH_RATE = 0.0045;
/** The gap the figure above holds for, mm. */
const REFERENCE_GAP_MM = 0.8;

/**
 * Resistance of a winding at a temperature, ohm. Copper is linear in temperature; shorted turns take their share of the
 * wire out.
 * @param shortedShare 0 to 1
 */
export const coilOhms = (ohmsAt20: number, celsius: number, shortedShare = 0): number =>
  ohmsAt20 * (1 - shortedShare) * (1 + COPPER_PER_K * (celsius - 20));

/**
 * Peak volts of a passive coil as a tooth passes. By induction it is proportional to how fast the flux changes, so to the
 * teeth a second; the alternating part of the field of a toothed edge falls exponentially with the distance.
 * @param field share of a sound tooth's field (1 for a sound one, 0 where the tooth is gone)
 */
export const coilPeak = (teethPerSecond: number, gapMm: number, field = 1, shortedShare = 0): number =>
  VOLTS_PER_TOOTH_RATE *
  teethPerSecond *
  field *
  (1 - shortedShare) *
  Math.exp(-(gapMm - REFERENCE_GAP_MM) / COIL_FALLS_OVER_MM);

/** What an AC meter shows of a peak: the root mean square of a sine. */
export const rmsOf = (peak: number): number => peak / Math.SQRT2;

/**
 * Share of the coil's volts that reaches the input of the controller: the coil and what stands in series against the
 * input's own resistance, and what leaks to ground on the way.
 */
export const shareArriving = (coil: number, series: number, leak: number, input = 10_000): number => {
  const load = leak === Infinity ? input : (input * leak) / (input + leak);
  return load / (load + coil + series);
};
