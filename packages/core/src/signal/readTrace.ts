import type { TraceFinding, TraceReading } from '../vocabulary/traceReading.ts';
import { BadInput } from '../vocabulary/badInput.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import { classify, isWeakUnheld, noiseExcess, RATIO_LIMIT, type WheelEvidence } from './classify.ts';
import { accelerationOf, commonMotion, fasterOfTwo } from './commonMotion.ts';
import { confidenceOf } from './confidence.ts';
import { walkDistance } from './distanceWalk.ts';
import { findEvents, hardMoments, thresholdsOf, type SignalEvent } from './events.ts';
import { explainFinding } from './explainFinding.ts';
import { findGains } from './gains.ts';
import { lossesOf, lowSpeedCut, type Losses } from './losses.ts';
import { findOncePerTurn, type TurnFinding } from './oncePerTurn.ts';
import { residualsOf, type Residual } from './residuals.ts';
import type { WheelLog } from './wheelLog.ts';
import type { RatioContext } from '../checks/explainRatio.ts';

export interface TraceOptions {
  /** Rolling circumference in metres, when known; else it is searched. */
  readonly circumference?: number | null;
  /** What is known of tyres and rings, to explain a ratio. */
  readonly ratio?: RatioContext;
  readonly progress?: (part: number) => void;
}

/** A reading with what a screen draws: one entry per wheel in the log's order. */
export interface TraceStudy {
  readonly reading: TraceReading;
  readonly log: WheelLog;
  /** The vehicle's speed, km/h. */
  readonly motion: Float32Array;
  readonly residuals: readonly Residual[];
  readonly events: ReadonlyArray<readonly SignalEvent[]>;
  readonly turns: ReadonlyArray<TurnFinding | null>;
  readonly ratios: readonly number[];
  /** How far the evidence of each finding is beyond what was asked; confidence is fitted on it. */
  readonly margins: readonly number[];
}

/** A middle tyre, in metres a turn: what the stated limit of a log rests on when nothing is known. */
const USUAL_CIRCUMFERENCE = 1.98;
/** Smallest and largest rolling circumference searched when none is given: small trailers to lorries. */
const ANY_CIRCUMFERENCE = { from: 1.5, to: 3.45 };
const KNOWN_WITHIN = 0.04;

/** What bends may leave open of a ratio before it is no longer named with confidence: half of what makes it one. */
const MOST_BENT = RATIO_LIMIT / 2;
const LEAST_MOVING_KMH = 2;
/** Lost samples from which a neighbour's low-speed limit is one. */
const LEAST_LOST = 8;

/** Smallest step between readings in km/h, from neighbouring samples of all wheels. */
const stepOf = (log: WheelLog): number => {
  let least = Infinity;
  for (const { kmh } of log.wheels) {
    const stride = Math.max(1, Math.floor(kmh.length / 5000));
    for (let s = stride; s < kmh.length; s += stride) {
      const difference = Math.abs((kmh[s] as number) - (kmh[s - 1] as number));
      if (difference > 1e-4 && difference < least) least = difference;
    }
  }
  return Number.isFinite(least) && least < 2 ? least : 0;
};

/** Of two wheels the one with far fewer events shows the other's: dips of the one lift the mean of both. */
const dropMirrored = (found: Array<{ events: SignalEvent[]; total: number }>): void => {
  const [a, b] = found as [(typeof found)[number], (typeof found)[number]];
  if (a.total > 3 * b.total) found[1] = { events: [], total: 0 };
  else if (b.total > 3 * a.total) found[0] = { events: [], total: 0 };
};

const checkMoves = (log: WheelLog, motion: Float32Array): void => {
  let moving = 0;
  for (const m of motion) if (m > LEAST_MOVING_KMH) moving++;
  if (moving >= 20) return;
  const nothing = log.wheels.every(({ kmh }) => kmh.every((v) => !(v > 0)));
  throw new BadInput(
    'speeds',
    nothing
      ? 'are zero or missing throughout: the vehicle never moved while this was recorded; record a minute of driving'
      : `show the vehicle moving for only ${moving} samples; record a minute of driving, some of it at walking pace`,
  );
};

