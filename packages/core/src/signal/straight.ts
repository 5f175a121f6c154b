import { modeOf } from './order.ts';

/** What there is to tell where straight ahead lies in the difference of left and right. One entry a calm block. */
export interface StraightEvidence {
  /** Half the difference of right and left over the speed, the first axle's own imbalance still in it. */
  readonly raw: Float64Array;
  /** Imbalance of each axle less that of the first. */
  readonly offsets: readonly number[];
  /** Speed, km/h. */
  readonly speeds: Float64Array;
  /** How much faster the first axle runs than the last, as a logarithm. */
  readonly lead: Float64Array;
  /** Wheels of more than one axle give a signal, be it one of an axle only: they run on different circles. */
  readonly severalAxles: boolean;
  /** Angle of the steering wheel, degrees, where it was logged. */
  readonly steering: Float64Array | null;
}

export interface Straight {
  /** Half difference that means straight ahead: the first axle's own imbalance. */
  readonly straight: number;
  /** Where it might as well lie, so that another wheel would be the odd one; null where it is settled. */
  readonly rival: number | null;
  /** The first axle runs faster in a bend by this times the square of the half difference. */
  readonly bow: number;
  /** How far off `bow` may be. */
  readonly bowError: number;
}

/** Imbalance of an axle from which one of its wheels is off: half of a ratio worth naming. */
const BALANCED = 0.0075;
/** Imbalance that wear and pressure explain. */
const WORN = 0.004;
/** What a wheel that is off costs: about one log in fifty has one. Of a whole side alike: turning until proven otherwise. */
const WHEEL_OFF = 4;
/** Half a track in m, and sideways grip of an ordinary driver in m/s2: together they bound the difference of a bend. */
const HALF_TRACK = 0.85;
const GRIP = 3.5;
/** Noise of a block's difference. */
const SLACK = 0.006;
/** A share of blocks beyond grip counts this much. */
const BEYOND_GRIP = 60;
/**
 * Width within which blocks crowd, and the most that crowding counts: a circle crowds as well as a straight road, but
 * from a road bends go off to both sides.
 */
const CROWD = 0.003;
const MOST_CROWD = { circle: 3, road: 7 } as const;
/** A bend worth the name, and the part of the blocks on either side of a road that bends. */
const BENT = 0.01;
const EITHER_SIDE = 0.04;
/** Where the curve of the axles, or the steering wheel, says straight ahead lies counts at most this much. */
const MOST_CURVE = 14;
/** Two places are told apart by this much. */
const SETTLED_BY = 3;
/** Bow of the axles that vehicles have: 2 (wheelbase / track) squared. */
const BOW = { least: 2.5, usual: 6, most: 14 } as const;

/** How far off a bow found by its curve may be at best: tyres slip a little in bends. */
const BOW_ERROR = 1;

interface Curve {
  readonly at: number;
  readonly error: number;
  readonly bow: number;
  readonly bowError: number;
}

/** Solves three normal equations; null where they do not determine the three. */
const solve3 = (m: number[][], v: number[]): number[] | null => {
  const a = m.map((row, i) => [...row, v[i] as number]);
  for (let c = 0; c < 3; c++) {
    let pivot = c;
    for (let r = c + 1; r < 3; r++)
      if (Math.abs(a[r]?.[c] as number) > Math.abs(a[pivot]?.[c] as number)) pivot = r;
    [a[c], a[pivot]] = [a[pivot] as number[], a[c] as number[]];
    const row = a[c] as number[];
    if (Math.abs(row[c] as number) < 1e-14) return null;
    for (let r = 0; r < 3; r++) {
      if (r === c) continue;
      const other = a[r] as number[];
      const f = (other[c] as number) / (row[c] as number);
      for (let k = c; k < 4; k++) other[k] = (other[k] as number) - f * (row[k] as number);
    }
  }
  return a.map((row, i) => (row[3] as number) / (row[i] as number));
};

/**
 * In a bend the first axle runs on a wider circle than the last: its lead is a parabola over the difference of left and
 * right, with its foot where the vehicle goes straight. Least squares, blocks far off left out in a second round; the
 * error of the foot from what is left. Null where the bends are too alike, or the curve is none a vehicle has.
 */
