import {
  clearCodes,
  complains,
  copyOf,
  doWork,
  drawLife,
  endsOf,
  fitPart,
  putAllRight,
  testDrive,
  useForWeeks,
  type BenchVehicle,
  type End,
  type Work,
} from '@hardy/bench-vehicle';
import {
  bareKnowledge,
  chooseDeed,
  jobCost,
  judge,
  minutesOf,
  outlayOf,
  partsAt,
  ratesFor,
  RENEWED,
  together,
  withBuild,
  emptySlice,
  type Assumptions,
  type Deed,
  type HistoryEvent,
  type Judged,
  type WayToWork,
} from '@hardy/core/trial';
import { randomFrom } from '@hardy/core/chance';
import type { Check, CheckName, Docket, PartClass } from '@hardy/core/words';
import { checkOn, liveChecks } from './checkOn.ts';
import { architectureAt, codesRead, complaintsOf, docketOf } from './docketOf.ts';

/** How a vehicle was dealt with. */
export interface Played {
  readonly cost: number;
  /** Parts fitted after which the complaint was still there, or came back. */
  readonly wrongParts: number;
  readonly visits: number;
  readonly minutes: number;
  readonly referred: boolean;
  /** Let go, after any visit, with a loose wheel that had been felt. */
  readonly unsafe: boolean;
  /** Let go, after any visit or to another workshop, with a loose wheel that nobody had felt. */
  readonly overlooked: boolean;
  /** Stopped for a loose wheel that was none. */
  readonly needlessStop: boolean;
  /** What was done, in order. */
  readonly deeds: readonly Deed[];
}

/** What was said before the first deed, and what was so: for calibration. */
export interface FirstWords {
  readonly judged: Judged;
  readonly befell: ReadonlyArray<readonly [string, string | null]>;
}

const MOST_STEPS = 24;
/** What comes and goes may stay away once: a cure has held when it did not come back in so many rounds of use. */
const ROUNDS_OF_USE = 2;
/** Play from here on lets a wheel come off one day; below that a stop was needless, mm at the rim. */
const DANGEROUS_MM = 0.9;
const HARMLESS_MM = 0.4;

/** Work without a part that another workshop may find, the cheapest first. */
const WORKS: readonly Work[] = ['none-present', 'seating', 'loom', 'tyre', 'supply'];

/**
 * Deals with one bench vehicle to the end by one way to work. The way sees only the docket; the vehicle answers checks by
 * its physics, is repaired, driven to prove it, and used for weeks: what comes back then is a comeback. All ways meet
 * the same vehicle and the same prices.
 */
