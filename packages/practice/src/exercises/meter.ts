import { randomFrom } from '@hardy/core/chance';
import type { SkillExercises } from './exercise.ts';

/** Copper gains so much resistance a degree, a share of that at 20 degC (IEC 60028). */
const COPPER = 0.00393;
const at = (ohms20: number, celsius: number): number => ohms20 * (1 + COPPER * (celsius - 20));

const CHOICES = [
  { key: 'sound', words: 'within range: sound' },
  { key: 'low', words: 'too low: turns are shorted' },
  { key: 'high', words: 'too high: a bad joint or a torn winding' },
  { key: 'open', words: 'open: no circuit' },
  { key: 'nothing', words: 'it says nothing about this sensor' },
] as const;

/** Read the number: cold coils, slips of unit, an active sensor on ohms. */
export const meter: SkillExercises = {
  skill: 'meter',
  variants: {
    'in range': -1.5,
    open: -1.6,
    'shorted turns': -0.4,
    'cold coil': 0.6,
    'hot coil': 0.7,
    'slip of unit': 0.3,
    'active sensor': 0.5,
    'bad joint': 0,
  },
  draw(variant, seed) {
    const random = randomFrom(seed);
    const nominal = 900 + 50 * random.below(15);
    const [low, high] = [Math.round(nominal * 0.9), Math.round(nominal * 1.1)];
    const row = (
      reading: string,
      celsius: number,
      range = `${low} to ${high} ohm at 20 °C`,
      sensor = 'passive',
    ) => ({
      shows: {
        as: 'table' as const,
        head: ['Sensor', 'It should have', 'The meter shows', 'In the yard'],
        rows: [[sensor, range, reading, `${celsius} °C`]],
      },
    });
    const ohm = (value: number) => `${Math.round(value)} ohm`;
    const make = (shown: ReturnType<typeof row>, answer: (typeof CHOICES)[number]['key'], why: string) => ({
      prompt: 'Metered across the pins of the sensor. What does it say?',
      ...shown,
      choices: CHOICES,
      answer,
      unit: null,
      why,
    });
    const mild = 15 + random.below(10);
    switch (variant) {
      case 'open':
        return make(row('OL', mild), 'open', 'Overload on every range: the circuit is open.');
      case 'shorted turns':
        return make(
          row(ohm(nominal * random.between(0.2, 0.7)), mild),
          'low',
          'Well under the range at a mild temperature: part of the winding is shorted.',
        );
      case 'bad joint':
        return make(
          row(ohm(nominal * random.between(1.6, 4)), mild),
          'high',
          'No cold or heat makes that much: something in series does.',
        );
      case 'cold coil': {
        // Below the printed range, and sound: the range is for 20 degC.
        const celsius = -12 - random.below(14);
        const value = at(nominal * random.between(0.93, 1.0), celsius);
        return make(
          row(ohm(value), celsius),
          'sound',
          `A copper coil loses 0.39 % a degree: at 20 °C it would have ${Math.round(value / (1 + COPPER * (celsius - 20)))} ohm.`,
        );
      }
      case 'hot coil': {
        const celsius = 55 + random.below(25);
        const value = at(nominal * random.between(1.0, 1.07), celsius);
        return make(
          row(ohm(value), celsius),
          'sound',
          `A copper coil gains 0.39 % a degree: at 20 °C it would have ${Math.round(value / (1 + COPPER * (celsius - 20)))} ohm.`,
        );
      }
      case 'slip of unit': {
        const value = at(nominal * random.between(0.95, 1.05), mild);
        return make(
          row(`${(value / 1000).toFixed(2)} (range k)`, mild),
          'sound',
          'On the k range the figure is in thousands of ohm.',
        );
      }
      case 'active sensor':
        return make(
          row(
            random.pick(['OL', '4.1 M ohm', '780 k ohm']),
            mild,
            'supply 8 to 12 V, no resistance given',
            'active',
          ),
          'nothing',
          'An active element has no coil: an ohmmeter does not judge it, and may harm it. Meter its supply.',
        );
      default:
        return make(
          row(ohm(at(nominal * random.between(0.94, 1.06), mild)), mild),
          'sound',
          'Within the range at about the temperature the range is for.',
        );
    }
  },
};
