import { dayAfter } from '../vocabulary/days.ts';
import { WORK_AS_DEED } from '../offers/fixes.ts';
import { soundFromStart } from '../offers/partLife.ts';
import { ratesFor, workHours } from '../offers/rates.ts';
import { sureCost, together, type JobOutlay } from '../offers/together.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import type { CompareModel, Way } from './model.ts';
import { wayCures } from './wayCures.ts';
import { wayPlans, type WayPlan, type WaySetting } from './wayPlans.ts';

/** Costs of a way that fits nothing: a sum of money and no more. */
const flat = (price: number, hours = 0, labour = 0): JobOutlay => ({
  price,
  listPrice: price,
  costPrice: null,
  deposit: 0,
  core: 0,
  companions: 0,
  labourHours: hours,
  labour,
  supplies: 0,
  tax: 0,
  fee: 0,
  snags: [],
  seizure: null,
  waitDays: 0,
  perDay: 0,
  from: 'shelf',
  later: [],
  lines: [],
});

/** Expected cost of what is best after a way did not cure, the comeback itself counted. */
const failureOf = ({ plan }: WaySetting, fix: number): number => {
  const { solve, corner, depth } = plan;
  const { chance, next } = solve.afterFailed(solve.start, fix);
  if (chance <= 1e-9) return corner.problem.comeback;
  return corner.problem.comeback + solve.best(next, Math.max(1, depth - 1)).value;
};

/** How much likelier than the plan's own the very parts of a way are to work from the start. */
const soundOf = (way: WayPlan, s: WaySetting): number => {
  const fix = s.plan.corner.fixes[way.fix];
  if (fix?.kind !== 'part') return 1;
  return way.outlays.reduce(
    (product, { chosen, badShare }, i) =>
      (product * soundFromStart(chosen?.tier ?? null, s.a, badShare)) /
      soundFromStart(fix.outlays[i]?.chosen?.tier ?? null, s.a, fix.outlays[i]?.badShare ?? null),
    1,
  );
};

/** What of a customer's own limits a way does not keep: the day it must run, and what it may cost. */
const wishesMissed = (costs: JobOutlay, { docket, today }: WaySetting, currency: string): string[] => {
  const { neededBy = null, budgetCents = null, askedEverywhere = null } = docket;
  return [
    ...(neededBy && costs.waitDays > 0 && dayAfter(today, costs.waitDays) > neededBy
      ? [`not here by ${neededBy}, the day it is needed`]
      : []),
    ...(askedEverywhere && costs.from === 'supplier' ? ['asked everywhere: not to be had'] : []),
    ...(budgetCents != null && sureCost(costs) * 100 > budgetCents
      ? [`over the ${moneyInWords(budgetCents / 100, currency)} it may cost`]
      : []),
  ];
};

const reasons = (way: WayPlan, costs: JobOutlay, s: WaySetting, currency: string): string[] => {
  const money = (amount: number) => moneyInWords(amount, currency);
  const hub = way.outlays.find(({ spared }) => spared.chance > 0.05);
  return [
    ...(costs.seizure !== null && costs.seizure >= 0.05
      ? [`the old sensor snaps in ${Math.round(costs.seizure * 100)} of 100`]
      : []),
    ...(costs.waitDays > 0
      ? [
          `${costs.from === 'branch' ? 'at the branch' : 'not on the shelf'}: ${costs.waitDays} ${costs.waitDays === 1 ? 'day' : 'days'}`,
        ]
      : []),
    ...wishesMissed(costs, s, currency),
    ...(way.outlays.some(({ chosen }) => !chosen)
      ? ['priced from the price book: no part of the catalogue is tied to this vehicle']
      : []),
    ...(costs.deposit > 0 ? [`${money(costs.deposit)} deposit, back when the old part comes in`] : []),
    ...(hub
      ? [
          `brings a new bearing: the old one is due within ${s.a.get('horizon.years')} years in ${Math.round(hub.spared.chance * 100)} of 100`,
        ]
      : []),
  ];
};

