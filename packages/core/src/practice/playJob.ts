import { judge } from '../advice/judge.ts';
import { bareKnowledge, type Knowledge } from '../advice/knowledge.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import { SOUND_RESULT } from '../checkKinds/checkData.ts';
import type { Random } from '../chance/random.ts';
import { checkChance, resultsOf } from '../diagnosis/checkTable.ts';
import { likelihood } from '../diagnosis/likelihood.ts';
import type { State } from '../diagnosis/states.ts';
import { cureChance, partsAt, workCures, type Work } from '../offers/fixes.ts';
import { outlayOf } from '../offers/outlay.ts';
import { ratesFor } from '../offers/rates.ts';
import { jobCost, together } from '../offers/together.ts';
import { setupOf } from '../plan/availableChecks.ts';
import { emptySlice } from '../vocabulary/catalogue.ts';
import type { Check, CheckName } from '../vocabulary/check.ts';
import type { Docket, HistoryEvent } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { RENEWED } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { acrossFrom } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { byTheCard, type CardSight, type Deed } from './benchCard.ts';
import { drawWeighted } from './drawCase.ts';
import type { DrawnJob } from './drawJob.ts';

/** Ways to work that are played against each other on whole dockets. */
export const WAYS_TO_WORK = [
  'ours',
  'bench-card',
  'what-the-code-names',
  'always-hub',
  'test-everything',
] as const;
export type WayToWork = (typeof WAYS_TO_WORK)[number];

/** How a job went. */
export interface PlayedJob {
  readonly cost: number;
  /** Parts fitted that did not cure. */
  readonly wrongParts: number;
  readonly visits: number;
  readonly minutes: number;
}

/** No job goes on for ever: then it is another workshop's. */
const MOST_STEPS = 30;
const DEAD = /-(1[1-5]|1A|1B|1C|31)$/;
const RATIO = /-(36|37|38|62|64)$/;

/** A reading as a docket holds it, from the result that the truth gave. */
const asCheck = (check: CheckName, result: string, at: WheelEnd | null): Check => {
  const base = { check, wheelEnd: at };
  switch (check) {
    case 'live':
      return { ...base, pattern: result } as Check;
    case 'meter.resistance': {
      const ohms = { 'in-range': 1250, low: 350, high: 5200 }[result] ?? result;
      return { ...base, of: 'sensor', ohms } as Check;
    }
    case 'meter.supply':
      return { ...base, volts: { present: 11.6, low: 3 }[result] ?? 0.1 } as Check;
    case 'meter.ac':
      return { ...base, volts: { good: 0.2, weak: 0.05 }[result] ?? 0, turnsPerSecond: 1 } as Check;
    case 'battery':
      return { ...base, restingVolts: result === 'weak' ? 11.7 : 12.7 } as Check;
    case 'tyres': {
      const end = at ?? 'A1L';
      return {
        check,
        sizes: {
          [end]: result === 'differ' ? '205/70 R15' : '205/60 R15',
          [acrossFrom(end) ?? end]: '205/60 R15',
        },
      };
    }
    case 'ring.teeth':
      return { ...base, counted: result === 'differ' ? 47 : 48, expected: 48 } as Check;
    case 'swap':
      return { ...base, with: at ? acrossFrom(at) : null, result } as Check;
    default:
      return { ...base, result } as Check;
  }
};

/**
 * Plays one job to its end. The truth answers checks (its own tables, not damped) and decides whether a fix cures; a
 * way to work sees only the docket. All pay alike: checks by their minutes and set-up, parts and work by the outlay,
 * a comeback for every fix that did not cure, and another workshop's diagnosis and repair where it is handed on.
 */