/** A wheel without a signal for this share of the drive is nothing to compare with. */
const NO_TWIN = 0.5;
/** Below which speed the other wheel of the axle is lost; null where there is none, or it gives too little. */
const twinCutOf = (
  log: WheelLog,
  w: number,
  cuts: readonly number[],
  losses: readonly Losses[],
): number | null => {
  const mine = log.wheels[w]?.wheelEnd ?? '';
  const twin = log.wheels.findIndex(({ wheelEnd }, i) => i !== w && axleOf(wheelEnd) === axleOf(mine));
  return twin < 0 || (losses[twin]?.share ?? 1) > NO_TWIN ? null : (cuts[twin] ?? 0);
};

/** The two readings of a log that bends too much to tell a bend from a ratio, in one sentence. */
const rivalNote = (log: WheelLog, ratios: readonly number[], rival: readonly number[] | null): string[] => {
  if (!rival) return [];
  const told = (gains: readonly number[]): string => {
    const odd = gains.flatMap((g, w) =>
      Math.abs(g - 1) >= RATIO_LIMIT
        ? [
            `${log.wheels[w]?.wheelEnd ?? ''} ${Math.abs((g - 1) * 100).toFixed(1)} % ${g > 1 ? 'high' : 'low'}`,
          ]
        : [],
    );
    return odd.length > 0 ? odd.join(' and ') : 'all wheels alike';
  };
  const [here, there] = [told(ratios), told(rival)];
  return here === there
    ? []
    : [`it bends too much to tell a bend from a ratio: ${here}, or ${there}; record a straight stretch`];
};

/**
 * Reads a wheel-speed log: what every wheel's signal is like, with a confidence and what explains it.
 * Method: common motion of the sound wheels; each wheel's ratio on calm straight samples; what is left, quick, counted
 * as events; the events tested for a place on the wheel's turn. Linear in the samples.
 * @throws BadInput when the log cannot show anything.
 */
