import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';
import type { SensorType } from '../vocabulary/words.ts';
import { wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import { compareTyres } from './compareTyres.ts';
import { readCheck, resistanceAt20 } from './readCheck.ts';
import { parseTyreSize, readsAgainst } from '../vocabulary/tyreSize.ts';
import { lowestReadSpeed, rollingCircumference } from './wheelArithmetic.ts';

/** What is known of the wheel a check was made at. */
export interface CheckSetting {
  /** Null: not known which kind of sensor it is. */
  readonly sensor: SensorType | null;
  readonly axles: number;
  readonly driveline?: string | null;
  /** Resistance in ohm the maker gives for this part at 20 degC, when the catalogue has it. */
  readonly range?: { readonly low: number; readonly high: number } | null;
  readonly tyre?: string | null;
}

/** The arithmetic of a check done for the person, in a few lines, and whether it says anything. */
export interface ToldCheck {
  readonly lines: string[];
  readonly says: 'sound' | 'faulty' | 'nothing';
}

const USUAL_CIRCUMFERENCE = 1.98;
const ohm = (value: number): string =>
  value >= 10000 ? `${(value / 1000).toFixed(1)} kilohm` : `${Math.round(value).toLocaleString('en-GB')} ohm`;

const tellResistance = (
  check: Extract<Check, { check: 'meter.resistance' }>,
  setting: CheckSetting,
  a: Assumptions,
): ToldCheck => {
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

const tellAc = (
  check: Extract<Check, { check: 'meter.ac' }>,
  setting: CheckSetting,
  a: Assumptions,
): ToldCheck => {
  if (setting.sensor === 'active')
    return { lines: ['an active sensor makes no AC: this reading says nothing'], says: 'nothing' };
  const turns = Math.max(check.turnsPerSecond ?? 1, a.get('ac.slowest-turn'));
  const atOne = check.volts / turns;
  const tyre = setting.tyre ? parseTyreSize(setting.tyre) : null;
  const circumference = tyre
    ? rollingCircumference(tyre.diameter, a.get('tyre.rolling'))
    : USUAL_CIRCUMFERENCE;
  const lowest = lowestReadSpeed(atOne, a.get('ac.threshold'), circumference);
  const good = atOne >= a.get('ac.good');
  return {
    lines: [
      `${atOne.toFixed(3)} V at one turn a second; a sound one gives at least about ${a.get('ac.good')} V`,
      Number.isFinite(lowest)
        ? `readable from about ${lowest.toFixed(1)} km/h (${(lowest / 1.609344).toFixed(1)} mph) on`
        : 'not readable at any speed',
      ...(good ? [] : ['a wide gap or a rotted ring weakens it as a bad coil does: look at both']),
    ],
    says: good ? 'sound' : 'faulty',
  };
};

const tellTyres = (
  sizes: Readonly<Record<string, string>>,
  setting: CheckSetting,
  a: Assumptions,
): ToldCheck => {
  const { odd, unread } = compareTyres(sizes, a.get('tyres.differ-percent'));
  const rolling = a.get('tyre.rolling');
  const read = Object.entries(sizes).flatMap(([end, size]) => {
    const tyre = parseTyreSize(size);
    return tyre ? [{ end, size, tyre }] : [];
  });
  const first = read[0];
  return {
    lines: [
      ...read.map(
        ({ end, size, tyre }) =>
          `${wheelEndInWords(end, setting)} ${size}: ${tyre.diameter.toFixed(0)} mm, ${rollingCircumference(tyre.diameter, rolling).toFixed(3)} m a turn${
            first && end !== first.end && Math.abs(readsAgainst(tyre, first.tyre)) >= 0.05
              ? `, reads ${Math.abs(readsAgainst(tyre, first.tyre)).toFixed(2)} % ${readsAgainst(tyre, first.tyre) < 0 ? 'low' : 'high'} against ${wheelEndInWords(first.end, setting)}`
              : ''
          }`,
      ),
      ...unread.map(
        ({ size }) => `"${size}" is no tyre size; write it as on the sidewall, such as 205/55 R16`,
      ),
      ...(read.length >= 2 && odd.length === 0 ? ['no two wheels of an axle differ enough to matter'] : []),
      ...odd.map(
        ({ wheelEnd, readsPercent }) =>
          `a controller sees ${wheelEndInWords(wheelEnd, setting)} ${Math.abs(readsPercent).toFixed(1)} % ${readsPercent < 0 ? 'slow' : 'fast'} at every speed`,
      ),
    ],
    says: odd.length > 0 ? 'faulty' : read.length >= 2 ? 'sound' : 'nothing',
  };
};

/** Does the arithmetic of a check and says in words what it amounts to, or that it says nothing. */
export const tellCheck = (check: Check, setting: CheckSetting, a: Assumptions): ToldCheck => {
  switch (check.check) {
    case 'meter.resistance':
      return tellResistance(check, setting, a);
    case 'meter.ac':
      return tellAc(check, setting, a);
    case 'tyres':
      return tellTyres(check.sizes, setting, a);
    case 'meter.supply': {
      if (setting.sensor === 'passive')
        return { lines: ['a passive sensor is fed by nothing: this reading says nothing'], says: 'nothing' };
      const result = readCheck(check, 'active', a)?.result;
      return result === 'present'
        ? { lines: ['the loom and the controller feed the sensor'], says: 'sound' }
        : {
            lines: [
              result === 'absent'
                ? 'nothing arrives: the loom or the controller, not the sensor'
                : `${check.volts} V is low: a bad joint on the way`,
            ],
            says: 'faulty',
          };
    }
    case 'ring.teeth': {
      const percent = (check.counted / check.expected - 1) * 100;
      return percent === 0
        ? { lines: ['the count is right'], says: 'sound' }
        : {
            lines: [
              `${check.counted} for ${check.expected} reads ${Math.abs(percent).toFixed(2)} % ${percent < 0 ? 'low' : 'high'} at every speed`,
            ],
            says: 'faulty',
          };
    }
    case 'battery': {
      const reading = readCheck(check, 'active', a);
      return reading
        ? {
            lines: [
              reading.result === 'weak'
                ? `weak: below ${a.get('battery.resting')} V at rest or ${a.get('battery.cranking')} V cranking`
                : 'sound',
            ],
            says: reading.result === 'weak' ? 'faulty' : 'sound',
          }
        : { lines: [], says: 'nothing' };
    }
    case 'visual.ring':
      return { lines: [], says: check.result === 'not-visible' ? 'nothing' : 'sound' };
    default:
      return { lines: [], says: 'sound' };
  }
};
