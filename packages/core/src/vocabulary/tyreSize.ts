/** A tyre read from its sidewall. Lengths in millimetres. */
export interface Tyre {
  readonly width: number;
  readonly rim: number;
  readonly diameter: number;
}

/** Rims are sold in inches. */
export const MM_PER_INCH = 25.4;
/** Profile of a tyre whose size gives none, such as 7.50R16: nearly as high as wide. ISO 4000 full-profile series. */
const FULL_PROFILE = 0.95;
/** Old metric sizes without a profile, such as 185R14, are of the 80 series. */
const METRIC_DEFAULT_PROFILE = 0.8;

const metric =
  /^(?:LT|ST|P|C|T)?\s*(\d{3})\s*\/\s*(\d{2,3})\s*(?:Z?R|-|D|B)?\s*F?\s*(\d{2}(?:[.,]5)?)(?!\d)/i;
const metricNoProfile = /^(\d{3})\s*(?:Z?R|-)\s*(\d{2})(?!\d)/i;
const flotation =
  /^(?:LT)?\s*(\d{2}(?:[.,]\d{1,2})?)\s*[xX\u00D7*]\s*(\d{1,2}(?:[.,]\d{1,2})?)\s*(?:Z?R|-)?\s*(\d{2}(?:[.,]5)?)(?!\d)/i;
const inches = /^(\d{1,2}(?:[.,]\d{1,2})?)\s*(?:Z?R|-)\s*(\d{2}(?:[.,]5)?)(?!\d)/i;

const number = (text: string | undefined): number => Number((text ?? '').replace(',', '.'));

/**
 * Reads a tyre size in any usual notation: `205/55 R16 91V`, `205/55ZR16`, `LT245/75R16`, `31x10.50R15`, `7.50R16`.
 * Overall diameter of `W/A R D` is 25.4 D + 2 W A / 100 mm (ISO 4000-1). Null when it is no tyre size.
 */
export const parseTyreSize = (text: string): Tyre | null => {
  const size = text.trim();
  let match = metric.exec(size);
  if (match) {
    const width = number(match[1]);
    const rim = number(match[3]) * MM_PER_INCH;
    const aspect = number(match[2]);
    if (width < 105 || width > 760 || aspect < 20 || aspect > 110) return null;
    return { width, rim, diameter: rim + (2 * width * aspect) / 100 };
  }
  match = metricNoProfile.exec(size);
  if (match) {
    const width = number(match[1]);
    const rim = number(match[2]) * MM_PER_INCH;
    return { width, rim, diameter: rim + 2 * width * METRIC_DEFAULT_PROFILE };
  }
  match = flotation.exec(size);
  if (match) {
    const diameter = number(match[1]) * MM_PER_INCH;
    const rim = number(match[3]) * MM_PER_INCH;
    return rim < diameter ? { width: number(match[2]) * MM_PER_INCH, rim, diameter } : null;
  }
  match = inches.exec(size);
  if (match) {
    const width = number(match[1]) * MM_PER_INCH;
    const rim = number(match[2]) * MM_PER_INCH;
    return { width, rim, diameter: rim + 2 * width * FULL_PROFILE };
  }
  return null;
};

/**
 * Percentage by which a wheel with `tyre` reads low (negative) or high against one with `other`:
 * a larger tyre turns slower and reads low by the ratio of diameters.
 */
export const readsAgainst = (tyre: Tyre, other: Tyre): number => (other.diameter / tyre.diameter - 1) * 100;
