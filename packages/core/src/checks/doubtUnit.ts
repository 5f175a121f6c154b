import type { Assumptions } from '../assumptions/assumptions.ts';
import type { Check } from '../vocabulary/check.ts';

/** A reading that looks like a slip of unit or decimal point, with what it would be otherwise. */
export interface UnitDoubt {
  readonly ask: string;
  readonly because: string;
  /** The check with the likelier reading. */
  readonly instead: Check;
  /** Both readings in words, the likelier one first. */
  readonly labels: readonly [instead: string, asRead: string];
}

const figure = (value: number): string => String(Number(value.toPrecision(6)));

/** A battery between these volts was read in tenths or without its point; 24 V systems stay below. */
const NO_BATTERY_VOLTS = 32;
/** No controller feeds a sensor with more. */
const MOST_SUPPLY_VOLTS = 30;
/** A wheel turned by hand gives no more than this. */
const MOST_HAND_VOLTS = 15;
/** Degrees that are hardly Celsius at a roadside, and surely fit Fahrenheit. */
const FAHRENHEIT_FROM = 55;

/**
 * Notices a mistyped unit: kilohms read as ohms, millivolts as volts, a lost decimal point, Fahrenheit as Celsius.
 * Null when the reading is believable as it stands, or was confirmed.
 */
export const doubtUnit = (check: Check, a: Assumptions): UnitDoubt | null => {
  if (check.confirmed) return null;
  const doubt = (what: string, instead: Check, likelier: string, asRead: string): UnitDoubt => ({
    ask: `Was it ${likelier}, or really ${asRead}?`,
    because: what,
    instead,
    labels: [likelier, asRead],
  });
  switch (check.check) {
    case 'meter.resistance': {
      const { ohms, temperatureC } = check;
      const low = a.get('resistance.passive.low') / 4;
      const high = a.get('resistance.passive.high') * 4;
      if (typeof ohms === 'number' && check.of !== 'harness') {
        if (ohms > 0 && ohms < a.get('resistance.short') && ohms * 1000 >= low && ohms * 1000 <= high)
          return doubt(
            'a meter on its kilohm range shows a coil so',
            { ...check, ohms: Number((ohms * 1000).toPrecision(6)) },
            `${figure(ohms * 1000)} ohm (${figure(ohms)} kilohm)`,
            `${figure(ohms)} ohm`,
          );
        if (ohms > a.get('resistance.open') && ohms / 1000 >= low && ohms / 1000 <= high)
          return doubt(
            'a thousand times a coil',
            { ...check, ohms: Number((ohms / 1000).toPrecision(6)) },
            `${figure(ohms / 1000)} ohm`,
            `${figure(ohms)} ohm`,
          );
      }
      if (temperatureC != null && temperatureC >= FAHRENHEIT_FROM && temperatureC <= 120) {
        const celsius = Number((((temperatureC - 32) * 5) / 9).toFixed(1));
        return doubt(
          'a sensor so hot cannot be touched',
          { ...check, temperatureC: celsius },
          `${celsius} \u00B0C (${figure(temperatureC)} \u00B0F)`,
          `${figure(temperatureC)} \u00B0C`,
        );
      }
      return null;
    }
    case 'meter.supply':
      return check.volts > MOST_SUPPLY_VOLTS
        ? doubt(
            'no controller feeds a sensor with so much',
            { ...check, volts: check.volts / 10 },
            `${figure(check.volts / 10)} V`,
            `${figure(check.volts)} V`,
          )
        : null;
    case 'meter.ac':
      return check.volts > MOST_HAND_VOLTS
        ? doubt(
            'a wheel turned by hand gives tenths of a volt: the meter showed millivolts',
            { ...check, volts: check.volts / 1000 },
            `${figure(check.volts / 1000)} V (${figure(check.volts)} mV)`,
            `${figure(check.volts)} V`,
          )
        : null;
    case 'battery': {
      const resting = check.restingVolts;
      return resting != null && resting > NO_BATTERY_VOLTS
        ? doubt(
            'no vehicle battery rests so high',
            { ...check, restingVolts: resting / 10 },
            `${figure(resting / 10)} V`,
            `${figure(resting)} V`,
          )
        : null;
    }
    default:
      return null;
  }
};
