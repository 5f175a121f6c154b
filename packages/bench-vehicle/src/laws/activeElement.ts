/** How fast the field of a pole falls with the gap, mm: pole pitch over pi, about 2.8 mm poles. */
const POLE_FALLS_OVER_MM = 0.9;
const REFERENCE_GAP_MM = 1;
/** Below this share of a sound pole's field at the reference gap the element does not switch (its hysteresis). */
export const SWITCHES_FROM = 0.35;
/** Currents of the two states, A: 7 and 14 mA, as two-wire elements of this kind draw. */
const LOW_A = 0.007;
export const HIGH_A = 0.014;
/** The element needs so many volts to work. */
const LEAST_VOLTS = 4.5;
/** Between these the controller tells the states apart, A. */
const LEVEL_A = 0.0105;
const SHORT_A = 0.03;
const OPEN_A = 0.0035;

/** Share of a sound pole's field at the tip; it does not depend on speed, so the element works from standstill. */
export const poleField = (gapMm: number, field = 1): number =>
  field * Math.exp(-(gapMm - REFERENCE_GAP_MM) / POLE_FALLS_OVER_MM);

/** How the current loop of an active element stands. */
export type LoopState = 'works' | 'open' | 'short' | 'starved' | 'levels-merge';

/**
 * The loop as the controller sees it: supply through the series resistance to the element, and what leaks to ground
 * beside it. A resistance starves the element at its high current; a leak lifts the low level until both look high.
 */
export const loopState = (supplyVolts: number, seriesOhms: number, leakOhms: number): LoopState => {
  if (seriesOhms === Infinity) return 'open';
  const leak = leakOhms === Infinity ? 0 : supplyVolts / Math.max(1, leakOhms);
  if (leak > SHORT_A) return 'short';
  const atElement = supplyVolts - (HIGH_A + leak) * seriesOhms;
  if (atElement < LEAST_VOLTS)
    return supplyVolts / Math.max(1, seriesOhms + supplyVolts / HIGH_A) < OPEN_A ? 'open' : 'starved';
  return LOW_A + leak > LEVEL_A ? 'levels-merge' : 'works';
};
