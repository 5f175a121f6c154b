import type { Assumptions } from '../assumptions/assumptions.ts';
import { DEFAULT_ASSUMPTIONS } from '../assumptions/assumptions.ts';
import { betaInterval, gammaInterval, NORMAL_HALF, type Interval } from '../chance/intervals.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { CAUSES } from '../faultKinds/faultData.ts';
import { faultsOf, keyOf, partsOfKey } from './counts.ts';
import type { Tally } from './tally.ts';

/** A number that was learned: what judgement says, what the ledger says, and how much is behind it. */
export interface LearnedNumber {
  /** Key of the assumption it stands in for. */
  readonly key: string;
  /** The vehicle line it is of; null: everyone. */
  readonly line: string | null;
  readonly prior: number;
  readonly learned: number;
  readonly low: number;
  readonly high: number;
  /** Jobs behind it, as they weigh today. */
  readonly jobs: number;
  /** Whether it moved further than its own interval: less may be luck. */
  readonly sound: boolean;
}

/** Rates of what hurts people: learning may raise them, never lower them. A shop sees too few. */
const NEVER_LOWER = /^(?:prior|build\.\w+|line\.\w+)\.bearing$/;

interface Sums {
  readonly n: number;
  readonly e: number;
  readonly x: number;
}

const within = (key: string, value: number): number => {
  const { min, max } = DEFAULT_ASSUMPTIONS[key] ?? { min: -Infinity, max: Infinity };
  return Math.min(max, Math.max(min, value));
};

const numberOf = (
  key: string,
  line: string | null,
  prior: number,
  { mean, low, high }: Interval,
  jobs: number,
): LearnedNumber => {
  const floor = NEVER_LOWER.test(key) ? prior : -Infinity;
  const learned = within(key, Math.max(floor, mean));
  return {
    key,
    line,
    prior,
    learned,
    low: within(key, Math.max(floor, low)),
    high: within(key, Math.max(floor, high)),
    jobs,
    sound: learned !== prior && (prior < low || prior > high),
  };
};

/**
 * A factor on expected counts: Gamma prior worth `weight` jobs round one, conjugate to counts that are Poisson round their
 * expectation. `share` is what part of all jobs is expected here. Soft counts tell less than seen ones: their interval is
 * as wide as that of the jobs they are worth.
 */
const factorOf = (
  { n, e, x }: Sums,
  share: number,
  weight: number,
  above: number,
  telling: number,
): Interval => {
  const shape = weight * share + n;
  const rate = weight * share + e * above;
  const { mean } = gammaInterval(Math.max(shape, 1e-9), rate);
  const worth = n > 0 ? Math.min(1, x / n) : 1;
  const seen = Math.max(1e-6, weight * share + n * worth);
  const { low, high } = gammaInterval(seen, seen / mean);
  // What is only believed echoes the judgement: the truth may lie as much further off again.
  const further = mean ** (1 / Math.max(0.3, worth));
  return {
    mean,
    low: Math.min(low, (low / mean) * further) / telling,
    high: Math.max(high, (high / mean) * further) * telling,
  };
};

