import {
  assumptionsWith,
  BadInput,
  badParts,
  learn,
  learnedName,
  LearnedCounts,
  movedAt,
  movedByLearning,
  overridesFor,
  parse,
  tallyOf,
  toLeave,
  weakPlacesOf,
  type Assumptions,
  type CauseShare,
  type Count,
  type Knowledge,
  type LearnedNumber,
  type LedgerEntry,
  type MonthCount,
  type ShopSettings,
  type Tally,
  type WeakPlace,
} from '@hardy/core';
import type { BadPart, LearnedLine } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { rawRows, rawRun } from './catalogueRows.ts';
import { CountRow, SettingRow } from './entities.ts';
import { inChunks } from './inChunks.ts';
import { shopSettings } from './shopStore.ts';

const VERSION = 'ledger';
const OWN = '';

/** What was learned, as it stands. */
interface Learned {
  readonly of: string;
  readonly tally: Tally;
  readonly numbers: readonly LearnedNumber[];
  readonly bad: readonly BadPart[];
  /** Closed jobs behind it, as they weigh today. */
  readonly jobs: number;
  readonly lineJobs: ReadonlyMap<string, number>;
  readonly weak: Map<string, WeakPlace[]>;
}

/** Kept for each database: reckoned anew when an outcome came, the month turned or a weight of learning was changed. */
const kept = new WeakMap<object, Learned>();

/** What judgement says, with the shop’s own weights of learning. */
export const judgedFor = ({ overrides }: Pick<ShopSettings, 'overrides'>): Assumptions =>
  assumptionsWith(
    Object.fromEntries(Object.entries(overrides).filter(([key]) => key.startsWith('learning.'))),
  );

const versionOf = async (em: EntityManager): Promise<number> =>
  Number((await em.findOne(SettingRow, { key: VERSION }, { refresh: true }))?.value ?? 0);

const countUp = async (tx: EntityManager): Promise<void> => {
  await tx.upsert(SettingRow, { key: VERSION, value: String((await versionOf(tx)) + 1) });
};

const monthCounts = async (em: EntityManager, shop: string | null = null): Promise<MonthCount[]> =>
  (
    await rawRows(
      em,
      `select key, month, n, e, x, jobs from learned_count${shop === null ? '' : ' where shop = ?'}`,
      shop === null ? [] : [shop],
    )
  ).map(({ key, month, n, e, x, jobs }) => ({
    key: String(key),
    month: String(month),
    n: Number(n),
    e: Number(e),
    x: Number(x),
    jobs: Number(jobs),
  }));

/** Adds counts to those of a shop, or takes them away. */
export const addCounts = async (
  tx: EntityManager,
  counts: readonly Count[],
  month: string,
  sign: 1 | -1,
  shop = OWN,
): Promise<void> => {
  for (const { key, n, e, x, jobs } of counts)
    await rawRun(
      tx,
      `insert into learned_count (shop, key, month, n, e, x, jobs) values (?, ?, ?, ?, ?, ?, ?)
       on conflict (shop, key, month) do update set n = n + excluded.n, e = e + excluded.e, x = x + excluded.x, jobs = jobs + excluded.jobs`,
      [shop, key, month, sign * n, sign * e, sign * x, sign * jobs],
    );
  await countUp(tx);
};

/** Puts other counts in the place of a shop’s. */
export const replaceCounts = async (
  tx: EntityManager,
  counts: readonly MonthCount[],
  shop = OWN,
): Promise<void> => {
  await rawRun(tx, 'delete from learned_count where shop = ?', [shop]);
  await inChunks(counts, (some) =>
    tx.insertMany(
      CountRow,
      some.map((count) => ({ shop, ...count })),
    ),
  );
  await countUp(tx);
};

/** What was learned, by all shops whose counts are here. */
export const learnedNow = async (em: EntityManager, shop: ShopSettings, today: string): Promise<Learned> => {
  const judged = judgedFor(shop);
  const month = today.slice(0, 7);
  const of = `${await versionOf(em)}|${month}|${JSON.stringify(judged.overrides)}`;
  const holder = em.getDriver();
  const known = kept.get(holder);
  if (known?.of === of) return known;
  const tally = tallyOf(await monthCounts(em), month, judged.get('learning.half-life'));
  const lineJobs = new Map<string, number>();
  let jobs = 0;
  for (const [key, { e }] of tally) {
    const [kind, line] = key.split('|');
    if (kind === 'line' && line) lineJobs.set(line, (lineJobs.get(line) ?? 0) + e);
    if (kind === 'cause') jobs += e;
  }
  const learned = {
    of,
    tally,
    numbers: learn(tally, judged),
    bad: badParts(tally, judged),
    jobs,
    lineJobs,
    weak: new Map<string, WeakPlace[]>(),
  };
  kept.set(holder, learned);
  return learned;
};