/**
 * The job as a model of ways: what each costs for certain, and its chances. States of the plan in which every way
 * cures alike are one group. The old bearing is due, or not, for every way that leaves it in: one account of it for
 * plan, offers and comparison.
 */
export const buildModel = (s: WaySetting, currency: string): CompareModel => {
  const { plan, docket, a } = s;
  const { corner } = plan;
  const rates = ratesFor(docket, a);
  const plans = wayPlans(s);
  const cures = plans.map((way) => wayCures(corner.problem, way.fix, soundOf(way, s)));
  const { bearing } = corner;

  const groups = new Map<string, { p: number; cures: number[] }>();
  corner.problem.belief.forEach((p, state) => {
    if (p <= 0) return;
    const here = cures.map((row) => row[state] ?? 0);
    const key = here.map((c) => c.toFixed(9)).join();
    const group = groups.get(key);
    if (group) group.p += p;
    else groups.set(key, { p, cures: here });
  });
  const sorted = [...groups.values()].sort((x, y) => y.p - x.p);
  const total = sorted.reduce((sum, { p }) => sum + p, 0);

  const ways = plans.map((way, w): Way => {
    const fix = corner.fixes[way.fix];
    const same = way.otherSide ? [...way.outlays, way.otherSide] : way.outlays;
    const hours = fix?.kind === 'work' ? workHours(fix.work, rates, a) : 0;
    const labour = hours * rates.labour;
    const costs =
      same.length > 0
        ? fix?.kind === 'part' && fix.work
          ? fix.job
          : together(same, a.get(way.otherSide ? 'overlap.other-side' : 'overlap.same-wheel'), rates)
        : flat(fix?.kind === 'work' ? fix.cost - labour : 0, hours, labour);
    const other = way.otherSide;
    return {
      id: way.id,
      label: way.label,
      kind: fix?.kind === 'work' ? 'work' : 'parts',
      work: fix?.kind === 'part' && fix.work && !way.otherSide ? WORK_AS_DEED[fix.work] : null,
      parts: same.map(({ part, wheelEnd, chosen }) => ({
        part,
        wheelEnd,
        partNumber: chosen?.number ?? null,
        tier: chosen?.tier ?? null,
        brand: chosen?.brand ?? null,
      })),
      ...costs,
      cures: sorted.map((group) => group.cures[w] ?? 0),
      failure: failureOf(s, way.fix),
      keepsBearing: !way.outlays.some(({ part }) => part === 'hub-assembly'),
      spared: other
        ? {
            chance: Math.max(
              1 - (1 - a.get('other-side.per-year')) ** a.get('horizon.years'),
              other.spared.chance,
            ),
            cost:
              other.price + other.companions + other.labour + other.supplies + other.tax + other.seizureCost,
          }
        : null,
      because: reasons(way, costs, s, currency),
    };
  });
  const refer: Way = {
    id: 'refer',
    label: 'refer it to a workshop',
    kind: 'refer',
    work: null,
    parts: [],
    ...flat(corner.problem.refer.reduce((sum, cost, i) => sum + cost * (corner.problem.belief[i] ?? 0), 0)),
    cures: sorted.map(() => 1),
    failure: 0,
    keepsBearing: true,
    spared: null,
    because: ['full diagnosis and repair elsewhere'],
  };
  return {
    wheelEnd: plan.wheelEnd,
    currency,
    groups: sorted.map(({ p }) => p / total),
    bearing,
    labour: { low: a.get('spread.labour.low'), high: a.get('spread.labour.high') },
    continuation: { low: a.get('spread.continuation.low'), high: a.get('spread.continuation.high') },
    wait: { low: a.get('spread.wait.low'), high: a.get('spread.wait.high') },
    ways: s.preferredOnly ? ways : [...ways, refer],
  };
};
