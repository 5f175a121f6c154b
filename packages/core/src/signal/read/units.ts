/** Units a wheel speed may be logged in, and what one of them is in km/h. Turns need the rolling circumference. */
export const SPEED_UNITS = ['km/h', 'mph', 'm/s', 'ft/s', 'rpm', 'rad/s'] as const;
export type SpeedUnit = (typeof SPEED_UNITS)[number];

export const TIME_UNITS = ['s', 'ms', 'us', 'min', 'clock', 'days'] as const;
export type TimeUnit = (typeof TIME_UNITS)[number];

/** One unit in km/h; `circumference` in metres serves the units that count turns. */
export const inKmh = (unit: SpeedUnit, circumference: number): number => {
  switch (unit) {
    case 'km/h':
      return 1;
    case 'mph':
      return 1.609344;
    case 'm/s':
      return 3.6;
    case 'ft/s':
      return 1.09728;
    case 'rpm':
      return (circumference / 60) * 3.6;
    case 'rad/s':
      return (circumference / (2 * Math.PI)) * 3.6;
  }
};

const SPEED_WORDS: ReadonlyArray<readonly [RegExp, SpeedUnit]> = [
  [/k\s?m\s?\/\s?h|\bkmh\b|\bkph\b|\bkmph\b|km per h/i, 'km/h'],
  [/\bmph\b|\bmi\s?\/\s?h\b|miles?/i, 'mph'],
  [/\bm\s?\/\s?s\b|\bmps\b|\bm s-1\b|\bms-1\b|met(re|er)s? per s/i, 'm/s'],
  [/\bft\s?\/\s?s\b|\bfps\b/i, 'ft/s'],
  [/\brpm\b|\b(rev|u|1|r)\s?\/\s?min\b|\bmin-1\b/i, 'rpm'],
  [/\brad\s?\/\s?s(ec)?\b/i, 'rad/s'],
];

const TIME_WORDS: ReadonlyArray<readonly [RegExp, TimeUnit]> = [
  [/\bms(ec)?\b|milli/i, 'ms'],
  [/\bus(ec)?\b|\u00B5s|micro/i, 'us'],
  [/\bmin(utes?)?\b/i, 'min'],
  [/\bs(ec|econds?)?\b/i, 's'],
];

/** A speed unit named in a heading, or null. Underscores stand for spaces. */
export const speedUnitIn = (heading: string): SpeedUnit | null =>
  SPEED_WORDS.find(([word]) => word.test(heading.replace(/_/g, ' ')))?.[1] ?? null;

/** A time unit named in a heading, or null. */
export const timeUnitIn = (heading: string): TimeUnit | null =>
  TIME_WORDS.find(([word]) => word.test(heading.replace(/_/g, ' ')))?.[1] ?? null;
