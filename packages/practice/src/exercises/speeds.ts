import {
  driveOf,
  driveWith,
  endsOf,
  soundVehicle,
  watchSpeeds,
  type BenchVehicle,
  type Corner,
  type Pattern,
} from '@hardy/bench-vehicle';
import { randomFrom, type Random } from '@hardy/core/chance';
import { wheelEndInWords } from '@hardy/core/words';
import type { SkillExercises } from './exercise.ts';

/** What is done to one wheel so that its speed looks so. */
const FAULTS: Readonly<
  Record<string, readonly [Pattern, 'passive' | 'active', (corner: Corner, random: Random) => void]>
> = {
  dead: ['no-signal', 'passive', ({ sensor }) => void (sensor.inside = 'open')],
  'lost when slow': [
    'weak-at-low-speed',
    'passive',
    ({ seat }, random) => void (seat.liftedMm = random.between(0.5, 0.75)),
  ],
  'a dip once a turn': [
    'once-per-turn',
    'passive',
    ({ target }, random) => void (target.missing = 1 + random.below(2)),
  ],
  'reads high': [
    'reads-high',
    'active',
    ({ tyre }) => void (tyre.size = { ...tyre.size, aspect: tyre.size.aspect - 10 }),
  ],
  'reads low': [
    'reads-low',
    'active',
    ({ tyre }) => void (tyre.size = { ...tyre.size, aspect: tyre.size.aspect + 10 }),
  ],
  'drops out': ['drops-out', 'active', ({ joint }, random) => void (joint.parts = random.between(0.6, 1))],
};
const WORDS: Readonly<Partial<Record<Pattern, string>>> = {
  normal: 'nothing wrong in it',
  'no-signal': 'one is dead',
  'weak-at-low-speed': 'one is lost when slow: a wide gap',
  'once-per-turn': 'one dips once a turn: one bad place on its target',
  'reads-high': 'one reads high all the time: a smaller tyre or wrong count',
  'reads-low': 'one reads low all the time: a larger tyre or wrong count',
  'drops-out': 'one comes and goes: a joint or a strand',
};
const MOST_TRIES = 40;
/** So many points of a line are drawn. */
const POINTS = 240;

const faulty = (variant: string, random: Random): BenchVehicle => {
  const [, sensor, spoil] = FAULTS[variant] ?? (['normal', 'active', () => undefined] as const);
  const vehicle = soundVehicle({ sensor });
  spoil(vehicle.corners[random.pick(endsOf(vehicle.build))], random);
  return vehicle;
};

/** Name the pattern of four speeds, as a drive on the bench gives them. */
export const speeds: SkillExercises = {
  skill: 'speeds',
  variants: {
    sound: -0.8,
    dead: -1.6,
    'lost when slow': 0.6,
    'a dip once a turn': 0.3,
    'reads high': 0.2,
    'reads low': 0.4,
    'drops out': 0,
  },
  draw(variant, seed) {
    const wanted = FAULTS[variant]?.[0] ?? 'normal';
    for (let i = 0; i < MOST_TRIES; i++) {
      const random = randomFrom(seed + i * 104_729);
      const vehicle = faulty(variant, random);
      const drive = driveOf(['yard', 'town'], random, {});
      const driven = driveWith(vehicle, drive, random);
      const ends = endsOf(vehicle.build);
      const seen = ends.map((end) => watchSpeeds(vehicle, driven, drive, end).pattern);
      const odd = seen.filter((pattern) => pattern !== 'normal');
      // What was meant must be what is to be seen, at one wheel and no other.
      if (wanted === 'normal' ? odd.length > 0 : odd.length !== 1 || odd[0] !== wanted) continue;
      const step = Math.max(1, Math.floor(drive.steps / POINTS));
      return {
        prompt: 'Four wheels over a drive through yard and town. What do you see?',
        shows: {
          as: 'speeds',
          seconds: Math.round(drive.steps * 0.02),
          wheels: ends.map((end) => ({
            name: wheelEndInWords(end, 2),
            kmh: Array.from(
              { length: Math.floor(drive.steps / step) },
              (_, k) => Math.round(10 * (driven.signals.get(end)?.kmh[k * step] ?? 0)) / 10,
            ),
          })),
        },
        choices: Object.entries(WORDS).map(([key, words]) => ({ key, words })),
        answer: wanted,
        unit: null,
        why:
          wanted === 'normal'
            ? 'They run together; in bends the outer wheels run ahead, and that is how it should be.'
            : `${wheelEndInWords(ends[seen.findIndex((each) => each !== 'normal')] as string, 2)}: ${WORDS[wanted] ?? ''}.`,
      };
    }
    throw new Error(`no drive of seed ${seed} shows "${variant}"`);
  },
};
