import { figureInWords, type ComputedKind } from '../computedCheck.ts';

/** No controller feeds a sensor with more. */
const MOST_SUPPLY_VOLTS = 30;

/** Supply of an active sensor at the open plug; a passive one is fed by nothing. */
export const supply: ComputedKind<'meter.supply'> = {
  reads: (check, sensor, a) =>
    sensor === 'passive'
      ? null
      : {
          table: 'meter.supply',
          result:
            check.volts >= a.get('supply.present')
              ? 'present'
              : check.volts < a.get('supply.absent')
                ? 'absent'
                : 'low',
        },
  tells: (check, setting, a) => {
    if (setting.sensor === 'passive')
      return { lines: ['a passive sensor is fed by nothing: this reading says nothing'], says: 'nothing' };
    const result = supply.reads(check, 'active', a, null)?.result;
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
  },
  doubts: (check, _a, doubt) =>
    check.volts > MOST_SUPPLY_VOLTS
      ? doubt(
          'no controller feeds a sensor with so much',
          { ...check, volts: check.volts / 10 },
          `${figureInWords(check.volts / 10)} V`,
          `${figureInWords(check.volts)} V`,
        )
      : null,
};
