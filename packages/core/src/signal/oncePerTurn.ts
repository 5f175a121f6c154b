import { logChiSquareTail } from './chiSquare.ts';
import { STRETCHES, type DistanceWalk, type Stretching } from './distanceWalk.ts';
import type { SignalEvent } from './events.ts';

/** Where on the wheel's turn events fall. */
export interface TurnFinding {
  /** Distance a turn in metres, by the reading's own scale. */
  readonly circumference: number;
  /** Logarithm of the chance that events without a place on the wheel would line up so well, trials allowed for. */
  readonly logChance: number;
  /** Mean resultant length: 1 when all fall on one place. */
  readonly concentration: number;
  /** How well the even turns' events fall where the odd turns' did: 1 fully, 0 as chance would have it. */
  readonly repeated: number;
  /** Turns driven slowly enough to show a place, and how many had an event. */
  readonly turns: number;
  readonly hits: number;
  /** Place on the turn, 0 to 1, of every event used, each stretch turned so that its bad place is at 0. */
  readonly places: number[];
  /** Peak samples of those events. */
  readonly samples: number[];
}

interface Placed {
  readonly metres: number;
  readonly step: number;
  readonly kmh: number;
  readonly stretch: number;
  readonly sample: number;
  readonly size: number;
}

const OVERSAMPLING = 5;
const MOST_EVENTS = 1500;
/** Part of a turn within which only the deepest event counts: one bad place makes one event. */
const ONE_PLACE = 0.35;

/** Of events closer than `metres` to each other the deepest. `events` in order of distance. */
const deepestOnly = (events: readonly Placed[], metres: number): Placed[] => {
  const kept: Placed[] = [];
  for (const event of events) {
    const last = kept.at(-1);
    if (last?.stretch !== event.stretch || event.metres - last.metres > metres) kept.push(event);
    else if (event.size > last.size) kept[kept.length - 1] = event;
  }
  return kept;
};

/** Rayleigh power summed over stretches: twice n R^2 of each, chi-square with two degrees a stretch by chance. */
interface Trial {
  readonly power: number;
  readonly degrees: number;
}

/** Arrows summed up per stretch. */
interface Arrows {
  readonly cos: Float64Array;
  readonly sin: Float64Array;
  readonly counts: Float64Array;
}

const emptyArrows = (stretches: number): Arrows => ({
  cos: new Float64Array(stretches),
  sin: new Float64Array(stretches),
  counts: new Float64Array(stretches),
});

const arrowsAt = (
  events: readonly Placed[],
  circumference: number,
  shift: number,
  stretches: number,
): Arrows => {
  const arrows = emptyArrows(stretches);
  const turn = (2 * Math.PI) / circumference;
  for (const { metres, step, stretch } of events) {
    const phase = (metres - shift * step) * turn;
    arrows.cos[stretch] = (arrows.cos[stretch] as number) + Math.cos(phase);
    arrows.sin[stretch] = (arrows.sin[stretch] as number) + Math.sin(phase);
    arrows.counts[stretch] = (arrows.counts[stretch] as number) + 1;
  }
  return arrows;
};

/**
 * Power at evenly spaced turns a metre from `from` on. An arrow moves by the same angle from one to the next, so it is
 * turned by one complex product, not by sine and cosine anew. Events come in order of distance, so those of a stretch
 * stand together and are summed up in one run.
 */