const footOfCurve = (raw: Float64Array, lead: Float64Array): Curve | null => {
  let keep = Array.from(raw, (r, i) => (r === r && lead[i] === lead[i] ? i : -1)).filter((i) => i >= 0);
  if (keep.length < 20) return null;
  let fit: number[] | null = null;
  let spread = Infinity;
  let inverse: number[][] = [];
  for (let round = 0; round < 3; round++) {
    const m = [
      [0, 0, 0],
      [0, 0, 0],
      [0, 0, 0],
    ];
    const v = [0, 0, 0];
    for (const i of keep) {
      const r = raw[i] as number;
      const row = [1, r, r * r];
      for (let p = 0; p < 3; p++) {
        v[p] = (v[p] as number) + (row[p] as number) * (lead[i] as number);
        for (let q = 0; q < 3; q++)
          (m[p] as number[])[q] = ((m[p] as number[])[q] as number) + (row[p] as number) * (row[q] as number);
      }
    }
    fit = solve3(m, v);
    if (!fit) return null;
    const [c0 = 0, c1 = 0, c2 = 0] = fit;
    const left = (i: number) =>
      (lead[i] as number) - c0 - c1 * (raw[i] as number) - c2 * (raw[i] as number) ** 2;
    const squares = keep.map((i) => left(i) ** 2);
    spread = Math.sqrt(squares.reduce((sum, each) => sum + each, 0) / Math.max(1, keep.length - 3));
    inverse = [0, 1, 2].map(
      (p) =>
        solve3(
          m,
          [0, 1, 2].map((q) => (p === q ? 1 : 0)),
        ) ?? [0, 0, 0],
    );
    if (round < 2) keep = keep.filter((i) => Math.abs(left(i)) <= 2.5 * spread);
    if (keep.length < 20) return null;
  }
  const [, slope = 0, bow = 0] = fit ?? [];
  // A bow that no vehicle has is slip or noise: it says nothing.
  if (bow < BOW.least / 2 || bow > BOW.most * 1.5) return null;
  const at = -slope / (2 * bow);
  // Error of -b / 2c by first order; blocks follow one another and are not independent, hence the factor.
  const db = -1 / (2 * bow);
  const dc = slope / (2 * bow * bow);
  const variance =
    db * db * ((inverse[1] as number[])[1] as number) +
    2 * db * dc * ((inverse[1] as number[])[2] as number) +
    dc * dc * ((inverse[2] as number[])[2] as number);
  const error = 3 * spread * Math.sqrt(Math.max(0, variance)) + 0.0015;
  const bowError = 3 * spread * Math.sqrt(Math.max(0, (inverse[2] as number[])[2] as number)) + BOW_ERROR;
  // Bends too alike to fix the curve: it says nothing.
  if (bowError > BOW.usual / 2) return null;
  return { at, error, bowError, bow: Math.min(BOW.most, Math.max(BOW.least, bow)) };
};

/** Where the steering wheel stands straight: the line of difference over angle at zero. Null where it says too little. */
const footOfSteering = (raw: Float64Array, steering: Float64Array): Curve | null => {
  const keep = Array.from(raw, (r, i) => (r === r && Math.abs(steering[i] as number) < 720 ? i : -1)).filter(
    (i) => i >= 0,
  );
  if (keep.length < 20) return null;
  const mean = (of: (i: number) => number) => keep.reduce((sum, i) => sum + of(i), 0) / keep.length;
  const ms = mean((i) => steering[i] as number);
  const mr = mean((i) => raw[i] as number);
  const ss = mean((i) => ((steering[i] as number) - ms) ** 2);
  const sr = mean((i) => ((steering[i] as number) - ms) * ((raw[i] as number) - mr));
  if (ss < 4) return null;
  const slope = sr / ss;
  const at = mr - slope * ms;
  const rest = Math.sqrt(mean((i) => ((raw[i] as number) - at - slope * (steering[i] as number)) ** 2));
  const explained =
    1 -
    rest ** 2 /
      Math.max(
        1e-12,
        mean((i) => ((raw[i] as number) - mr) ** 2),
      );
  // A steering wheel that does not follow the bends is another angle, or a sensor that was never set to zero.
  if (explained < 0.7) return null;
  return {
    at,
    error: (2 * rest * Math.sqrt(1 + ms ** 2 / ss)) / Math.sqrt(keep.length) + 0.002,
    bow: BOW.usual,
    bowError: BOW.usual,
  };
};

