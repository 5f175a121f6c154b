import { assumptionsWith, DEFAULT_ASSUMPTIONS, type Assumptions } from '../assumptions/assumptions.ts';
import type { Random } from '../chance/random.ts';
import { CHECK_TABLES } from '../checkKinds/checkData.ts';
import { checkChance } from '../diagnosis/checkTable.ts';
import { causeOf, FAULTS, type Fault } from '../faultKinds/faultData.ts';
import { curedBy, knownTruth } from '../ledger/knownTruth.ts';
import type { CauseShare, LedgerEntry } from '../vocabulary/ledgerEntry.ts';
import type { Outcome } from '../vocabulary/docket.ts';
import { RENEWED } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { drawWeighted } from './drawCase.ts';

/** A shop of known truth: what its vehicles really suffer, and what its parts are really like. */
export interface DrawnShop {
  readonly truth: Assumptions;
  /** What a line adds at an axle, by key of the assumption. */
  readonly lines: ReadonlyMap<string, Readonly<Record<string, number>>>;
  /** Real chance of a part being bad from the box, by number. */
  readonly parts: ReadonlyMap<string, { readonly tier: string; readonly bad: number }>;
}

const LINES = 8;
const PARTS = 24;
const TIERS = ['dealer', 'good', 'budget'] as const;
const BUILDS = ['passive', 'active'] as const;
const PLACES = ['front', 'rear'] as const;
const METALS = ['iron', 'aluminium'] as const;
const SALTS = ['none', 'some', 'high'] as const;
/** Faults of a wheel that jobs are drawn from. */
const AT_A_WHEEL = FAULTS.filter((fault) => Object.hasOwn(DEFAULT_ASSUMPTIONS, `line.front.${fault}`));
/** Checks that are made on a job, as often. */
const CHECKS: ReadonlyArray<readonly [table: string, made: number]> = [
  ['visual.ring', 0.5],
  ['visual.connector', 0.5],
  ['bearing.play', 0.4],
  ['visual.sensor', 0.25],
];

const clamp = (key: string, value: number): number => {
  const entry = DEFAULT_ASSUMPTIONS[key];
  return entry ? Math.min(entry.max, Math.max(entry.min, value)) : value;
};

/** Draws what is true of a shop: every number of judgement off by a log-normal slip of `slip` (0: the tables are right). */
export const drawShop = (random: Random, slip: number): DrawnShop => {
  const off = (key: string, sd: number) =>
    clamp(key, (DEFAULT_ASSUMPTIONS[key]?.value ?? 1) * Math.exp(sd * slip * random.normal()));
  const overrides: Record<string, number> = {};
  // What one word tells is off together: nobody tells a plug from its loom.
  const perCause = (prefix: string, sd: number): Record<string, number> => {
    const slips = new Map<string, number>();
    return Object.fromEntries(
      AT_A_WHEEL.map((fault) => {
        const cause = causeOf(fault);
        const by = slips.get(cause) ?? Math.exp(sd * slip * random.normal());
        slips.set(cause, by);
        const key = `${prefix}.${fault}`;
        return [key, clamp(key, (DEFAULT_ASSUMPTIONS[key]?.value ?? 1) * by)];
      }),
    );
  };
  Object.assign(
    overrides,
    perCause('prior', 0.7),
    ...BUILDS.map((build) => perCause(`build.${build}`, 0.25)),
  );
  for (const key of Object.keys(DEFAULT_ASSUMPTIONS)) {
    if (/^seizure\.(iron|aluminium|salt\.(none|high)|per-decade)$/.test(key)) overrides[key] = off(key, 0.35);
    if (key.startsWith('pace.')) overrides[key] = off(key, 0.25);
    if (key.startsWith('tier.bad-out-of-box.')) overrides[key] = off(key, 0.5);
    if (/^cures\.[a-z-]+\.[a-z-]+$/.test(key)) {
      const value = DEFAULT_ASSUMPTIONS[key]?.value ?? 0;
      const odds = (value / (1 - value)) * Math.exp(0.5 * slip * random.normal());
      overrides[key] = odds / (1 + odds);
    }
    if (CHECKS.some(([table]) => key.startsWith(`check.${table}.`)))
      overrides[key] = clamp(
        key,
        (DEFAULT_ASSUMPTIONS[key]?.value ?? 0) * Math.exp(0.4 * slip * random.normal()),
      );
  }
  const lines = new Map(
    Array.from({ length: LINES }, (_, i) => [
      `line-${i}`,
      Object.assign({}, ...PLACES.map((place) => perCause(`line.${place}`, 0.35))) as Record<string, number>,
    ]),
  );
  const truth = assumptionsWith(overrides);
  const parts = new Map(
    Array.from({ length: PARTS }, (_, i) => {
      const tier = TIERS[i % TIERS.length] ?? 'good';
      const own = truth.get(`tier.bad-out-of-box.${tier}`) * Math.exp(0.4 * slip * random.normal());
      return [`P-${i}`, { tier, bad: Math.min(0.9, own) }];
    }),
  );
  return { truth, lines, parts };
};

/** How a line is built: every other axle has coils. */
export const buildOf = (line: number, place: (typeof PLACES)[number]) =>
  (line + (place === 'front' ? 0 : 1)) % 2 === 0 ? 'active' : 'passive';

const PART_FOR: Partial<Readonly<Record<Fault, PartClass>>> = {
  sensor: 'sensor',
  seating: 'sensor',
  'wrong-sensor': 'sensor',
  ring: 'tone-ring',
  'wrong-target': 'tone-ring',
  joint: 'connector-kit',
  loom: 'connector-kit',
  bearing: 'hub-assembly',
  encoder: 'hub-assembly',
};
/** How often a cause is told, and how it was known. */
const TOLD = 0.6;
const KNOWN: ReadonlyArray<readonly ['seen' | 'metered' | 'swapped' | 'cured', number]> = [
  ['seen', 0.4],
  ['metered', 0.25],
  ['swapped', 0.1],
  ['cured', 0.25],
];
const PACE_SPREAD = 0.3;