const scanTurns = (
  events: readonly Placed[],
  shift: number,
  from: number,
  step: number,
  count: number,
  each: (turnsPerMetre: number, trial: Trial) => void,
): void => {
  const n = events.length;
  const x = new Float64Array(n);
  const y = new Float64Array(n);
  const dx = new Float64Array(n);
  const dy = new Float64Array(n);
  const ends: number[] = [];
  let degrees = 0;
  events.forEach((event, i) => {
    const metres = (event.metres - shift * event.step) * 2 * Math.PI;
    x[i] = Math.cos(metres * from);
    y[i] = Math.sin(metres * from);
    dx[i] = Math.cos(metres * step);
    dy[i] = Math.sin(metres * step);
    if (events[i + 1]?.stretch !== event.stretch) {
      if (i + 1 - (ends.at(-1) ?? 0) >= 2) degrees += 2;
      ends.push(i + 1);
    }
  });
  const last = Uint32Array.from(ends);
  for (let k = 0; k < count; k++) {
    let power = 0;
    let start = 0;
    for (const end of last) {
      let cos = 0;
      let sin = 0;
      for (let i = start; i < end; i++) {
        const a = x[i] as number;
        const b = y[i] as number;
        const c = dx[i] as number;
        const d = dy[i] as number;
        cos += a;
        sin += b;
        x[i] = a * c - b * d;
        y[i] = a * d + b * c;
      }
      if (end - start >= 2) power += (2 * (cos * cos + sin * sin)) / (end - start);
      start = end;
    }
    each(from + k * step, { power, degrees });
  }
};

/** Events of one wheel with their places along the drive, by stretching. */
const placeAlong = (all: readonly SignalEvent[], walk: DistanceWalk, gain: number): Placed[][] => {
  const placed: Placed[][] = STRETCHES.map(() => []);
  for (const event of all) {
    const s = event.peak;
    const metres = walk.metres[s] as number;
    if (event.hard || metres !== metres) continue;
    const { kmh } = event;
    // The weight of a dip lies in its middle.
    const back = s - (event.from + event.to) / 2;
    const step = (kmh / 3.6) * walk.interval * gain;
    const place = {
      metres: metres * gain - back * step,
      step,
      kmh,
      sample: s,
      size: Math.abs(event.depth) * kmh,
    };
    STRETCHES.forEach(({ slowest }, k) => {
      if (kmh >= slowest) placed[k]?.push({ ...place, stretch: walk.stretch[k]?.[s] as number });
    });
  }
  return placed;
};

