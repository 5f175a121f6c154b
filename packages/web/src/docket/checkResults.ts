import { CHECK_RESULTS, type Check, type CheckName } from '@hardy/core/plain';

/** Results one can pick with one key for a check; a check that is only measured has none. */
export const pickableResults = (check: CheckName): readonly string[] =>
  check in CHECK_RESULTS ? CHECK_RESULTS[check as keyof typeof CHECK_RESULTS] : [];

export interface Measure {
  readonly label: string;
  readonly unit: string;
  readonly max: number;
}

/** Checks that take a measured number, with its unit. */
export const CHECK_MEASURES: Readonly<Partial<Record<CheckName, Measure>>> = {
  'meter.resistance': { label: 'or the reading', unit: 'ohm', max: 1e9 },
  'meter.supply': { label: 'volts at the open plug', unit: 'V', max: 60 },
  'meter.ac': { label: 'volts AC, one turn a second', unit: 'V', max: 200 },
  battery: { label: 'volts at rest', unit: 'V', max: 60 },
};

/** Checks offered at the counter, in the order of the work. */
export const CHECK_ORDER: readonly CheckName[] = [
  'visual.connector',
  'visual.ring',
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
  'battery',
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