export const playJob = (
  way: WayToWork,
  job: DrawnJob,
  truth: Assumptions,
  prices: Assumptions,
  today: string,
  random: Random,
  /** Told the docket as it stands before every step. */
  watch: (docket: Docket) => void = () => undefined,
  /** What those who work our way know beside the docket. */
  knowledge: Knowledge = bareKnowledge(today),
): PlayedJob => {
  const wrong = new Map<WheelEnd, State>(job.truth);
  let shared: readonly Fault[] = job.shared;
  let docket: Docket = job.docket;
  let cost = 0;
  let minutes = 0;
  let wrongParts = 0;
  let visits = 1;
  const tried = new Set<string>();
  const setUp = new Set<string>();
  const rates = ratesFor(docket, prices);
  const faultsAtEnd = (end: WheelEnd): Fault[] => [...(wrong.get(end) ?? []), ...shared];
  const cured = () => [...wrong.values()].every((state) => state.length === 0) && shared.length === 0;

  const spend = (check: CheckName, ends: readonly WheelEnd[]) => {
    const setup = setupOf(check);
    for (const end of ends) {
      let now = prices.get(`check.minutes.${check}`);
      const key = setup === 'reader' ? 'reader' : `${setup ?? ''}@${end}`;
      if (setup && !setUp.has(key)) now += prices.get(`check.setup.${setup}`);
      if (setup) setUp.add(key);
      minutes += now;
      cost += (now / 60) * rates.labour;
      // Comparing all speeds is one look.
      if (check === 'live') break;
    }
  };
  const answer = (check: CheckName, end: WheelEnd): Check | null => {
    const architecture = job.architectureOf(end);
    const table = check === 'meter.resistance' ? `meter.resistance.${architecture.sensor}` : check;
    const results = resultsOf(table);
    if (results.length === 0) return null;
    const normal = SOUND_RESULT[table] ?? '';
    const result = drawWeighted(
      random,
      results.map((each) => [
        each,
        likelihood(
          {
            path: '',
            label: '',
            wheelEnd: null,
            mechanism: '',
            kind: 'check',
            seen: (fault) => checkChance(table, each, fault, truth),
            normal: (fault) => checkChance(table, normal, fault, truth),
            isNormal: each === normal,
          },
          faultsAtEnd(end),
          architecture,
        ),
      ]),
    );
    if (check === 'tyres' && result === 'differ') tried.add('tyres differ');
    return result === 'says-nothing' ? null : asCheck(check, result, end);
  };
  const check = (name: CheckName, at: WheelEnd | null) => {
    const ends = at ? [at] : job.ends;
    spend(name, ends);
    tried.add(name);
    for (const end of ends) tried.add(`${name}@${end}`);
    const found = ends.flatMap((end) => answer(name, end) ?? []);
    docket = { ...docket, checks: [...(docket.checks ?? []), ...found] };
  };
  /** What is left after each fault is taken away with its chance. */
  const leave = (faults: readonly Fault[], chance: (fault: Fault) => number): Fault[] =>
    faults.filter((fault) => !random.chance(chance(fault)));
  const failed = (events: readonly HistoryEvent[]) => {
    cost += prices.get('comeback.cost');
    visits++;
    setUp.clear();
    const gone = job.ends.filter((end) => (wrong.get(end) ?? []).length === 0);
    docket = {
      ...docket,
      // Codes of corners that are cured do not come back.
      codes: (docket.codes ?? []).filter(
        (code) => !gone.some((end) => code.code.startsWith(CODE_OF[end] ?? '?') && job.truth.has(end)),
      ),
      history: [...(docket.history ?? []), ...events],
    };
  };
  const outlayAt = (part: PartClass, wheelEnd: WheelEnd) =>
    outlayOf(part, {
      wheelEnd,
      architecture: job.architectureOf(wheelEnd),
      docket,
      slice: emptySlice(),
      today,
      a: truth,
    });
  const fit = (parts: readonly PartClass[], at: WheelEnd) => {
    tried.add(`${parts.join('+')}@${at}`);
    tried.add(parts.join('+'));
    const architecture = job.architectureOf(at);
    const exist = partsAt(at, architecture).filter((part) => parts.includes(part));
    if (exist.length > 0)
      cost += jobCost(
        together(
          exist.map((part) => outlayAt(part, at)),
          prices.get('overlap.same-wheel'),
          rates,
        ),
      );
    wrong.set(
      at,
      leave(wrong.get(at) ?? [], (fault) =>
        // The code is cleared with every job: what was over stays over.
        fault === 'none-present'
          ? truth.get('cures.no-part.none-present')
          : 1 - exist.reduce((stays, part) => stays * (1 - cureChance(part, fault, architecture, truth)), 1),
      ),
    );
    if (cured()) return;
    wrongParts += parts.length;
    failed(parts.map((part) => ({ event: RENEWED[part], wheelEnd: at, daysAgo: 0, cured: 'no' })));
  };
  const workOn = (work: Work, at: WheelEnd | null) => {
    tried.add(`work:${work}`);
    cost += truth.get(`work.${work}`) * rates.labour + truth.get(`work.extra.${work}`);
    for (const end of at ? [at] : job.ends)
      wrong.set(
        end,
        leave(wrong.get(end) ?? [], (fault) =>
          fault === 'none-present' ? truth.get('cures.no-part.none-present') : workCures(work, fault, truth),
        ),
      );
    shared = leave(shared, (fault) => workCures(work, fault, truth));
    if (!cured()) failed([]);
  };
  /** Another workshop finds it all: its diagnosis, its dearer repairs, the days. */
  const refer = () => {
    const hours = (prices.get('refer.hours-known') + prices.get('refer.hours-unknown')) / 2;
    cost += hours * rates.workshop + prices.get('refer.wait-days') * rates.idleDay;
    for (const [end, state] of wrong)
      for (const fault of state) {
        const architecture = job.architectureOf(end);
        const byParts = partsAt(end, architecture).map((part) => ({
          cures: cureChance(part, fault, architecture, truth),
          outlay: () => jobCost(together([outlayAt(part, end)], 0, rates)),
        }));
        const works = (['seating', 'loom', 'tyre', 'none-present'] as const).map((work) => ({
          cures: fault === work ? truth.get(`cures.no-part.${work}`) : 0,
          outlay: () => truth.get(`work.${work}`) * rates.labour + truth.get(`work.extra.${work}`),
        }));
        const costs = [...byParts, ...works].flatMap(({ cures, outlay }) =>
          cures >= prices.get('refer.cures-from') ? [outlay() / cures] : [],
        );
        cost += Math.min(prices.get('refer.elsewhere') * 2, ...costs) * prices.get('refer.tier');
      }
    if (shared.includes('module')) cost += prices.get('refer.module');
    if (shared.includes('supply')) cost += truth.get('work.extra.supply') + 0.7 * rates.labour;
  };

  const sight = (): CardSight => {
    const codes = docket.codes ?? [];
    const coded = codes.flatMap((code) =>
      job.ends.filter((end) => code.code.startsWith(CODE_OF[end] ?? '?')),
    );
    const odd = (docket.checks ?? []).find(
      (each) =>
        each.wheelEnd &&
        ((each.check === 'live' && each.pattern !== 'normal') ||
          (each.check === 'bearing.noise' && each.result === 'growl') ||
          (each.check === 'visual.connector' && each.result !== 'sound')),
    );
    const corner = coded[0] ?? docket.wheelEnd ?? odd?.wheelEnd ?? null;
    const own = codes.filter((code) => corner && code.code.startsWith(CODE_OF[corner] ?? '?'));
    return {
      docket,
      corner,
      architecture: corner ? job.architectureOf(corner) : null,
      code: own.some(({ code }) => DEAD.test(code))
        ? 'dead'
        : own.some(({ code }) => RATIO.test(code))
          ? 'ratio'
          : own.length > 0
            ? 'signal'
            : 'none',
      tried,
    };
  };
  const byHabit = (order: readonly PartClass[]): Deed => {
    const { corner, architecture } = sight();
    if (!corner || !architecture)
      return tried.has('live') || docket.reader !== 'full'
        ? { kind: 'refer' }
        : { kind: 'check', check: 'live', at: null };
    const part = order.find((each) => partsAt(corner, architecture).includes(each) && !tried.has(each));
    return part ? { kind: 'parts', parts: [part], at: corner } : { kind: 'refer' };
  };
  const ours = (everything: boolean): Deed => {
    const { verdict, main } = judge(docket, knowledge);
    const plan = main?.plan ?? null;
    const fresh = (deed: Deed): boolean =>
      deed.kind === 'parts'
        ? !tried.has(`${deed.parts.join('+')}@${deed.at}`)
        : deed.kind === 'work'
          ? !tried.has(`work:${deed.work}`)
          : deed.kind === 'check'
            ? !(deed.at ? tried.has(`${deed.check}@${deed.at}`) : tried.has(deed.check))
            : true;
    const next = plan?.corner.checks.find(({ check: each }) => !tried.has(`${each}@${plan.wheelEnd}`));
    if (everything && plan && next) return { kind: 'check', check: next.check, at: plan.wheelEnd };
    const options: Deed[] = [];
    const asDeed = (fix: NonNullable<typeof plan>['outcomes'][number]['fix']): Deed =>
      fix.kind === 'part'
        ? { kind: 'parts', parts: [fix.part, ...fix.with], at: plan?.wheelEnd ?? '' }
        : { kind: 'work', work: fix.work, at: plan?.wheelEnd ?? null };
    if (verdict.action === 'check' && verdict.check && !(everything && plan))
      options.push({ kind: 'check', check: verdict.check, at: verdict.wheelEnd });
    if (verdict.action === 'sell' && verdict.part && verdict.wheelEnd)
      options.push({ kind: 'parts', parts: [verdict.part, ...verdict.with], at: verdict.wheelEnd });
    if (verdict.action === 'no-part') {
      if (verdict.cause === 'supply' && verdict.wheelEnd === null)
        options.push({ kind: 'work', work: 'supply', at: null });
      else if (plan?.choice.kind === 'fix') {
        const fix = plan.corner.fixes[plan.choice.fix];
        if (fix) options.push(asDeed(fix));
      } else return { kind: 'refer' };
    }
    // What was done already and left no trace on the docket is not done again.
    if (plan) {
      const rest = [...plan.outcomes].sort((x, y) => x.cost - y.cost);
      options.push(...rest.filter(({ cures }) => cures >= 0.1).map(({ fix }) => asDeed(fix)));
    }
    return options.find(fresh) ?? { kind: 'refer' };
  };

  for (let step = 0; step < MOST_STEPS; step++) {
    watch(docket);
    const deed: Deed =
      way === 'ours'
        ? ours(false)
        : way === 'test-everything'
          ? ours(true)
          : way === 'bench-card'
            ? byTheCard(sight())
            : byHabit(way === 'always-hub' ? ['hub-assembly'] : ['sensor', 'hub-assembly']);
    if (deed.kind === 'refer') break;
    if (deed.kind === 'check') check(deed.check, deed.at);
    else if (deed.kind === 'parts') fit(deed.parts, deed.at);
    else workOn(deed.work, deed.at);
    if (cured()) return { cost, wrongParts, visits, minutes };
  }
  refer();
  return { cost, wrongParts, visits: visits + 1, minutes };
};

const CODE_OF: Readonly<Record<WheelEnd, string>> = {
  A1L: 'C0031',
  A1R: 'C0034',
  A2L: 'C0037',
  A2R: 'C003A',
};