export const readTrace = (log: WheelLog, interval: number, options: TraceOptions = {}): TraceStudy => {
  const progress = options.progress ?? (() => undefined);
  const n = log.time.length;
  if (log.wheels.length < 2)
    throw new BadInput('wheels', 'are fewer than two; wheels are judged against each other');
  const even = log.wheels.map(() => 1);
  const rough = commonMotion(log, even);
  checkMoves(log, rough);
  progress(0.1);
  const gains = findGains(log, rough, accelerationOf(log.time, rough, interval), interval);
  const divide = gains.ratios.map((ratio) => (Number.isFinite(ratio) ? ratio : 1));
  progress(0.25);
  const motion = commonMotion(log, divide);
  const pair = log.wheels.length === 2;
  const carried = pair ? fasterOfTwo(log, divide) : motion;
  const hard = hardMoments(accelerationOf(log.time, carried, interval), motion, interval, pair);
  progress(0.4);
  const residuals = residualsOf(log, divide, motion, interval);
  progress(0.7);
  const step = stepOf(log);
  const losses = log.wheels.map((_, w) => lossesOf(log, w, divide[w] as number, motion, hard));
  const cuts = losses.map((l) => {
    const cut = lowSpeedCut(l);
    return cut && cut.lost >= LEAST_LOST ? cut.kmh : 0;
  });
  const seconds = (log.time[n - 1] as number) + interval;
  const circumference = options.circumference ?? null;
  const range =
    circumference === null
      ? ANY_CIRCUMFERENCE
      : { from: circumference * (1 - KNOWN_WITHIN), to: circumference * (1 + KNOWN_WITHIN) };

  const found = log.wheels.map((_, w) =>
    findEvents(residuals, w, log.time, motion, hard, thresholdsOf(residuals, w, step)),
  );
  if (pair) dropMirrored(found);
  const events = found.map((wheel) => wheel.events);
  const walk = walkDistance(log.time, motion, interval, range);
  const turns: Array<TurnFinding | null> = [];
  const margins: number[] = [];
  const findings = log.wheels.map(({ wheelEnd }, w): TraceFinding => {
    const mine = found[w] as (typeof found)[number];
    const gain = divide[w] as number;
    const turn = mine.events.length < 5 ? null : findOncePerTurn(mine.events, walk, gain, range);
    turns.push(turn);
    const others = cuts.filter((_, i) => i !== w).sort((a, b) => a - b);
    const evidence: WheelEvidence = {
      losses: losses[w] as WheelEvidence['losses'],
      otherCut: Math.max(2.5, others[others.length >> 1] ?? 0),
      twinCut: twinCutOf(log, w, cuts, losses),
      events: mine.events,
      total: mine.total,
      turn,
      noise: noiseExcess(residuals, w, step),
      ratio: gains.ratios[w] as number,
      ratioBlocks: gains.blocks,
      seconds,
    };
    const { pattern, margin, lostBelowKmh } = classify(evidence);
    margins.push(margin);
    progress(0.7 + (0.3 * (w + 1)) / log.wheels.length);
    const ratio = pattern === 'no-signal' || !Number.isFinite(evidence.ratio) ? null : evidence.ratio;
    const isRatio = pattern === 'reads-high' || pattern === 'reads-low';
    const other = gains.rival ? (gains.rival[w] as number) - 1 : null;
    const off = Math.abs(evidence.ratio - 1) >= RATIO_LIMIT;
    // Straight ahead might as well lie elsewhere: a wheel that would read otherwise then is not known better than that.
    const either =
      other !== null &&
      (isRatio || pattern === 'normal') &&
      (Math.abs(other) >= RATIO_LIMIT !== off || (off && Math.sign(other) !== Math.sign(evidence.ratio - 1)));
    // Hardly anything was straight: what that leaves open decides whether this is a ratio at all.
    const bent = isRatio && gains.error > MOST_BENT;
    const unheld = pattern === 'weak-at-low-speed' && isWeakUnheld(evidence, lostBelowKmh);
    const near =
      bent ||
      ((isRatio || pattern === 'normal') &&
        Math.abs(Math.abs(evidence.ratio - 1) - RATIO_LIMIT) < gains.error);
    const unsure = either || near || unheld || (gains.ambiguous !== null && isRatio);
    const confidence = unsure ? 0.5 : confidenceOf(pattern, margin);
    const told = explainFinding(
      { wheelEnd, pattern, ratio, evidence, lostBelowKmh, bent, unheld },
      options.ratio ?? {},
    );
    return {
      wheelEnd,
      pattern,
      confidence,
      ratio: ratio === null ? null : Number(ratio.toFixed(5)),
      events: pattern === 'once-per-turn' && turn ? turn.samples.length : mine.total,
      ...told,
      lostBelowKmh,
      circumferenceM: pattern === 'once-per-turn' && turn ? Number(turn.circumference.toFixed(3)) : null,
    };
  });
  const visible = ((circumference ?? USUAL_CIRCUMFERENCE) / interval / 2) * 3.6;
  const reading: TraceReading = {
    format: 'hardy-spoke/trace',
    version: 1,
    sampleRateHz: Number((1 / interval).toPrecision(4)),
    seconds: Number(seconds.toFixed(1)),
    samples: n,
    onceVisibleBelowKmh: Number(visible.toFixed(1)),
    findings,
    notes: [
      ...log.notes,
      ...(gains.ambiguous ? [gains.ambiguous] : []),
      ...rivalNote(log, gains.ratios, gains.rival),
      ...(gains.error > MOST_BENT
        ? [
            'hardly a stretch of it is straight: a ratio cannot be told from a bend here; record a straight stretch',
          ]
        : []),
    ],
  };
  return { reading, log, motion, residuals, events, turns, ratios: gains.ratios, margins };
};
