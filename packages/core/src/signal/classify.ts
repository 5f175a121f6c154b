import type { LivePattern } from '../vocabulary/check.ts';
import type { SignalEvent } from './events.ts';
import { lowSpeedCut, type Losses } from './losses.ts';
import type { TurnFinding } from './oncePerTurn.ts';
import { SPEED_BANDS, type Residual } from './residuals.ts';

/** What is known of one wheel before its pattern is named. */
export interface WheelEvidence {
  readonly losses: Losses;
  readonly otherCut: number;
  /** Speed below which its twin on the axle is lost, 0 where it never is; null where there is none to compare with. */
  readonly twinCut: number | null;
  readonly events: readonly SignalEvent[];
  readonly total: number;
  readonly turn: TurnFinding | null;
  readonly noise: NoiseExcess;
  readonly ratio: number;
  readonly ratioBlocks: number;
  readonly seconds: number;
}

/** How much noisier a wheel is than its neighbours, and how noisy as a part of its speed. */
export interface NoiseExcess {
  readonly times: number;
  readonly relative: number;
}

export interface Classified {
  readonly pattern: LivePattern;
  /** How far the evidence is beyond what was asked, in units in which one more means about e times surer. */
  readonly margin: number;
  readonly lostBelowKmh: number | null;
}

/** A wheel reads high or low from here on; the contract's figure. */
export const RATIO_LIMIT = 0.015;

const clamp = (value: number, low: number, high: number): number => Math.min(high, Math.max(low, value));

/** Noise of wheel `w` over the usual noise of the others, weighted by the samples of each speed band. */
export const noiseExcess = (residuals: readonly Residual[], w: number, step: number): NoiseExcess => {
  const mine = residuals[w] as Residual;
  let times = 0;
  let relative = 0;
  let weight = 0;
  SPEED_BANDS.forEach((edge, band) => {
    const own = mine.restless[band] as number;
    const count = mine.counts[band] as number;
    const others = residuals
      .flatMap((r, i) => (i !== w && Number.isFinite(r.restless[band]) ? [r.restless[band] as number] : []))
      .sort((a, b) => a - b);
    const usual = others[(others.length - 1) >> 1];
    if (!Number.isFinite(own) || usual === undefined || count === 0) return;
    const speed = Number.isFinite(edge) ? edge * 0.75 : 100;
    times += count * Math.log(Math.max(own, step / 3, 1e-3) / Math.max(usual, step / 3, 1e-3));
    relative += (count * own) / speed;
    weight += count;
  });
  return weight === 0
    ? { times: 1, relative: 0 }
    : { times: Math.exp(times / weight), relative: relative / weight };
};

const LIMITS = {
  /** Share of moving samples without signal from which the wheel is dead. */
  dead: 0.8,
  /** Logarithm of chance, resultant length and repetition a once-per-turn finding needs. */
  turnLogChance: Math.log(1e-5),
  turnConcentration: 0.45,
  turnRepeated: 0.35,
  /** Part of the slow turns that must show the event. */
  turnHits: 0.08,
  /** A logger that samples instants misses most passes: with so small a chance fewer hits do. */
  turnCertain: Math.log(1e-8),
  turnHitsCertain: 0.015,
  /** A wheel weak when slow: lost samples it needs, how much higher its cut lies, how pure both sides are. */
  weakLost: 8,
  weakKmh: 2,
  weakBelow: 0.6,
  weakAbove: 0.04,
  /** A sound coil may be lost up to walking pace: below this a wheel is weak only against its twin. */
  weakAnyway: 7,
  /** A dip counts as a loss from this part of the speed, above this speed, and from this size. */
  deep: 0.12,
  deepAboveKmh: 4,
  deepKmh: 1.2,
  /** A total loss, how long a single one must last, and how many partial ones count without any total one. */
  total: 0.6,
  totalSeconds: 1.2,
  partial: 5,
  /** A signal that drops swings upward in at most this part of its events. */
  upwards: 0.3,
  /** Times the neighbours' noise, and part of the speed, from which a wheel is noisy. */
  noiseTimes: 2.2,
  noiseRelative: 0.006,
  /** Times the neighbours' noise that swings both ways need to count. */
  spikyTimes: 1.5,
  /** Size of a spike as a part of the speed, and how many a second a wheel needs to be noisy by them alone. */
  spike: 0.05,
  spikesPerSecond: 0.1,
} as const;

const deadWheel = ({ losses }: WheelEvidence): number | null => {
  if (losses.moving < 20) return null;
  if (losses.missing > losses.moving * 0.95) return 1.5;
  if (losses.share >= LIMITS.dead) return 2 + 10 * (losses.share - LIMITS.dead);
  if (losses.goneSince !== null && losses.share > 0.25 && losses.episodes <= 2) return 1 + 3 * losses.share;
  return null;
};

const weakWheel = (e: WheelEvidence): { margin: number; kmh: number } | null => {
  const cut = lowSpeedCut(e.losses);
  if (!cut || cut.lost < LIMITS.weakLost) return null;
  if (
    cut.kmh < e.otherCut + LIMITS.weakKmh ||
    cut.below < LIMITS.weakBelow ||
    cut.wellAbove > LIMITS.weakAbove
  )
    return null;
  if (e.twinCut !== null && cut.kmh < LIMITS.weakAnyway && cut.kmh < e.twinCut + LIMITS.weakKmh) return null;
  const margin =
    4 * (cut.below - LIMITS.weakBelow) +
    (cut.kmh - e.otherCut - LIMITS.weakKmh) / 3 +
    clamp(Math.log(cut.lost / LIMITS.weakLost), 0, 2);
  return { margin, kmh: cut.kmh };
};

