import type { BenchProbes, Measured, MeterQuantity } from '@hardy/core/contract';
import type { Check } from '@hardy/core/words';

/** Figures as one writes them down: four digits. */
const short = (value: number): number => Number(value.toPrecision(4));

/** A figure with its unit, thousands by k and M: `1.2 kohm`, `4.2 Mohm`. */
const withUnit = (value: number, unit: string): string => {
  const [scale, letter] = value >= 1e6 ? [1e6, 'M'] : value >= 1e4 ? [1e3, 'k'] : [1, ''];
  return `${short(value / scale)} ${letter}${unit}`;
};

/** What a meter showed, in words. */
export const readingInWords = ({ reading, celsius }: Measured, unit: string): string => {
  const at = celsius === null ? '' : ` at ${celsius.toFixed(0)} \u00B0C`;
  switch (reading.is) {
    case 'steady':
      return `${withUnit(reading.value, unit)}${at}`;
    case 'overload':
      return `beyond the range${at}: ${unit === 'ohm' ? 'an open circuit' : 'choose a higher one'}`;
    case 'unstable':
      return `it runs, from ${withUnit(reading.from, unit)} to ${reading.to === null ? 'beyond the range' : withUnit(reading.to, unit)}${at}`;
  }
};

/**
 * The check that a reading amounts to, by where the probes were; or why it is none. A figure that runs is one on ohms, and
 * on volts nothing to write down.
 */
export const checkFromMeter = (
  what: MeterQuantity,
  { reading, celsius }: Measured,
  { wheelEnd, plug, pins, turnsPerSecond }: BenchProbes,
): Check | string => {
  if (what === 'ohms') {
    if (pins !== 'across')
      return 'To ground it tells whether the wire is chafed: look along the loom, and note that.';
    const ohms =
      reading.is === 'steady' ? short(reading.value) : reading.is === 'overload' ? 'open' : 'unstable';
    return {
      check: 'meter.resistance',
      wheelEnd,
      of: plug === 'sensor' ? 'sensor' : 'harness',
      ohms,
      ...(celsius === null ? {} : { temperatureC: celsius }),
    };
  }
  if (reading.is !== 'steady') return 'The figure does not stand: hold the probes still and measure again.';
  if (what === 'voltsAc') {
    if (plug !== 'sensor' || pins !== 'across') return 'AC volts are taken across the pins of the sensor.';
    if (turnsPerSecond <= 0)
      return 'The wheel stands: turn it by hand, one turn a second, and measure again.';
    return { check: 'meter.ac', wheelEnd, volts: short(reading.value), turnsPerSecond };
  }
  if (plug !== 'loom' || pins === 'signal to ground')
    return 'Supply is taken on the loom\u2019s side of the open plug, from the feed to ground.';
  return { check: 'meter.supply', wheelEnd, volts: short(reading.value) };
};