/** Rates of causes alone: everyone, then by how the sensor is built, then by line and axle, each leaning on the one above. */
export const learnCauses = (tally: Tally, judged: Assumptions): LearnedNumber[] => {
  const numbers: LearnedNumber[] = [];
  const telling = judged.get('learning.telling');
  const jobsIn = (start: string): number => {
    let sum = 0;
    for (const [key, { e }] of tally) if (key.startsWith(start)) sum += e;
    return sum;
  };
  const all = jobsIn(keyOf('cause', ''));
  const everyone = new Map<string, number>();
  const built = new Map<string, number>();
  for (const cause of CAUSES) {
    const count = tally.get(keyOf('cause', cause));
    if (!count || all <= 0) continue;
    const factor = factorOf(count, count.e / all, judged.get('learning.weight.causes'), 1, telling);
    for (const fault of faultsOf(cause)) {
      const prior = judged.find(`prior.${fault}`, 0);
      if (prior <= 0) continue;
      const learned = numberOf(
        `prior.${fault}`,
        null,
        prior,
        { mean: prior * factor.mean, low: prior * factor.low, high: prior * factor.high },
        all,
      );
      numbers.push(learned);
      everyone.set(cause, learned.learned / prior);
    }
  }
  for (const build of ['passive', 'active']) {
    const jobs = jobsIn(keyOf('build', build, ''));
    if (jobs <= 0) continue;
    for (const cause of CAUSES) {
      const count = tally.get(keyOf('build', build, cause));
      if (!count || count.e <= 0) continue;
      const factor = factorOf(
        count,
        count.e / jobs,
        judged.get('learning.weight.build'),
        everyone.get(cause) ?? 1,
        telling,
      );
      for (const fault of faultsOf(cause)) {
        const key = `build.${build}.${fault}`;
        if (!Object.hasOwn(DEFAULT_ASSUMPTIONS, key)) continue;
        const learned = numberOf(key, null, 1, factor, jobs);
        numbers.push(learned);
        built.set(keyOf(build, cause), learned.learned);
      }
    }
  }
  const lines = new Map<string, number>();
  for (const [key, { e }] of tally) {
    const [kind, line] = partsOfKey(key);
    if (kind === 'line' && line) lines.set(line, (lines.get(line) ?? 0) + e);
  }
  // A line’s axle is built one way or another: each count leans on what is known of its own build.
  const places = new Map<string, { n: number; e: number; x: number; jobs: number; above: number }>();
  for (const [key, { n, e, x }] of tally) {
    const [kind, line, place, build, cause] = partsOfKey(key);
    if (kind !== 'line' || !line || !place || !build || !cause) continue;
    const name = keyOf(line, place, cause);
    const sum = places.get(name) ?? { n: 0, e: 0, x: 0, jobs: 0, above: 0 };
    const above = (everyone.get(cause) ?? 1) * (built.get(keyOf(build, cause)) ?? 1);
    places.set(name, { n: sum.n + n, e: sum.e + e, x: sum.x + x, jobs: 0, above: sum.above + e * above });
  }
  for (const [name, count] of places) {
    const [line = '', place = '', cause = ''] = partsOfKey(name);
    const jobs = lines.get(line) ?? 0;
    if (jobs <= 0 || count.e <= 0) continue;
    const weight = judged.get('learning.weight.line');
    const factor = factorOf(count, count.e / jobs, weight, count.above / count.e, telling);
    for (const fault of faultsOf(cause)) {
      const key = `line.${place}.${fault}`;
      if (Object.hasOwn(DEFAULT_ASSUMPTIONS, key)) numbers.push(numberOf(key, line, 1, factor, jobs));
    }
  }
  return numbers;
};

const chanceOf = (
  n: number,
  of: number,
  worth: number,
  prior: number,
  weight: number,
  most: number,
): Interval => {
  const { mean } = betaInterval(weight * prior + n, weight * (1 - prior) + Math.max(0, of - n));
  // A cause that is told is told wrong now and then: no number of trials makes up for that.
  const trials = weight + Math.min(most, of * worth);
  const { low, high } = betaInterval(trials * mean, trials * (1 - mean));
  return { mean, low, high };
};

