/** Share of pi times the diameter a tyre rolls: it is flattened where it stands. Trade figure, 0.96 to 0.97. */
const ROLLS = 0.965;
/** A tyre at half its pressure rolls about this much shorter: the belt hardly stretches. */
const SHORTER_AT_HALF = 0.006;
/** A tyre as section width in mm, height as percent of it, rim in inches: ISO 4000-1 designation. */
export interface TyreSize {
  readonly width: number;
  readonly aspect: number;
  readonly rim: number;
}

/** Written as on the sidewall. */
export const tyreText = ({ width, aspect, rim }: TyreSize): string => `${width}/${aspect} R${rim}`;

/**
 * Rolling circumference, m.
 * @param wornMm tread worn away
 * @param pressure share of what it should be
 */
export const rollingMetres = ({ width, aspect, rim }: TyreSize, wornMm = 0, pressure = 1): number => {
  const diameter = 25.4 * rim + (2 * width * aspect) / 100 - 2 * wornMm;
  const soft = Math.max(0, 1 - pressure) * 2 * SHORTER_AT_HALF;
  return (ROLLS * Math.PI * diameter * (1 - soft)) / 1000;
};
