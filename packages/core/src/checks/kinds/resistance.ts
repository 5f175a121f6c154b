import type { Assumptions } from '../../assumptions/assumptions.ts';
import type { SensorType } from '../../vocabulary/words.ts';
import {
  figureInWords,
  type CheckOf,
  type CheckReading,
  type CheckSetting,
  type ComputedKind,
  type Doubting,
  type OhmRange,
  type ToldCheck,
  type UnitDoubt,
} from '../computedCheck.ts';

type Resistance = CheckOf<'meter.resistance'>;

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

const reads = (
  check: Resistance,
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

const ohm = (value: number): string =>
  value >= 10000 ? `${(value / 1000).toFixed(1)} kilohm` : `${Math.round(value).toLocaleString('en-GB')} ohm`;

const tells = (check: Resistance, setting: CheckSetting, a: Assumptions): ToldCheck => {
  const { ohms } = check;
  if (check.of === 'harness') {
    if (typeof ohms === 'string')
      return { lines: [`${ohms}: the lead or a joint in it is bad`], says: 'faulty' };
    const limit = a.get('resistance.harness');
    return ohms > limit
      ? { lines: [`${ohm(ohms)} is more than the ${limit} ohm of a sound lead: a bad joint`], says: 'faulty' }
      : {
          lines: [`${ohms} ohm: the lead carries; it says nothing of a fault that comes and goes`],
          says: 'sound',
        };
  }
  const whose = check.of === 'new-part' ? 'the new part' : 'the sensor';
  if (ohms === 'unstable')
    return {
      lines: ['a reading that wanders is a bad joint or a breaking lead, not a value'],
      says: 'faulty',
    };
  if (ohms === 'open')
    return { lines: [`open: ${whose} has no way through; both kinds fail so`], says: 'faulty' };
  if (ohms === 'short' || ohms < a.get('resistance.short'))
    return { lines: [`as good as shorted: ${whose} is bad`], says: 'faulty' };
  if (setting.sensor === 'active')
    return {
      lines: [
        'an ohmmeter does not judge an active sensor, except open or short',
        'meter its known-good twin on the same meter, same leads: a large difference says something',
      ],
      says: 'nothing',
    };
  const at20 = resistanceAt20(ohms, check.temperatureC ?? 20, a.get('resistance.copper'));
  const low = setting.range?.low ?? a.get('resistance.passive.low');
  const high = setting.range?.high ?? a.get('resistance.passive.high');
  const inside = at20 >= low && at20 <= high;
  const source = setting.range ? 'this part' : 'rule of thumb';
  return {
    lines: [
      check.temperatureC != null && check.temperatureC !== 20
        ? `${ohm(ohms)} at ${check.temperatureC} \u00B0C is ${ohm(at20)} at 20 \u00B0C`
        : `${ohm(at20)} at 20 \u00B0C${check.temperatureC == null ? ', if it was about that' : ''}`,
      `${inside ? 'inside' : at20 < low ? 'below' : 'above'} ${ohm(low)} to ${ohm(high)} (${source})`,
      ...(setting.sensor === null
        ? ['judged as a passive coil; an active sensor would not be judged by this']
        : []),
    ],
    says: setting.sensor === null && inside ? 'nothing' : inside ? 'sound' : 'faulty',
  };
};

/** Degrees that are hardly Celsius at a roadside, and surely fit Fahrenheit. */
const FAHRENHEIT_FROM = 55;

const doubts = (check: Resistance, a: Assumptions, doubt: Doubting): UnitDoubt | null => {
  const { ohms, temperatureC } = check;
  const low = a.get('resistance.passive.low') / 4;
  const high = a.get('resistance.passive.high') * 4;
  if (typeof ohms === 'number' && check.of !== 'harness') {
    if (ohms > 0 && ohms < a.get('resistance.short') && ohms * 1000 >= low && ohms * 1000 <= high)
      return doubt(
        'a meter on its kilohm range shows a coil so',
        { ...check, ohms: Number((ohms * 1000).toPrecision(6)) },
        `${figureInWords(ohms * 1000)} ohm (${figureInWords(ohms)} kilohm)`,
        `${figureInWords(ohms)} ohm`,
      );
    if (ohms > a.get('resistance.open') && ohms / 1000 >= low && ohms / 1000 <= high)
      return doubt(
        'a thousand times a coil',
        { ...check, ohms: Number((ohms / 1000).toPrecision(6)) },
        `${figureInWords(ohms / 1000)} ohm`,
        `${figureInWords(ohms)} ohm`,
      );
  }
  if (temperatureC != null && temperatureC >= FAHRENHEIT_FROM && temperatureC <= 120) {
    const celsius = Number((((temperatureC - 32) * 5) / 9).toFixed(1));
    return doubt(
      'a sensor so hot cannot be touched',
      { ...check, temperatureC: celsius },
      `${celsius} \u00B0C (${figureInWords(temperatureC)} \u00B0F)`,
      `${figureInWords(temperatureC)} \u00B0C`,
    );
  }
  return null;
};

/** Ohms of a sensor, a loom or a new part: a coil brought to 20 degC against its range, an active element not judged. */
export const resistance: ComputedKind<'meter.resistance'> = { reads, tells, doubts };