/** Chances of cures, of what checks show, of a part bad from the box. */
const learnChances = (tally: Tally, judged: Assumptions): LearnedNumber[] => {
  const most = judged.get('learning.most-told');
  const numbers: LearnedNumber[] = [];
  const rows = new Map<string, number>();
  const tiers = new Map<string, { n: number; e: number; parts: number }>();
  for (const [key, { n, e }] of tally) {
    const [kind, first, second] = partsOfKey(key);
    if (kind === 'check') {
      const row = keyOf(first ?? '', second ?? '');
      rows.set(row, (rows.get(row) ?? 0) + n);
    }
    if (kind === 'box') {
      const sum = tiers.get(first ?? '') ?? { n: 0, e: 0, parts: 0 };
      tiers.set(first ?? '', { n: sum.n + n, e: sum.e + e, parts: sum.parts + 1 });
    }
  }
  for (const [key, { n, e, x }] of tally) {
    const [kind, part, fault] = partsOfKey(key);
    const name = `cures.${part}.${fault}`;
    const prior = judged.find(name, 0);
    if (kind === 'cure' && prior > 0 && e > 0)
      numbers.push(
        numberOf(
          name,
          null,
          prior,
          chanceOf(n, e, Math.min(1, x / e), prior, judged.get('learning.weight.cures'), most),
          e,
        ),
      );
  }
  for (const [row, of] of rows) {
    const [table = '', fault = ''] = partsOfKey(row);
    const results = Object.keys(CHECK_TABLES[table]?.nothing ?? {});
    const total = results.reduce(
      (sum, result) => sum + judged.find(`check.${table}.${fault}.${result}`, 0),
      0,
    );
    for (const result of results) {
      const name = `check.${table}.${fault}.${result}`;
      const prior = judged.find(name, 0) / (total || 1);
      if (prior <= 0) continue;
      const n = tally.get(keyOf('check', table, fault, result))?.n ?? 0;
      const learned = chanceOf(n, of, 1, prior, judged.get('learning.weight.checks'), most);
      const scaled = { mean: learned.mean * total, low: learned.low * total, high: learned.high * total };
      numbers.push(numberOf(name, null, prior * total, scaled, of));
    }
  }
  for (const [tier, { n, e, parts }] of tiers) {
    const name = `tier.bad-out-of-box.${tier}`;
    if (Object.hasOwn(DEFAULT_ASSUMPTIONS, name)) {
      const prior = judged.get(name);
      // Many pieces of few numbers tell of those numbers.
      const rate = Math.max(prior, n / Math.max(e, 1));
      const spread = judged.get('learning.part-spread') ** 2;
      const worth = 1 / (1 + (e * spread * rate) / ((1 - rate) * parts));
      numbers.push(
        numberOf(name, null, prior, chanceOf(n, e, worth, prior, judged.get('learning.weight.box'), most), e),
      );
    }
  }
  return numbers;
};

/** Log of a gamma-smoothed ratio of what was seen to what was expected. */
const smoothed = (n: number, e: number, weight: number): number => Math.log((weight + n) / (weight + e));

/** Salt that the chances by metal are told for: one of the two scales has to stand still. */
const REFERENCE: ReadonlySet<string> = new Set(['some', 'unknown']);

/**
 * Snapped sensors: factors on the chance by metal and by salt, and how it grows with age, each smoothed to the judgement
 * and to each other. Fitted in turn on the sums of the cells, so that the order of jobs does not matter.
 */
