import { parseTyreSize } from '../../vocabulary/tyreSize.ts';
import { figureInWords, type ComputedKind } from '../computedCheck.ts';
import { lowestReadSpeed, rollingCircumference } from '../wheelArithmetic.ts';

const USUAL_CIRCUMFERENCE = 1.98;
/** A wheel turned by hand gives no more than this. */
const MOST_HAND_VOLTS = 15;

/** AC of a passive sensor, brought to one turn a second; an active one makes none. */
export const ac: ComputedKind<'meter.ac'> = {
  reads: (check, sensor, a) => {
    if (sensor === 'active') return null;
    const atOneTurn = check.volts / Math.max(check.turnsPerSecond ?? 1, a.get('ac.slowest-turn'));
    return {
      table: 'meter.ac',
      result: atOneTurn >= a.get('ac.good') ? 'good' : atOneTurn < a.get('ac.none') ? 'none' : 'weak',
    };
  },
  tells: (check, setting, a) => {
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
  },
  doubts: (check, _a, doubt) =>
    check.volts > MOST_HAND_VOLTS
      ? doubt(
          'a wheel turned by hand gives tenths of a volt: the meter showed millivolts',
          { ...check, volts: check.volts / 1000 },
          `${figureInWords(check.volts / 1000)} V (${figureInWords(check.volts)} mV)`,
          `${figureInWords(check.volts)} V`,
        )
      : null,
};