/**
 * Finds straight ahead. Bends and a ratio shared by a whole side look alike in the difference of left and right; what
 * tells them apart: a bend cannot outdo sideways grip at speed; in a bend the first axle runs faster than the last; the
 * steering wheel, where it was logged; a drive is straight more often than it bends by any one amount; and few wheels
 * are off at once, least of all both of one side alike. Every place that balances an axle is weighed by these, as is the
 * place where the drive crowds; the cheapest is taken, and where a second one is hardly dearer and makes another wheel the
 * odd one, it is told as well.
 */
export const findStraight = ({
  raw,
  offsets,
  speeds,
  lead,
  severalAxles,
  steering,
}: StraightEvidence): Straight => {
  const known = Array.from(raw, (r, i) => (r === r ? i : -1)).filter((i) => i >= 0);
  if (known.length === 0 || offsets.length === 0) return { straight: 0, rival: null, bow: 0, bowError: 0 };
  const mode = modeOf(
    Float64Array.from(known, (i) => raw[i] as number),
    known.length,
    0.0005,
    6,
  );
  const curve = offsets.length > 1 ? footOfCurve(raw, lead) : null;
  const wheel = steering ? footOfSteering(raw, steering) : null;
  const bow = curve?.bow ?? (severalAxles ? BOW.usual : 0);
  const crowdAt = (c: number) =>
    known.reduce((sum, i) => sum + Math.max(0, 1 - Math.abs((raw[i] as number) - c) / (2 * CROWD)), 0) /
    known.length;
  const fullest = Math.max(crowdAt(mode), 1e-9);
  const beside = (sign: 1 | -1) =>
    known.filter((i) => sign * ((raw[i] as number) - mode) > BENT).length / known.length;
  const mostCrowd =
    beside(1) >= EITHER_SIDE && beside(-1) >= EITHER_SIDE ? MOST_CROWD.road : MOST_CROWD.circle;
  const cost = (c: number): number => {
    // An axle out of balance has a wheel off; all of them alike are a whole side, which is dearer by a wheel each.
    const wheels = offsets.reduce((sum, offset) => sum + Math.min(1, ((offset + c) / BALANCED) ** 2), 0);
    const beyond =
      known.filter((i) => {
        const v = Math.max(1, (speeds[i] as number) / 3.6);
        return Math.abs((raw[i] as number) - c) > (HALF_TRACK * GRIP) / v ** 2 + SLACK;
      }).length / known.length;
    const crowd = Math.min(mostCrowd, Math.log(fullest / Math.max(1e-9, crowdAt(c))));
    const far = (foot: Curve | null) =>
      foot === null ? 0 : Math.min(MOST_CURVE, ((c - foot.at) / foot.error) ** 2 / 2);
    return WHEEL_OFF * wheels + BEYOND_GRIP * Math.max(0, beyond - 0.02) + crowd + far(curve) + far(wheel);
  };
  // The first axle in balance, each other one in balance, and where the drive crowds.
  const balanced = offsets.map((offset) => -offset);
  // A place that balances an axle to within what wear explains is taken where the drive crowds nearest to it.
  const refined = balanced.map((c) => (Math.abs(mode - c) < WORN ? mode : c));
  const places = [...new Set([...refined, mode])].map((c) => ({ c, cost: cost(c) }));
  places.sort((x, y) => x.cost - y.cost);
  const best = places[0] as (typeof places)[number];
  const rival = places.find(
    ({ c, cost: its }) => Math.abs(c - best.c) > BALANCED && its - best.cost < SETTLED_BY,
  );
  const bowError = !severalAxles ? 0 : curve ? curve.bowError : (BOW.most - BOW.least) / 2;
  return { straight: best.c, rival: rival?.c ?? null, bow, bowError };
};