export const playVehicle = (
  way: WayToWork,
  seed: number,
  prices: Assumptions,
  today: string,
  told: (words: FirstWords) => void = () => undefined,
  /** Told the docket as it stands before every step. */
  watch: (docket: Docket) => void = () => undefined,
): Played => {
  const life = drawLife(seed);
  const { vehicle } = life;
  const random = randomFrom(seed * 7 + 1);
  const knowledge = { ...bareKnowledge(today), assumptions: prices };
  const ends = endsOf(vehicle.build);
  let docket: Docket = docketOf(life, today, randomFrom(seed * 7 + 2));
  const rates = ratesFor(docket, prices);
  const architectureOf = (end: string) => architectureAt(vehicle, end as End);
  const tried = new Set<string>();
  const setUp = new Set<string>();
  let cost = 0;
  let minutes = 0;
  let wrongParts = 0;
  let visits = 1;
  let needlessStop = false;
  let unsafe = false;
  let overlooked = false;
  const felt = (end: End) =>
    (docket.checks ?? []).some(
      (each) => each.check === 'bearing.play' && each.wheelEnd === end && each.result === 'clear',
    );
  /** The vehicle leaves on its own wheels: whatever it leaves with is counted now, not when the job is over. */
  const letGo = () => {
    const loose = ends.filter((end) => vehicle.corners[end].bearing.playMm > DANGEROUS_MM);
    unsafe ||= loose.some(felt);
    overlooked ||= loose.some((end) => !felt(end));
  };
  told({ judged: judge(docket, knowledge), befell: life.befell });

  const spend = (now: number) => {
    minutes += now;
    cost += (now / 60) * rates.labour;
  };
  const check = (name: CheckName, at: End | null) => {
    const where = at ? [at] : ends;
    spend(minutesOf(name, where, setUp, prices));
    tried.add(name);
    for (const end of where) tried.add(`${name}@${end}`);
    const found: Check[] =
      name === 'live'
        ? liveChecks(vehicle, where, random)
        : where.flatMap((end) => checkOn(vehicle, name, end, random) ?? []);
    const sizes = found.find((each) => each.check === 'tyres');
    if (sizes?.check === 'tyres' && new Set(Object.values(sizes.sizes)).size > 1) tried.add('tyres differ');
    for (const each of found)
      if (
        each.check === 'bearing.play' &&
        each.result === 'clear' &&
        vehicle.corners[each.wheelEnd as End].bearing.playMm < HARMLESS_MM
      )
        needlessStop = true;
    docket = { ...docket, checks: [...(docket.checks ?? []), ...found] };
    // Who has looked at the ring has seen where it sits.
    for (const each of found)
      if (each.check === 'visual.ring' && each.result !== 'not-visible')
        docket = withBuild(docket, each.wheelEnd as End, {
          target: architectureOf(each.wheelEnd as End).target,
        });
  };
  /** Whether the complaint is gone for good: a proof drive, then weeks of use. */
  const isCured = (on: BenchVehicle): boolean => {
    clearCodes(on);
    testDrive(on, random);
    if (complains(on)) return false;
    for (let i = 0; i < ROUNDS_OF_USE && !complains(on); i++) useForWeeks(on, random);
    return !complains(on);
  };
  const failed = (events: readonly HistoryEvent[]) => {
    cost += prices.get('comeback.cost');
    visits++;
    setUp.clear();
    docket = {
      ...docket,
      ...(docket.reader === 'full' ? { codes: codesRead(vehicle, random) } : {}),
      symptoms: complaintsOf(vehicle, docket.symptoms ?? []),
      history: [...(docket.history ?? []), ...events],
    };
  };
  /** Who asks is told: it stands in the papers, or one sees it. */
  const ask = (at: string) => {
    tried.add(`ask@${at}`);
    spend(prices.get('ask.minutes'));
    docket = withBuild(docket, at, architectureOf(at));
  };
  const outlayAt = (part: PartClass, wheelEnd: End) =>
    outlayOf(part, {
      wheelEnd,
      architecture: architectureOf(wheelEnd),
      docket,
      slice: emptySlice(),
      today,
      a: prices,
    });
  const existing = (parts: readonly PartClass[], at: End) =>
    partsAt(at, architectureOf(at)).filter((part) => parts.includes(part));
  const partsCost = (parts: readonly PartClass[], at: End): number =>
    parts.length > 0
      ? jobCost(
          together(
            parts.map((part) => outlayAt(part, at)),
            prices.get('overlap.same-wheel'),
            rates,
          ),
        )
      : 0;
  const workCost = (work: Work) =>
    prices.get(`work.${work}`) * rates.labour + prices.get(`work.extra.${work}`);
  const fit = (parts: readonly PartClass[], at: End): boolean => {
    tried.add(`${parts.join('+')}@${at}`);
    tried.add(parts.join('+'));
    const exist = existing(parts, at);
    cost += partsCost(exist, at);
    for (const part of exist) if (part !== 'sender') fitPart(vehicle, at, part, random);
    letGo();
    if (isCured(vehicle)) return true;
    wrongParts += parts.length;
    failed(parts.map((part) => ({ event: RENEWED[part], wheelEnd: at, daysAgo: 0, cured: 'no' })));
    return false;
  };
  const workOn = (work: Work, at: End | null): boolean => {
    tried.add(`work:${work}`);
    cost += workCost(work);
    doWork(vehicle, at, work, random);
    letGo();
    if (isCured(vehicle)) return true;
    failed([]);
    return false;
  };
  /** Another workshop: its diagnosis, the days, and the cheapest that cures each wheel end, at its prices. */
  const refer = () => {
    const hours = (prices.get('refer.hours-known') + prices.get('refer.hours-unknown')) / 2;
    cost += hours * rates.workshop + prices.get('refer.wait-days') * rates.idleDay;
    for (const end of ends) {
      const alone = () => {
        const copy = copyOf(vehicle);
        const kept = copy.corners[end];
        putAllRight(copy);
        copy.corners[end] = kept;
        return copy;
      };
      if (isCured(alone()) && isCured(alone())) continue;
      const works = WORKS.map((work) => ({
        cost: workCost(work),
        mend: (v: BenchVehicle) => doWork(v, end, work, random),
      }));
      const parts = partsAt(end, architectureOf(end)).map((part) => ({
        cost: partsCost([part], end),
        mend: (v: BenchVehicle) => (part === 'sender' ? undefined : fitPart(v, end, part, random)),
      }));
      const cure = [...works, ...parts]
        .sort((x, y) => x.cost - y.cost)
        .find(({ mend }) => {
          const copy = alone();
          mend(copy);
          // Twice: what comes and goes may stay away once by luck.
          return isCured(copy) && isCured(copy);
        });
      cost += (cure?.cost ?? 2 * prices.get('refer.elsewhere')) * prices.get('refer.tier');
    }
    if (vehicle.shared.controllerFailed) cost += prices.get('refer.module');
    if (vehicle.shared.batteryVolts < 11.8) cost += workCost('supply');
    putAllRight(vehicle);
  };

  const deeds: Deed[] = [];
  let referred = true;
  for (let step = 0; step < MOST_STEPS; step++) {
    watch(docket);
    const deed = chooseDeed(way, { docket, ends, architectureOf, tried, knowledge });
    deeds.push(deed);
    if (deed.kind === 'refer') break;
    if (deed.kind === 'ask') ask(deed.at);
    else if (deed.kind === 'check') check(deed.check, deed.at as End | null);
    else if (
      deed.kind === 'parts' ? fit(deed.parts, deed.at as End) : workOn(deed.work, deed.at as End | null)
    ) {
      referred = false;
      break;
    }
  }
  if (referred) {
    // Whoever was felt loose goes there on a lorry; what nobody felt drives.
    overlooked ||= ends.some((end) => vehicle.corners[end].bearing.playMm > DANGEROUS_MM && !felt(end));
    refer();
    visits++;
  }
  return {
    cost,
    wrongParts,
    visits,
    minutes,
    referred,
    unsafe,
    overlooked,
    needlessStop,
    deeds,
  };
};
