import { figureInWords, type ComputedKind } from '../computedCheck.ts';

/** A battery between these volts was read in tenths or without its point; 24 V systems stay below. */
const NO_BATTERY_VOLTS = 32;

/** A battery at rest and while cranking; weak by either. */
export const battery: ComputedKind<'battery'> = {
  reads: (check, _sensor, a) => {
    if (check.restingVolts == null && check.crankingVolts == null) return null;
    const weak =
      (check.restingVolts != null && check.restingVolts < a.get('battery.resting')) ||
      (check.crankingVolts != null && check.crankingVolts < a.get('battery.cranking'));
    return { table: 'battery', result: weak ? 'weak' : 'good' };
  },
  tells: (check, _setting, a) => {
    const reading = battery.reads(check, 'active', a, null);
    if (!reading) return { lines: [], says: 'nothing' };
    const weak = reading.result === 'weak';
    return {
      lines: [
        weak
          ? `weak: below ${a.get('battery.resting')} V at rest or ${a.get('battery.cranking')} V cranking`
          : 'sound',
      ],
      says: weak ? 'faulty' : 'sound',
    };
  },
  doubts: (check, _a, doubt) => {
    const resting = check.restingVolts;
    return resting != null && resting > NO_BATTERY_VOLTS
      ? doubt(
          'no vehicle battery rests so high',
          { ...check, restingVolts: resting / 10 },
          `${figureInWords(resting / 10)} V`,
          `${figureInWords(resting)} V`,
        )
      : null;
  },
};