/** Draws one closed job of a shop as its ledger counts it, said under the tables that judgement has. */
export const drawEntry = (
  random: Random,
  shop: DrawnShop,
  judged: Assumptions,
  at: { readonly docket: number; readonly day: string },
): LedgerEntry => {
  const line = random.below(LINES);
  const own = shop.lines.get(`line-${line}`) ?? {};
  const shares = (a: Assumptions, lines: Readonly<Record<string, number>>) =>
    PLACES.flatMap((place) => {
      const build = buildOf(line, place);
      return AT_A_WHEEL.map((fault) => ({
        fault,
        place,
        p:
          a.get(`prior.${fault}`) *
          a.find(`build.${build}.${fault}`, 1) *
          (lines[`line.${place}.${fault}`] ?? 1),
      }));
    });
  const toOne = <T extends { readonly p: number }>(all: readonly T[]): T[] => {
    const total = all.reduce((sum, { p }) => sum + p, 0);
    return all.map((each) => ({ ...each, p: each.p / total }));
  };
  const real = drawWeighted(
    random,
    shares(shop.truth, own).map((each) => [each, each.p] as const),
  );
  const before = toOne(shares(judged, {}));
  const checks = CHECKS.filter(([, made]) => random.chance(made)).map(([table]) => ({
    table,
    result: drawWeighted(
      random,
      Object.keys(CHECK_TABLES[table]?.nothing ?? {}).map(
        (result) => [result, checkChance(table, result, real.fault, shop.truth)] as const,
      ),
    ),
  }));
  // The corner is known by its code: what is open is the cause.
  const here = toOne(
    before
      .filter(({ place }) => place === real.place)
      .map((each) => ({
        ...each,
        p: checks.reduce(
          (p, { table, result }) => p * checkChance(table, result, each.fault, judged),
          each.p,
        ),
      })),
  );
  const best = here.reduce((x, y) => (y.p > x.p ? y : x));
  const part = PART_FOR[best.fault] ?? 'sensor';
  const cures = (fault: Fault, a: Assumptions) => a.find(`cures.${part}.${fault}`, 0);
  const said = here.reduce((sum, { fault, p }) => sum + p * cures(fault, judged), 0);
  const [number, made] = random.pick([...shop.parts]);
  const bad = random.chance(made.bad);
  const healed = random.chance(
    Math.max(cures(real.fault, shop.truth), judged.get('learning.elsewhere-cured')),
  );
  const knownBy = drawWeighted(random, KNOWN);
  const cause = random.chance(TOLD)
    ? random.chance(judged.get(`learning.sure.${knownBy}`))
      ? causeOf(real.fault)
      : random.pick(
          [...new Set(here.map(({ fault }) => causeOf(fault)))].filter(
            (each) => each !== causeOf(real.fault),
          ),
        )
    : null;
  const outcome: Outcome = {
    result: healed ? 'cured' : random.chance(0.5) ? 'not-cured' : 'came-back',
    trueCause: cause,
    knownBy,
  };
  const asShares = (all: readonly { fault: Fault; place: 'front' | 'rear'; p: number }[]): CauseShare[] => {
    const by = new Map<string, CauseShare>();
    for (const { fault, place, p } of all) {
      const key = `${causeOf(fault)} ${place}`;
      by.set(key, { cause: causeOf(fault), place, p: (by.get(key)?.p ?? 0) + p });
    }
    return [...by.values()];
  };
  const believed = asShares(here);
  const knuckle = random.pick(METALS);
  const salt = random.pick(SALTS);
  const years = random.between(1, 18);
  const seizes = (a: Assumptions) =>
    Math.min(
      a.get('seizure.most'),
      a.get(`seizure.${knuckle}`) *
        a.get(`seizure.salt.${salt}`) *
        a.get('seizure.per-decade') ** ((years - a.get('age.typical')) / 10),
    );
  const hours = judged.get(`labour.${part}`);
  return {
    docket: at.docket,
    soldOn: at.day,
    closedOn: at.day,
    line: `line-${line}`,
    lineName: `Line ${line}`,
    builds: { front: buildOf(line, 'front'), rear: buildOf(line, 'rear') },
    wheelEnd: real.place === 'front' ? 'A1L' : 'A2L',
    parts: [part],
    partNumber: number,
    tier: made.tier,
    supplier: null,
    batch: null,
    desk: null,
    said: { action: 'sell', part, causes: believed, cures: said, hours, money: null },
    followed: true,
    expected: asShares(before),
    truth: knownTruth(believed, outcome, { parts: [part], place: real.place }, judged),
    weight: 1,
    checks,
    result: outcome.result,
    firstTime: curedBy(outcome),
    cause,
    told: cause ? knownBy : null,
    at: null,
    comeback: outcome.result === 'came-back',
    returned: bad ? 1 : 0,
    badFromBox: bad ? 1 : 0,
    sold: 1,
    seizure:
      RENEWED[part] === 'sensor-replaced'
        ? {
            knuckle,
            salt,
            years,
            said: seizes(judged),
            judged: seizes(judged),
            snapped: random.chance(seizes(shop.truth)),
          }
        : null,
    hours: hours * shop.truth.get(`pace.${part}`) * Math.exp(PACE_SPREAD * random.normal()),
    spentCents: null,
    marginCents: null,
    minutes: null,
  };
};
