import { randomFrom, type Random } from '../../chance/random.ts';
import type { LivePattern } from '../../vocabulary/check.ts';
import { axleOf } from '../../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../../vocabulary/wheelEnd.ts';
import { sideSign, type WheelLog } from '../wheelLog.ts';
import { driveProfile, type Drive } from './driveProfile.ts';

/** A fault to build into a log. `severity` runs from 0 (hardly there) to 1 (gross). */
export interface LogFault {
  readonly wheelEnd: WheelEnd;
  readonly pattern: Exclude<LivePattern, 'normal'>;
  readonly severity: number;
  /** For a constant ratio: reading over true speed, in percent. Else drawn from the severity. */
  readonly percent?: number;
}

/** What a made-up log is made of. All optional ones have ordinary values. */
export interface LogRecipe {
  readonly seed: number;
  readonly drive: Drive;
  readonly seconds: number;
  readonly rateHz: number;
  readonly wheelEnds?: readonly WheelEnd[];
  readonly faults?: readonly LogFault[];
  /** Rolling circumference in metres. */
  readonly circumference?: number;
  /** Distances between left and right wheels, and between the axles, in metres. */
  readonly track?: number;
  readonly wheelbase?: number;
  /** Standard deviation of a reading, km/h, and its smallest step. */
  readonly noise?: number;
  readonly step?: number;
  /** Slips, spins and kerbs per minute. */
  readonly upsets?: number;
  /** Speed below which every wheel reads nothing, km/h: passive sensors. */
  readonly blindBelow?: number;
  /** How unlike the tyres are: standard deviation of each wheel's own ratio. */
  readonly wear?: number;
  /** Whether the angle of the steering wheel is logged as well. */
  readonly steering?: boolean;
  /** Part of the samples that are missing. */
  readonly missing?: number;
}

/** Time a controller counts teeth over for one reading, in seconds. */
const WINDOW = 0.04;
const TEETH = 48;
/** Fine steps a sample is made of, so that a place on the wheel is passed when it is passed. */
const fineStep = (rateHz: number): number => Math.min(0.01, 1 / rateHz / 2);

type Reader = (sample: number, trueKmh: number, turns: number, turnsBefore: number) => number;

const faultReader = (fault: LogFault, random: Random, dt: number): Reader => {
  const { severity } = fault;
  switch (fault.pattern) {
    case 'no-signal':
      return () => 0;
    case 'reads-high':
    case 'reads-low': {
      const percent =
        fault.percent ?? (fault.pattern === 'reads-high' ? 1 : -1) * (1.9 + 6 * severity * random.next());
      return (_, kmh) => kmh * (1 + percent / 100);
    }
    case 'once-per-turn': {
      const place = random.next();
      const gap = 0.5 + 2.5 * severity;
      return (_, kmh, turns, before) => {
        if (Math.floor(turns - place) === Math.floor(before - place)) return kmh;
        // One long gap among the teeth counted in the window.
        const counted = Math.max(1, (turns - before) * TEETH);
        return (kmh * counted) / (counted + gap);
      };
    }
    case 'weak-at-low-speed': {
      const cut = 6.5 + 9 * severity;
      return (_, kmh) => {
        const strength = kmh / cut - 1;
        return strength > 0.15 || random.chance(Math.max(0, 0.5 + strength * 3.3)) ? kmh : 0;
      };
    }
    case 'noisy': {
      const spread = 0.02 + 0.08 * severity;
      return (_, kmh) => Math.max(0, kmh * (1 + spread * random.normal()));
    }
    case 'drops-out': {
      const perSecond = 0.05 + 0.35 * severity;
      let until = -1;
      let left = 0;
      return (sample, kmh) => {
        const t = sample * dt;
        if (t > until && random.chance(1 - Math.exp(-perSecond * dt))) {
          until = t + random.between(0.08, 0.2 + 0.8 * severity);
          left = random.chance(0.7) ? 0 : random.between(0.1, 0.6);
        }
        return t <= until ? kmh * left : kmh;
      };
    }
  }
};

/**
 * Makes a wheel-speed log with known truth: a drive with bends, slip when speeding up, braking slip, kerbs, noise and
 * steps, and the faults asked for. The same recipe gives the same log on every machine.
 */
