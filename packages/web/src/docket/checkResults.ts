import { CHECK_RESULTS, type Check, type CheckName } from '@hardy/core/plain';

/** Results one can pick with one key for a check; a check that is only measured has none. */
export const pickableResults = (check: CheckName): readonly string[] =>
  check in CHECK_RESULTS ? CHECK_RESULTS[check as keyof typeof CHECK_RESULTS] : [];

/** Checks offered at the counter, in the order of the work. */
export const CHECK_ORDER: readonly CheckName[] = [
  'visual.connector',
  'visual.ring',
  'ring.teeth',
  'visual.sensor',
  'visual.harness',
  'bearing.play',
  'bearing.noise',
  'wiggle',
  'live',
  'meter.resistance',
  'meter.supply',
  'meter.ac',
  'clear-and-drive',
  'swap',
  'tyres',
  'battery',
  'lamps',
  'brake.fluid',
];

/** A check with a picked result. */
export const checkWithResult = (check: CheckName, result: string, wheelEnd: string | null): Check => {
  const at = { check, wheelEnd };
  if (check === 'live') return { ...at, pattern: result } as Check;
  if (check === 'meter.resistance') return { ...at, of: 'sensor', ohms: result } as Check;
  return { ...at, result } as Check;
};

/** A check with a measured number in its unit. */
export const checkWithMeasure = (check: CheckName, value: number, wheelEnd: string | null): Check => {
  const at = { check, wheelEnd };
  if (check === 'meter.resistance') return { ...at, of: 'sensor', ohms: value } as Check;
  if (check === 'battery') return { ...at, restingVolts: value } as Check;
  if (check === 'meter.ac') return { ...at, volts: value, turnsPerSecond: 1 } as Check;
  return { ...at, volts: value } as Check;
};