/** Whether what was learned counts: where the shop lets it, and there are jobs enough. */
const counts = ({ jobs }: Learned, shop: ShopSettings): boolean =>
  shop.learning && jobs >= judgedFor(shop).get('learning.least-jobs');

/** Weak places of a line, kept until something else is learned. */
const weakOf = async (
  em: EntityManager,
  { weak }: Learned,
  line: string,
  judged: Assumptions,
): Promise<WeakPlace[]> => {
  const known = weak.get(line);
  if (known) return known;
  const rows = await rawRows(em, 'select entry from ledger_entry where line = ? and cause is not null', [
    line,
  ]);
  const found = weakPlacesOf(
    rows.map(({ entry }) => JSON.parse(String(entry)) as LedgerEntry),
    line,
    judged,
  );
  weak.set(line, found);
  return found;
};

/**
 * What the ledger teaches about a vehicle line. Weak places and bad parts are facts and told in any case; numbers move only
 * where learning counts.
 */
export const learnedFor = async (
  em: EntityManager,
  shop: ShopSettings,
  line: string | null,
  today: string,
): Promise<Knowledge['learned']> => {
  const learned = await learnedNow(em, shop, today);
  const isOn = counts(learned, shop);
  return {
    overrides: isOn ? overridesFor(learned.numbers, line, shop.frozen) : {},
    lineJobs: line === null ? 0 : (learned.lineJobs.get(line) ?? 0),
    jobs: learned.jobs,
    bad: Object.fromEntries(
      learned.bad.map(({ partNumber, bad, sold, batches, interval }) => [
        partNumber,
        {
          bad: Math.round(bad),
          sold: Math.round(sold),
          share: isOn ? interval.mean : null,
          batch: batches[0]?.batch ?? null,
        },
      ]),
    ),
    weak: line === null ? [] : await weakOf(em, learned, line, judgedFor(shop)),
  };
};

/** Every learned number beside the judgement, and what counts of the two. */
export const learnedLines = async (em: EntityManager, today: string): Promise<LearnedLine[]> => {
  const shop = await shopSettings(em);
  const { frozen, overrides } = shop;
  const learned = await learnedNow(em, shop, today);
  const isOn = counts(learned, shop);
  return learned.numbers.map((number) => {
    const name = learnedName(number);
    const own = overrides[number.key];
    const held = frozen[name];
    const [inForce, by] =
      own !== undefined
        ? ([own, 'shop'] as const)
        : held !== undefined
          ? ([held, 'frozen'] as const)
          : ([isOn ? number.learned : number.prior, isOn ? 'learned' : 'too-few'] as const);
    return { ...number, name, inForce, held: by };
  });
};

/** Counts of this shop that may leave it: no customer, no docket, no day, and none of a few jobs. */
export const countsToLeave = async (em: EntityManager): Promise<LearnedCounts> => {
  const shop = await shopSettings(em);
  return toLeave(await monthCounts(em, OWN), shop.name, judgedFor(shop).get('learning.small-cell'));
};

/**
 * Pours another shop’s counts in beside our own; those it brought before make room.
 * @throws BadInput where the file is none of counts, or bears this shop’s own name.
 */
export const poolCounts = (em: EntityManager, file: unknown): Promise<{ shop: string; counts: number }> =>
  em.transactional(async (tx) => {
    const { shop, counts } = parse(LearnedCounts, file, 'counts');
    // Poured into itself a shop would count everything twice.
    if (shop === (await shopSettings(tx)).name)
      throw new BadInput('counts.shop', `"${shop}" is this shop itself; its jobs are counted already`);
    await replaceCounts(tx, counts, shop);
    return { shop, counts: counts.length };
  });

/** What last month’s tables would have said of a share, against judgement. */
export const tablesBefore = async (
  em: EntityManager,
  today: string,
): Promise<(share: CauseShare, entry: LedgerEntry) => number> => {
  const judged = judgedFor(await shopSettings(em));
  const [year = 0, month = 1] = today.split('-').map(Number);
  const last = new Date(Date.UTC(year, month - 2, 15)).toISOString().slice(0, 7);
  const counts = (await monthCounts(em)).filter(({ month: of }) => of <= last);
  return movedAt(movedByLearning(learn(tallyOf(counts, last, judged.get('learning.half-life')), judged)));
};
