import { randomFrom } from '../packages/core/src/chance/random.ts';
import { generateLog, type LogRecipe } from '../packages/core/src/signal/generate/generateLog.ts';
import { DRIVES, type WINDING_DRIVES } from '../packages/core/src/signal/generate/driveProfile.ts';
import type { LivePattern } from '../packages/core/src/vocabulary/check.ts';
import { CHECK_RESULTS } from '../packages/core/src/checkKinds/checkData.ts';

const WHEELS = [
  ['A1L', 'A1R', 'A2L', 'A2R'],
  ['A1L', 'A1R', 'A2L', 'A2R'],
  ['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R'],
  ['A1L', 'A1R'],
] as const;

/** One generated log of the grid, with what is true of it. */
export interface GridLog {
  readonly recipe: LogRecipe;
  readonly pattern: LivePattern;
  readonly wheelEnd: string;
  readonly severity: number;
}

/**
 * The `i`-th log of the grid: fault, severity, sampling 5 to 100 Hz, speed, noise, bends, upsets and wheel count all
 * drawn from a seed of its own. `sound`: with no fault.
 */
export const gridLog = (i: number, sound: boolean): GridLog => {
  const random = randomFrom(90001 + i * 7919);
  const pattern = sound
    ? 'normal'
    : (CHECK_RESULTS.live[1 + (i % (CHECK_RESULTS.live.length - 1))] as Exclude<LivePattern, 'normal'>);
  const wheelEnds = WHEELS[random.below(WHEELS.length)] as readonly string[];
  const wheelEnd = random.pick(wheelEnds);
  const severity = random.next();
  const rateHz = random.pick([5, 10, 10, 20, 50, 100]);
  const slow = pattern === 'once-per-turn' || pattern === 'weak-at-low-speed';
  const drive = slow ? random.pick(['yard', 'town', 'mixed'] as const) : random.pick(DRIVES);
  return {
    pattern,
    wheelEnd,
    severity,
    recipe: {
      seed: 17 + i,
      drive,
      seconds: random.pick([90, 180, 300]),
      rateHz,
      wheelEnds,
      circumference: random.between(1.75, 2.3),
      noise: random.pick([0.02, 0.06, 0.15]),
      step: random.pick([0.01, 0.05, 0.1]),
      upsets: random.between(0, 3),
      blindBelow: random.pick([0, 0, 2.5]),
      missing: random.pick([0, 0, 0.02]),
      faults: pattern === 'normal' ? [] : [{ wheelEnd, pattern, severity }],
    },
  };
};

/** A drive with hardly a straight stretch, sound or with one wheel off by two and a half to five percent. */
export const windingLog = (
  i: number,
  drive: (typeof WINDING_DRIVES)[number],
  sound: boolean,
  steering: boolean,
): GridLog => {
  const random = randomFrom(50021 + i * 104729);
  const wheelEnds = ['A1L', 'A1R', 'A2L', 'A2R'];
  const wheelEnd = random.pick(wheelEnds);
  const percent = random.pick([-5, -3.5, -2.5, 2.5, 3.5, 5]);
  const pattern = sound ? 'normal' : percent > 0 ? 'reads-high' : 'reads-low';
  return {
    pattern,
    wheelEnd,
    severity: 0.5,
    recipe: {
      seed: 31 + i,
      drive,
      seconds: random.pick([90, 180]),
      rateHz: random.pick([10, 20, 50]),
      wheelEnds,
      circumference: random.between(1.75, 2.3),
      track: random.between(1.4, 1.75),
      wheelbase: random.between(2.4, 3.6),
      noise: random.pick([0.02, 0.06, 0.15]),
      step: random.pick([0.01, 0.05, 0.1]),
      upsets: random.between(0, 3),
      steering,
      faults: pattern === 'normal' ? [] : [{ wheelEnd, pattern, severity: 0.5, percent }],
    },
  };
};

export const makeLog = (grid: GridLog) => generateLog(grid.recipe);