export const generateLog = (recipe: LogRecipe): WheelLog => {
  const random = randomFrom(recipe.seed);
  const {
    circumference = 1.98,
    track = 1.52,
    wheelbase = 2.65,
    noise = 0.06,
    step = 0.05,
    upsets = 1.5,
    blindBelow = 0,
    missing = 0,
    wear: unlike = 0.002,
  } = recipe;
  const wheelEnds = recipe.wheelEnds ?? ['A1L', 'A1R', 'A2L', 'A2R'];
  const dt = fineStep(recipe.rateHz);
  const profile = driveProfile(random, recipe.drive, recipe.seconds, dt);
  const fineCount = profile.speed.length;
  const each = Math.max(1, Math.round(1 / recipe.rateHz / dt));
  const n = Math.floor(fineCount / each);
  const windowSteps = Math.max(1, Math.round(Math.min(WINDOW, 1 / recipe.rateHz) / dt));
  const drivenAxle = random.chance(0.5) ? 1 : 2;
  const time = new Float64Array(n);
  for (let s = 0; s < n; s++) time[s] = ((s + 1) * each - 1) * dt;
  const lost = Uint8Array.from({ length: n }, () => (random.chance(missing) ? 1 : 0));

  // Upsets: what a sound wheel does that looks like a fault.
  const upset = wheelEnds.map(() => new Float32Array(fineCount).fill(1));
  const count = Math.round((upsets * recipe.seconds) / 60);
  for (let k = 0; k < count * 6; k++) {
    const at = random.below(fineCount);
    const w = random.below(wheelEnds.length);
    const factors = upset[w] as Float32Array;
    const a = profile.acceleration[at] as number;
    const v = (profile.speed[at] as number) * 3.6;
    const lasts = Math.round(random.between(0.15, 0.5) / dt);
    if (a < -2) for (let i = at; i < at + lasts && i < fineCount; i++) factors[i] = random.between(0.72, 0.8);
    else if (a > 1 && v < 25 && axleOf(wheelEnds[w] as WheelEnd) === drivenAxle)
      for (let i = at; i < at + 3 * lasts && i < fineCount; i++)
        factors[i] = 1 + 0.35 * Math.sin((Math.PI * (i - at)) / (3 * lasts));
    else if (k % 12 === 0 && v > 6 && v < 50) {
      // A kerb or pothole: up and down within a twentieth of a second, then the wheel behind it.
      const jolt = random.between(0.04, 0.14);
      const wide = Math.max(2, Math.round(0.06 / dt));
      wheelEnds.forEach((end, i) => {
        if (sideSign(end) !== sideSign(wheelEnds[w] as WheelEnd)) return;
        const later = Math.round(((axleOf(end) - 1) * wheelbase) / (v / 3.6) / dt);
        for (let f = 0; f < wide; f++) {
          const fine = at + later + f;
          if (fine < fineCount)
            (upset[i] as Float32Array)[fine] = 1 + jolt * Math.sin((2 * Math.PI * f) / wide);
        }
      });
    }
  }

  const axles = Math.max(...wheelEnds.map(axleOf));
  const wheels = wheelEnds.map((wheelEnd, w) => {
    const fault = (recipe.faults ?? []).find((f) => f.wheelEnd === wheelEnd);
    const read = fault ? faultReader(fault, random, each * dt) : null;
    const wear = 1 + random.normal() * unlike;
    const swing = Math.abs(random.normal()) * 0.0015;
    const swingAt = random.next();
    const side = sideSign(wheelEnd);
    const ahead = axles === 1 ? 0 : wheelbase * (axles - axleOf(wheelEnd));
    const kmh = new Float32Array(n);
    let turns = random.next();
    const turnsAt = new Float64Array(fineCount);
    for (let f = 0; f < fineCount; f++) {
      const v = profile.speed[f] as number;
      const yaw = profile.yaw[f] as number;
      const across = v + (side * track * yaw) / 2;
      const grip = axleOf(wheelEnd) === drivenAxle ? 1 + 0.003 * (profile.acceleration[f] as number) : 1;
      const rolling = Math.hypot(across, ahead * yaw) * grip * ((upset[w] as Float32Array)[f] as number);
      turns += (rolling * dt) / circumference;
      turnsAt[f] = turns;
      if ((f + 1) % each !== 0) continue;
      const s = (f + 1) / each - 1;
      if (s >= n) break;
      const from = Math.max(0, f - windowSteps);
      const before = turnsAt[from] as number;
      const spun = ((turns - before) * circumference * 3.6) / Math.max(1, f - from) / dt;
      let reading =
        (f === 0 ? rolling * 3.6 : spun) * wear * (1 + swing * Math.sin(2 * Math.PI * (turns - swingAt)));
      if (read) reading = read(s, reading, turns, before);
      if (reading > 0.01) reading = Math.max(0, reading + noise * random.normal());
      if (reading < blindBelow) reading = 0;
      if (step > 0) reading = Math.round(reading / step) * step;
      kmh[s] = lost[s] ? Number.NaN : reading;
    }
    return { wheelEnd, kmh };
  });
  // Angle of the steering wheel: by the bend, some play, and a sensor that was set to zero not quite straight.
  const steering = recipe.steering
    ? Float32Array.from({ length: n }, (_, s) => {
        const fine = (s + 1) * each - 1;
        const v = profile.speed[fine] as number;
        const bend = v > 0.5 ? (profile.yaw[fine] as number) / v : 0;
        return ((Math.atan(bend * wheelbase) * 180) / Math.PI) * 15.5 + 1.5;
      })
    : null;
  return { time, wheels, vehicle: null, steering, notes: [] };
};
