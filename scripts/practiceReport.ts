import { drawLife, type End } from '../packages/bench-vehicle/src/index.ts';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import {
  assumptionsWith,
  bareKnowledge,
  chooseDeed,
  emptySlice,
  judge,
  optionsAt,
  type WayToWork,
} from '../packages/core/src/doors/trial.ts';
import type { PracticeDeed } from '../packages/core/src/doors/words.ts';
import {
  beginVisit,
  canReadAt,
  deedKey,
  drawCustomer,
  fullDocket,
  timesAmong,
  isTrue,
  judgeSteps,
  vehicleKnown,
  type Customer,
  type Visit,
} from '../packages/practice/src/index.ts';
import { architectureAt } from '../packages/practice/src/bench/docketOf.ts';
import { figure } from './figures.ts';
import { inParts } from './inParts.ts';
import { writeSection } from './writeSection.ts';

/*
 * Practice judged: customers of all levels are dealt with by the plan, by chance and by habits, and each step's regret is
 * reckoned as in the account. The plan is reckoned again one step deeper than it looked. And: is every customer fair?
 * Use: npm run practice-report -- [customers] [--dry]
 */
const customers = Number(process.argv.find((each) => /^\d+$/.test(each)) ?? 500);
const FIRST = 1;
const FAIR = 300;
const TODAY = '2026-11-25';
const LEVELS = 5;
const PLAN_DEPTH = 3;
const MOST_STEPS = 30;
/** Chance goes on long enough to be seen for what it is. */
const MOST_BY_CHANCE = 10;
const prices = assumptionsWith();
const knowledge = bareKnowledge(TODAY);
const shop = { prices, today: TODAY, slice: emptySlice() };

type Player =
  'the plan' | 'by chance' | Extract<WayToWork, 'what-the-code-names' | 'always-hub' | 'bench-card'>;
const PLAYERS: readonly Player[] = [
  'the plan',
  'by chance',
  'what-the-code-names',
  'always-hub',
  'bench-card',
];
const WORDS: Readonly<Record<Player, string>> = {
  'the plan': 'the plan itself, reckoned one step deeper',
  'by chance': 'any step by chance',
  'what-the-code-names': 'sell what the code names, then the hub',
  'always-hub': 'always the hub',
  'bench-card': 'the bench card',
};

const customerOf = (seed: number): Customer => {
  const customer = drawCustomer({
    seed: 60_000 + seed * 13,
    level: 1 + (seed % LEVELS),
    lives: drawLife,
    vehicleOf: ({ vehicle }) => vehicleKnown(vehicle, TODAY, true),
    vehicleWords: 'minibus',
    today: TODAY,
    prices,
  });
  if (!customer) throw new Error(`seed ${seed} has no customer`);
  return customer;
};

const nextOf = (
  player: Player,
  customer: Customer,
  visit: Visit,
  deeds: readonly PracticeDeed[],
  chance: number,
): PracticeDeed => {
  const { docket } = visit;
  const done = new Set(deeds.map(deedKey));
  // What is best though it was done already is done again: a part is exchanged.
  const fresh = (deed: PracticeDeed) => deed.kind === 'parts' || !done.has(deedKey(deed));
  if (player === 'the plan' || player === 'by chance') {
    const { options, first } = optionsAt(docket, knowledge, {
      depth: PLAN_DEPTH,
      canRead: canReadAt(docket),
      timesDone: timesAmong(deeds),
    });
    const open = options
      .map(({ deed, cost }) => ({ deed: deed as PracticeDeed, cost }))
      .filter(({ deed }) => fresh(deed));
    if (player === 'by chance') return open[Math.floor(chance * open.length)]?.deed ?? { kind: 'refer' };
    // What safety asks for was not done if it was done before a part was fitted: a new hub is rocked too.
    const fitted = deeds.findLastIndex(({ kind }) => kind === 'parts' || kind === 'work');
    const since = new Set(deeds.slice(fitted + 1).map(deedKey));
    if (first && !since.has(deedKey(first as PracticeDeed))) return first as PracticeDeed;
    return open.sort((x, y) => x.cost - y.cost)[0]?.deed ?? { kind: 'refer' };
  }
  if (canReadAt(docket)) return { kind: 'read' };
  const ends = customer.life.vehicle ? Object.keys(customer.life.vehicle.corners) : [];
  return chooseDeed(player, {
    docket,
    ends,
    architectureOf: (end) => architectureAt(customer.life.vehicle, end as End),
    tried: new Set(
      deeds.flatMap((deed) =>
        deed.kind === 'parts'
          ? [deed.parts.join('+'), `${deed.parts.join('+')}@${deed.at}`]
          : deed.kind === 'check'
            ? [deed.check, `${deed.check}@${deed.at}`]
            : deed.kind === 'work'
              ? [`work:${deed.work}`]
              : [],
      ),
    ),
    knowledge,
  }) as PracticeDeed;
};

