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
import { emptySlice } from '../vocabulary/catalogue.ts';
import type { Check, CheckName } from '../vocabulary/check.ts';
import type { Docket, HistoryEvent } from '../vocabulary/docket.ts';
import type { Fault } from '../faultKinds/faultData.ts';
import { RENEWED } from '../partKinds/partData.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { acrossFrom } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { chooseDeed, type WayToWork } from './chooseDeed.ts';
import { cornerCode } from './cornerCode.ts';
import { minutesOf, withBuild } from './jobSteps.ts';
import { drawWeighted } from './drawCase.ts';
import type { DrawnJob } from './drawJob.ts';

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

  const spend = (now: number) => {
    minutes += now;
    cost += (now / 60) * rates.labour;
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
    spend(minutesOf(name, ends, setUp, prices));
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
        (code) => !gone.some((end) => code.code.startsWith(cornerCode(end)) && job.truth.has(end)),
      ),
      history: [...(docket.history ?? []), ...events],
    };
  };
  /** Who asks is told: it stands in the papers, or one sees it. */
  const ask = (at: WheelEnd) => {
    tried.add(`ask@${at}`);
    spend(prices.get('ask.minutes'));
    docket = withBuild(docket, at, job.architectureOf(at));
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

  for (let step = 0; step < MOST_STEPS; step++) {
    watch(docket);
    const deed = chooseDeed(way, {
      docket,
      ends: job.ends,
      architectureOf: job.architectureOf,
      tried,
      knowledge,
    });
    if (deed.kind === 'refer') break;
    if (deed.kind === 'ask') ask(deed.at);
    else if (deed.kind === 'check') check(deed.check, deed.at);
    else if (deed.kind === 'parts') fit(deed.parts, deed.at);
    else workOn(deed.work, deed.at);
    if (cured()) return { cost, wrongParts, visits, minutes };
  }
  refer();
  return { cost, wrongParts, visits: visits + 1, minutes };
};
