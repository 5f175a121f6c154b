import { randomFrom, type Random } from '@hardy/core/chance';
import { cornerCode } from '@hardy/core/trial';
import type { SkillExercises } from './exercise.ts';

type Line = readonly [controller: string, code: string, text: string];

/** What other controllers say when the brakes' controller has lost a wheel. */
const ECHOES: readonly Line[] = [
  ['Gearbox', 'U0415', 'invalid data from anti-lock controller'],
  ['Engine', 'U0415', 'invalid data from anti-lock controller'],
  ['Park brake', 'U0121', 'lost contact with anti-lock controller'],
  ['Driver assistance', 'U0415', 'invalid data from anti-lock controller'],
  ['Instruments', 'U0121', 'lost contact with anti-lock controller'],
];
/** Codes of their own that have nothing to do with it. */
const STRANGERS: readonly Line[] = [
  ['Engine', 'P0420', 'catalyst efficiency below threshold'],
  ['Body', 'B1000', 'interior light, open circuit'],
  ['Engine', 'P0128', 'coolant below thermostat temperature'],
];
const FAILED = [
  ['13', 'circuit open'],
  ['11', 'circuit short to ground'],
  ['2F', 'signal erratic'],
  ['31', 'no signal'],
] as const;
const WHEELS = [
  ['A1L', 'left front'],
  ['A1R', 'right front'],
  ['A2L', 'left rear'],
  ['A2R', 'right rear'],
] as const;

const wheelCode = (random: Random): Line => {
  const [end, name] = random.pick(WHEELS);
  const [byte, words] = random.pick(FAILED);
  return ['ABS', `${cornerCode(end)}-${byte}`, `${name} wheel speed sensor, ${words}`];
};
const someOf = (list: readonly Line[], n: number, random: Random): Line[] =>
  random.shuffled(list).slice(0, n);

/** Which of several codes is where it began. */
export const root: SkillExercises = {
  skill: 'root',
  variants: {
    'one echo': -1.4,
    'many echoes': -0.5,
    'strangers among them': 0.2,
    'low voltage first': 0.9,
    'echoes alone': 1.1,
  },
  draw(variant, seed) {
    const random = randomFrom(seed);
    const wheel = wheelCode(random);
    const supply: Line = ['ABS', 'P0562', 'system voltage low, active'];
    const none = 'none';
    const given: Readonly<Record<string, readonly [lines: Line[], answer: Line | null, why: string]>> = {
      'one echo': [
        [wheel, ...someOf(ECHOES, 1, random)],
        wheel,
        'The other controller repeats that the brakes have a fault. The wheel’s own code is the root.',
      ],
      'many echoes': [
        [wheel, ...someOf(ECHOES, 4, random)],
        wheel,
        'Four controllers miss the same data; one names a wheel. That one is the root.',
      ],
      'strangers among them': [
        [wheel, ...someOf(ECHOES, 2, random), ...someOf(STRANGERS, 2, random)],
        wheel,
        'Codes of engine and body have their own cause: they light no anti-lock lamp.',
      ],
      'low voltage first': [
        [supply, wheel, ...someOf(ECHOES, 1, random)],
        supply,
        'Low voltage that is there now can bring all the others. Battery first, then clear and read again.',
      ],
      'echoes alone': [
        someOf(ECHOES, 3, random),
        null,
        'All of these are echoes: the brakes’ own controller has not been read yet.',
      ],
    };
    const [lines, answer, why] = given[variant] ?? [[], null, ''];
    const shown = random.shuffled(lines);
    const key = ([controller, code]: Line) => `${controller} ${code}`;
    return {
      prompt: 'Read from one vehicle. Where did it begin?',
      shows: { as: 'table', head: ['Controller', 'Code', 'Text'], rows: shown.map((line) => [...line]) },
      choices: [
        ...shown.map((line) => ({ key: key(line), words: key(line) })),
        { key: none, words: 'none of these: read the brakes’ controller' },
      ],
      answer: answer ? key(answer) : none,
      unit: null,
      why,
    };
  },
};
