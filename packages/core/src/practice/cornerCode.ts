import type { WheelEnd } from '../vocabulary/wheelEnd.ts';

const CORNERS: Readonly<Record<WheelEnd, string>> = {
  A1L: 'C0031',
  A1R: 'C0034',
  A2L: 'C0037',
  A2R: 'C003A',
  // The standard names two axles: further ones are in the makers' own range.
  A3L: 'C1E37',
  A3R: 'C1E3A',
};

/** The code of a wheel speed sensor at a wheel end, of SAE J2012-DA where it has one, without what failed. */
export const cornerCode = (end: WheelEnd): string => CORNERS[end] ?? 'C1E3F';