const testUpTo = (
  along: readonly Placed[],
  driven: number,
  range: { readonly from: number; readonly to: number },
  fastest: number,
  { turns: together }: Stretching,
): TurnFinding | null => {
  const slow = along.filter(({ kmh }) => kmh < fastest);
  const used = slow.slice(0, MOST_EVENTS);
  const events = deepestOnly(used, range.from * ONE_PLACE);
  const last = events.at(-1);
  if (!last || events.length < 5) return null;
  const stretches = last.stretch + 1;
  // Where there are more events than are looked at, the turns up to the last of them count.
  const part =
    used.length === slow.length ? 1 : last.metres / Math.max(last.metres, slow.at(-1)?.metres ?? 0);
  let best = { power: -1, degrees: 0, circumference: range.from, shift: 0 };
  const from = 1 / range.to;
  const to = 1 / range.from;
  // Fine enough that an arrow at the end of a stretch moves by a fifth of a turn from one trial to the next.
  const step = 1 / (together * Math.sqrt(range.from * range.to) * OVERSAMPLING);
  const trials = Math.ceil((to - from) / step) + 1;
  for (const shift of [0, 0.5])
    scanTurns(events, shift, from, step, trials, (turnsPerMetre, { power, degrees }) => {
      if (power > best.power) best = { power, degrees, circumference: 1 / turnsPerMetre, shift };
    });
  if (best.degrees === 0) return null;
  // The arrows of the winner again, then every stretch turned so that its bad place lies at zero.
  const { cos, sin, counts } = arrowsAt(events, best.circumference, best.shift, stretches);
  const placeOf = (event: Placed) => ((event.metres - best.shift * event.step) / best.circumference) % 1;
  let resultant = 0;
  let counted = 0;
  for (let k = 0; k < stretches; k++)
    if ((counts[k] as number) >= 2) {
      resultant += Math.hypot(cos[k] as number, sin[k] as number);
      counted += counts[k] as number;
    }
  const places = events.map((event) => {
    const zero = Math.atan2(sin[event.stretch] as number, cos[event.stretch] as number) / (2 * Math.PI);
    return (((placeOf(event) - zero) % 1) + 1) % 1;
  });

  // Odd turns foretell even ones: an arrow per stretch from each half, compared.
  const half = [0, 1].map(() => ({ cos: new Float64Array(stretches), sin: new Float64Array(stretches) }));
  const turnsHit = new Set<number>();
  for (const event of events) {
    const turns = (event.metres - best.shift * event.step) / best.circumference;
    const whole = Math.floor(turns + 0.5);
    turnsHit.add(whole);
    const side = half[whole & 1] as { cos: Float64Array; sin: Float64Array };
    side.cos[event.stretch] = (side.cos[event.stretch] as number) + Math.cos(turns * 2 * Math.PI);
    side.sin[event.stretch] = (side.sin[event.stretch] as number) + Math.sin(turns * 2 * Math.PI);
  }
  let agree = 0;
  let weight = 0;
  const [odd, even] = half as [
    { cos: Float64Array; sin: Float64Array },
    { cos: Float64Array; sin: Float64Array },
  ];
  for (let k = 0; k < stretches; k++) {
    const a = Math.hypot(odd.cos[k] as number, odd.sin[k] as number);
    const b = Math.hypot(even.cos[k] as number, even.sin[k] as number);
    if (a === 0 || b === 0) continue;
    agree +=
      ((odd.cos[k] as number) * (even.cos[k] as number) + (odd.sin[k] as number) * (even.sin[k] as number)) /
      Math.sqrt(a * b);
    weight += Math.sqrt(a * b);
  }
  const independent = Math.max(1, trials / OVERSAMPLING) * 2;
  return {
    circumference: best.circumference,
    logChance: logChiSquareTail(best.power, best.degrees) + Math.log(independent),
    concentration: counted === 0 ? 0 : resultant / counted,
    repeated: weight === 0 ? 0 : agree / weight,
    turns: Math.round((driven * part) / best.circumference),
    hits: turnsHit.size,
    places,
    samples: events.map((event) => event.sample),
  };
};

/**
 * Tests whether events come once per turn of the wheel, in distance and not in time.
 *
 * Distance is the wheel's own mended speed summed up, broken at standstill and at gaps. For each circumference in the
 * range the places of the events on the turn are added as arrows within stretches of at most forty turns, and the
 * squared lengths over stretches. The best circumference wins, the number of independent ones tried is allowed for,
 * and the odd turns must foretell the even ones. Only samples with at least two to a turn are used.
 *
 * Null when there are too few events to say.
 */
export const findOncePerTurn = (
  events: readonly SignalEvent[],
  walk: DistanceWalk,
  gain: number,
  range: { readonly from: number; readonly to: number },
): TurnFinding | null => {
  // A bad place disturbs one way: the other way is noise, or what follows.
  const down = events.reduce((sum, event) => sum - event.depth, 0);
  const oneSign = events.filter((event) => event.depth < 0 === down > 0);
  const placed = placeAlong(oneSign, walk, gain);
  const found = STRETCHES.flatMap((stretching, k) =>
    walk.limits.flatMap((limit, i) => {
      const along = placed[k] as readonly Placed[];
      // A faster limit adds nothing once all events are in.
      const slower = walk.limits[i - 1];
      if (slower !== undefined && along.every(({ kmh }) => kmh < slower)) return [];
      return testUpTo(along, walk.driven[i] as number, range, limit, stretching) ?? [];
    }),
  );
  const [first] = found;
  if (!first) return null;
  const best = found.reduce((sofar, next) => (next.logChance < sofar.logChance ? next : sofar), first);
  return { ...best, logChance: Math.min(0, best.logChance + Math.log(found.length)) };
};