const learnSeizure = (tally: Tally, judged: Assumptions): LearnedNumber[] => {
  const cells = [...tally].flatMap(([key, { n, e, x, jobs }]) => {
    const [kind, metal = '', salt = ''] = partsOfKey(key);
    return kind === 'seize' && e > 0 ? [{ metal, salt, n, e, jobs, decades: jobs > 0 ? x / jobs : 0 }] : [];
  });
  if (cells.length === 0) return [];
  const jobs = cells.reduce((sum, cell) => sum + cell.jobs, 0);
  const rate = cells.reduce((sum, { e }) => sum + e, 0) / jobs;
  const weight = judged.get('learning.weight.seizure') * rate;
  const metals = new Map<string, number>();
  const salts = new Map<string, number>();
  let slope = 0;
  const precision = judged.get('learning.age-spread') ** -2;
  const factor = (cell: (typeof cells)[number], but: 'metal' | 'salt' | 'age') =>
    (but === 'metal' ? 1 : Math.exp(metals.get(cell.metal) ?? 0)) *
    (but === 'salt' ? 1 : Math.exp(salts.get(cell.salt) ?? 0)) *
    (but === 'age' ? 1 : Math.exp(slope * cell.decades));
  const sums = (by: 'metal' | 'salt') => {
    const out = new Map<string, { n: number; e: number; jobs: number }>();
    for (const cell of cells) {
      const sum = out.get(cell[by]) ?? { n: 0, e: 0, jobs: 0 };
      out.set(cell[by], {
        n: sum.n + cell.n,
        e: sum.e + cell.e * factor(cell, by),
        jobs: sum.jobs + cell.jobs,
      });
    }
    return out;
  };
  const ROUNDS = 12;
  for (let round = 0; round < ROUNDS; round++) {
    for (const [metal, { n, e }] of sums('metal')) metals.set(metal, smoothed(n, e, weight));
    for (const [salt, { n, e }] of sums('salt'))
      if (!REFERENCE.has(salt)) salts.set(salt, smoothed(n, e, weight));
    // One Newton step of the Poisson likelihood of the slope, with a normal prior round none.
    let gradient = -precision * slope;
    let curvature = precision;
    for (const cell of cells) {
      const mean = cell.e * factor(cell, 'age') * Math.exp(slope * cell.decades);
      gradient += (cell.n - mean) * cell.decades;
      curvature += mean * cell.decades ** 2;
    }
    slope += gradient / curvature;
  }
  const out: LearnedNumber[] = [];
  const put = (key: string, log: number, seen: number, of: number) => {
    const prior = judged.find(key, 0);
    if (prior <= 0) return;
    const half = NORMAL_HALF * Math.sqrt(judged.get('learning.confounded') / (weight + seen));
    const at = (shift: number) => prior * Math.exp(log + shift);
    out.push(numberOf(key, null, prior, { mean: at(0), low: at(-half), high: at(half) }, of));
  };
  for (const [metal, { n, jobs: of }] of sums('metal'))
    put(`seizure.${metal}`, metals.get(metal) ?? 0, n, of);
  for (const [salt, { n, jobs: of }] of sums('salt'))
    if (!REFERENCE.has(salt)) put(`seizure.salt.${salt}`, salts.get(salt) ?? 0, n, of);
  put(
    'seizure.per-decade',
    slope,
    cells.reduce((sum, { n }) => sum + n, 0),
    jobs,
  );
  return out;
};

/** Hours against the book: the mean of the logs, smoothed to none. */
const learnPace = (tally: Tally, judged: Assumptions): LearnedNumber[] => {
  return [...tally].flatMap(([key, { n, e, x }]) => {
    const [kind, part] = partsOfKey(key);
    if (kind !== 'pace' || e <= 0) return [];
    const weight = judged.get('learning.weight.pace');
    const mean = n / (weight + e);
    const variance =
      (weight * judged.get('learning.hours-spread') ** 2 + Math.max(0, x - (n * n) / e)) / (weight + e);
    // Of few jobs their spread is as uncertain as their mean.
    const half =
      NORMAL_HALF *
      Math.sqrt(variance / (weight + e)) *
      (1 + 1 / (weight + e)) *
      judged.get('learning.telling');
    const name = `pace.${part}`;
    if (!Object.hasOwn(DEFAULT_ASSUMPTIONS, name)) return [];
    const prior = judged.get(name);
    const at = (log: number) => prior * Math.exp(log);
    return [numberOf(name, null, prior, { mean: at(mean), low: at(mean - half), high: at(mean + half) }, e)];
  });
};

/**
 * Everything that was learned, from sums alone: conjugate or penalised updates with the judgement as prior, worth the jobs
 * that the assumptions say.
 */
export const learn = (tally: Tally, judged: Assumptions): LearnedNumber[] => [
  ...learnCauses(tally, judged),
  ...learnChances(tally, judged),
  ...learnSeizure(tally, judged),
  ...learnPace(tally, judged),
];

/** A name for a learned number: its key, with its line where it has one. */
export const learnedName = ({ key, line }: Pick<LearnedNumber, 'key' | 'line'>): string =>
  line === null ? key : `${line}: ${key}`;

/** What stands in for the judgement on a vehicle of this line; what is frozen stays as it was frozen. */
export const overridesFor = (
  numbers: readonly LearnedNumber[],
  line: string | null,
  frozen: Readonly<Record<string, number>>,
): Record<string, number> => {
  const out: Record<string, number> = {};
  for (const number of numbers) {
    if (number.line !== null && number.line !== line) continue;
    const held = frozen[learnedName(number)];
    const value = held ?? number.learned;
    // What is no number teaches nothing: an answer must never fall for it.
    if (value !== number.prior && Number.isFinite(value)) out[number.key] = value;
  }
  return out;
};
