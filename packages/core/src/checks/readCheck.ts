import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';
import type { SensorType } from '../vocabulary/words.ts';

/** What a check's result amounts to: the table and the result its likelihood is kept under. */
export interface CheckReading {
  readonly table: string;
  readonly result: string;
}

/** The maker's range of a coil at 20 degC, ohm. */
export interface OhmRange {
  readonly low: number;
  readonly high: number;
}

/** Resistance of copper brought to 20 degC: R / (1 + a (T - 20)). */
export const resistanceAt20 = (ohms: number, temperatureC: number, perKelvin: number): number =>
  ohms / (1 + perKelvin * (temperatureC - 20));

/** A coil's reading brought to 20 degC against its range. */
const coilResult = (
  ohms: number,
  temperatureC: number | null | undefined,
  a: Assumptions,
  range: OhmRange | null,
): 'low' | 'in-range' | 'high' => {
  const at20 = resistanceAt20(ohms, temperatureC ?? 20, a.get('resistance.copper'));
  if (at20 < (range?.low ?? a.get('resistance.passive.low'))) return 'low';
  return at20 > (range?.high ?? a.get('resistance.passive.high')) ? 'high' : 'in-range';
};

const resistance = (
  check: Extract<Check, { check: 'meter.resistance' }>,
  sensor: SensorType,
  a: Assumptions,
  range: OhmRange | null,
): CheckReading | null => {
  if (check.of === 'new-part') {
    const fresh = 'meter.resistance.new-part';
    if (typeof check.ohms === 'string' || check.ohms < a.get('resistance.short'))
      return { table: fresh, result: 'bad' };
    if (sensor === 'active') return null;
    if (check.ohms > a.get('resistance.open')) return { table: fresh, result: 'bad' };
    return {
      table: fresh,
      result: coilResult(check.ohms, check.temperatureC, a, range) === 'in-range' ? 'sound' : 'off',
    };
  }
  if (check.of === 'harness') {
    const table = 'meter.resistance.harness';
    if (typeof check.ohms === 'string') return { table, result: check.ohms };
    return { table, result: check.ohms > a.get('resistance.harness') ? 'open' : 'continuous' };
  }
  const table = `meter.resistance.${sensor}`;
  if (typeof check.ohms === 'string') return { table, result: check.ohms };
  if (check.ohms < a.get('resistance.short')) return { table, result: 'short' };
  // An ohmmeter does not judge an active element: a number says nothing.
  if (sensor === 'active') return null;
  if (check.ohms > a.get('resistance.open')) return { table, result: 'open' };
  return { table, result: coilResult(check.ohms, check.temperatureC, a, range) };
};

/**
 * Judges a check by the kind of sensor it was made on. Null when the reading says nothing there: a ring that could
 * not be seen, AC from an active sensor, ohms of an active element. A coil is judged by `range` where the catalogue
 * has it for that part, else by the rule of thumb.
 */
export const readCheck = (
  check: Check,
  sensor: SensorType,
  a: Assumptions,
  range: OhmRange | null = null,
): CheckReading | null => {
  switch (check.check) {
    case 'meter.resistance':
      return resistance(check, sensor, a, range);
    case 'meter.supply':
      if (sensor === 'passive') return null;
      return {
        table: 'meter.supply',
        result:
          check.volts >= a.get('supply.present')
            ? 'present'
            : check.volts < a.get('supply.absent')
              ? 'absent'
              : 'low',
      };
    case 'meter.ac': {
      if (sensor === 'active') return null;
      const atOneTurn = check.volts / Math.max(check.turnsPerSecond ?? 1, a.get('ac.slowest-turn'));
      return {
        table: 'meter.ac',
        result: atOneTurn >= a.get('ac.good') ? 'good' : atOneTurn < a.get('ac.none') ? 'none' : 'weak',
      };
    }
    case 'visual.ring':
      return check.result === 'not-visible' ? null : { table: check.check, result: check.result };
    case 'ring.teeth':
      return { table: check.check, result: check.counted === check.expected ? 'match' : 'differ' };
    case 'live':
      // Far beyond any tyre or tooth count: what reads so is a signal that is not one.
      return {
        table: 'live',
        result:
          (check.pattern === 'reads-high' || check.pattern === 'reads-low') &&
          Math.abs(check.percent ?? 0) > a.get('live.ratio-most')
            ? 'no-signal'
            : check.pattern,
      };
    case 'battery': {
      if (check.restingVolts == null && check.crankingVolts == null) return null;
      const weak =
        (check.restingVolts != null && check.restingVolts < a.get('battery.resting')) ||
        (check.crankingVolts != null && check.crankingVolts < a.get('battery.cranking'));
      return { table: 'battery', result: weak ? 'weak' : 'good' };
    }
    case 'tyres':
    case 'brake.fluid':
      return null;
    default:
      return { table: check.check, result: check.result };
  }
};

/** The result that says "nothing wrong here", for each table. */
export const NORMAL_RESULT: Readonly<Record<string, string>> = {
  'visual.ring': 'sound',
  'ring.teeth': 'match',
  'visual.sensor': 'sound',
  'visual.connector': 'sound',
  'visual.harness': 'sound',
  'bearing.play': 'none',
  'bearing.noise': 'none',
  wiggle: 'steady',
  swap: 'fault-stayed',
  'meter.resistance.passive': 'in-range',
  'meter.resistance.active': 'says-nothing',
  'meter.resistance.harness': 'continuous',
  'meter.resistance.new-part': 'sound',
  'meter.supply': 'present',
  'meter.ac': 'good',
  live: 'normal',
  'clear-and-drive': 'stays-away',
  battery: 'good',
  lamps: 'out-by-itself',
  tyres: 'match',
};