/** Lost when slow, but no slower than a sound coil may be, and nothing on its axle to hold it against. */
export const isWeakUnheld = ({ twinCut }: WheelEvidence, lostBelowKmh: number | null): boolean =>
  twinCut === null && lostBelowKmh !== null && lostBelowKmh < LIMITS.weakAnyway;

const turnWheel = ({ turn, events }: WheelEvidence): number | null => {
  if (!turn) return null;
  const hits = turn.hits / Math.max(1, turn.turns);
  if (
    turn.logChance > LIMITS.turnLogChance ||
    turn.concentration < LIMITS.turnConcentration ||
    turn.repeated < LIMITS.turnRepeated ||
    hits < (turn.logChance < LIMITS.turnCertain ? LIMITS.turnHitsCertain : LIMITS.turnHits)
  )
    return null;
  const dips = events.filter((event) => event.depth < 0).length / Math.max(1, events.length);
  return (
    clamp((LIMITS.turnLogChance - turn.logChance) / 8, 0, 2.5) +
    3 * (turn.repeated - LIMITS.turnRepeated) +
    2 * Math.abs(dips - 0.5)
  );
};

/** A dip no noise makes: a part of the speed, and of a size in km/h. */
export const isDeep = (event: SignalEvent): boolean =>
  event.depth < -LIMITS.deep && event.kmh > LIMITS.deepAboveKmh && -event.depth * event.kmh > LIMITS.deepKmh;

/** Deep dips, not while braking, that come at no place of the turn. */
const droppingWheel = (e: WheelEvidence): number | null => {
  const soft = e.events.filter((event) => !event.hard);
  const deep = soft.filter(isDeep);
  const up = soft.filter((event) => event.depth > 0.04).length;
  // Swings close together are one happening: a wheel that slips, or a lead that is being moved.
  const happenings = deep.filter(
    (event, i) => i === 0 || event.seconds - (deep[i - 1] as SignalEvent).seconds > 1,
  );
  const total = deep.filter((event) => event.depth < -LIMITS.total).length;
  if (happenings.length < 3 && !(total >= 1 && e.losses.longest > LIMITS.totalSeconds)) return null;
  if (total === 0 && happenings.length < LIMITS.partial) return null;
  const count = happenings.length;
  if (up > LIMITS.upwards * soft.length) return null;
  return (
    clamp(Math.log(count / 2), 0, 2.5) +
    clamp(2 * (deep.length / Math.max(1, soft.length) - 0.4), -1, 1.2) +
    // Dips that never reach the bottom may be a bad place of the turn that the log is too slow to tell.
    clamp(6 * (total / Math.max(1, deep.length) - 0.4), -2.4, 1.2)
  );
};

const noisyWheel = (e: WheelEvidence): number | null => {
  const { times, relative } = e.noise;
  const soft = e.events.filter((event) => !event.hard);
  const up = soft.filter((event) => event.depth > 0).length;
  const twoSided = soft.length > 0 ? 1 - Math.abs(2 * (up / soft.length) - 1) : 0;
  const often = e.total / Math.max(1, e.seconds);
  const loud = times >= LIMITS.noiseTimes && relative >= LIMITS.noiseRelative;
  const big = soft.filter(
    (event) => Math.abs(event.depth) > LIMITS.spike && Math.abs(event.depth) * event.kmh > LIMITS.deepKmh,
  );
  const spiky =
    twoSided > 0.4 &&
    ((soft.length >= 12 && often > 0.2 && times > LIMITS.spikyTimes) ||
      big.length > Math.max(15, LIMITS.spikesPerSecond * e.seconds));
  if (!loud && !spiky) return null;
  return (
    clamp(2 * Math.log(times / LIMITS.noiseTimes), loud ? 0 : -0.5, 2.5) +
    clamp(Math.log10(Math.max(1e-3, relative) / LIMITS.noiseRelative), -0.5, 1) +
    twoSided
  );
};

/**
 * Names the pattern of a wheel: a dead one first, then one that fails when slow, then a bad place on the turn, then
 * losses, then noise, then a constant ratio; what is none of these is normal.
 */
export const classify = (e: WheelEvidence): Classified => {
  const named = (pattern: LivePattern, margin: number, lostBelowKmh: number | null = null): Classified => ({
    pattern,
    margin,
    lostBelowKmh,
  });
  const dead = deadWheel(e);
  if (dead !== null) return named('no-signal', dead);
  const weak = weakWheel(e);
  if (weak) return named('weak-at-low-speed', weak.margin, weak.kmh);
  const turn = turnWheel(e);
  if (turn !== null) return named('once-per-turn', turn);
  const dropping = droppingWheel(e);
  const noisy = noisyWheel(e);
  if (noisy !== null && (dropping === null || e.noise.times > 3)) return named('noisy', noisy);
  if (dropping !== null) return named('drops-out', dropping);
  const off = e.ratio - 1;
  if (Math.abs(off) >= RATIO_LIMIT)
    return named(
      off > 0 ? 'reads-high' : 'reads-low',
      clamp((Math.abs(off) - RATIO_LIMIT) * 200, 0, 3) +
        clamp(Math.log10(Math.max(1, e.ratioBlocks) / 20), -1, 1),
    );
  const quiet = clamp(3 - 0.7 * Math.log(1 + e.events.filter((event) => !event.hard).length), 0, 3);
  const nearLimit = Number.isFinite(off) ? clamp((RATIO_LIMIT - Math.abs(off)) * 150, 0, 1.5) : 0;
  return named('normal', quiet + nearLimit + clamp(Math.log10(e.seconds / 30), -1, 0.5));
};