interface Score {
  readonly regret: number;
  readonly cost: number;
  readonly unsafe: number;
}
const playOne = (player: Player, customer: Customer, seed: number): Score => {
  const random = randomFrom(seed * 5 + PLAYERS.indexOf(player));
  const deeds: PracticeDeed[] = [];
  const open = beginVisit(customer, shop);
  let visit = open.now();
  const most = player === 'by chance' ? MOST_BY_CHANCE : MOST_STEPS;
  while (!visit.over && deeds.length < most) {
    const deed = nextOf(player, customer, visit, deeds, random.next());
    deeds.push(deed);
    visit = open.do(deed);
  }
  if (!visit.over) visit = open.do({ kind: 'refer' });
  const { steps } = judgeSteps(visit, knowledge, player === 'the plan' ? PLAN_DEPTH + 1 : PLAN_DEPTH);
  return {
    regret: steps.reduce((sum, step) => sum + step.regret, 0),
    cost: visit.cost,
    unsafe: steps.filter((step) => step.unsafe).length,
  };
};

interface Part {
  readonly scores: Readonly<Record<Player, Score[]>>;
  readonly found: boolean[];
}
const parts = await inParts(
  import.meta.filename,
  FIRST,
  Math.max(customers, FAIR),
  (from, count, told): Part => {
    const scores = Object.fromEntries(PLAYERS.map((player) => [player, []])) as unknown as Record<
      Player,
      Score[]
    >;
    const found: boolean[] = [];
    for (let seed = from; seed < from + count; seed++) {
      const customer = customerOf(seed);
      if (seed < FIRST + customers)
        for (const player of PLAYERS) scores[player].push(playOne(player, customer, seed));
      if (seed < FIRST + FAIR) found.push(isTrue(judge(fullDocket(customer, TODAY), knowledge), customer));
      told();
    }
    return { scores, found };
  },
);
const of = (player: Player) => parts.flatMap(({ scores }) => scores[player]);
const found = parts.flatMap((part) => part.found);
const planCost = of('the plan').reduce((sum, { cost }) => sum + cost, 0) / customers;
const planRegret = of('the plan').reduce((sum, { regret }) => sum + regret, 0) / customers;
const lines = [
  `${customers} customers of all five levels, the same for every player. Intervals are 95 %. Made by \`npm run practice-report\`.`,
  '',
  '| player | regret a customer | of what the job cost | cost of the job | rules of safety passed over, per 100 |',
  '| --- | --- | --- | --- | --- |',
  ...PLAYERS.map((player) => {
    const scores = of(player);
    const regrets = scores.map(({ regret }) => regret);
    const costs = scores.map(({ cost }) => cost);
    const share = (100 * regrets.reduce((x, y) => x + y, 0)) / costs.reduce((x, y) => x + y, 0);
    return `| ${WORDS[player]} | ${figure(regrets, 1)} | ${share.toFixed(1)} % | ${figure(costs, 0)} | ${figure(
      scores.map(({ unsafe }) => unsafe),
      1,
      100,
    )} |`;
  }),
  '',
  `The plan's own regret is ${((100 * planRegret) / planCost).toFixed(2)} % of what the job cost.`,
  `Of ${found.length} customers everything was asked and checked anew: the truth was reached in ${((100 * found.filter(Boolean).length) / found.length).toFixed(1)} %.`,
];
console.log(lines.join('\n'));
if (!process.argv.includes('--dry')) writeSection('reasoning.md', 'practice', lines.join('\n'));
