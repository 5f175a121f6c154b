import {
  clearCodes,
  complains,
  copyOf,
  doWork,
  endsOf,
  fitPart,
  putAllRight,
  sensingAt,
  testDrive,
  useForWeeks,
  type BenchVehicle,
  type End,
  type Work,
} from '@hardy/bench-vehicle';
import type { Random } from '@hardy/core/chance';
import {
  emptySlice,
  jobCost,
  minutesOf,
  outlayOf,
  partsAt,
  ratesFor,
  RENEWED,
  together,
  withBuild,
  type Assumptions,
  type HistoryEvent,
  type Knowledge,
} from '@hardy/core/trial';
import type { Check, CheckName, Docket, PartClass } from '@hardy/core/words';
import { checkOn, liveChecks } from '../bench/checkOn.ts';
import { architectureAt, codesRead, complaintsOf } from '../bench/docketOf.ts';

/** What comes and goes may stay away once: a cure has held when it did not come back in so many rounds of use. */
const ROUNDS_OF_USE = 2;
/** Play from here on lets a wheel come off one day; below that a stop was needless, mm at the rim. */
const DANGEROUS_MM = 0.9;
const HARMLESS_MM = 0.4;
/** Chance that a sensor rusted in as fast as can be snaps when it is drawn. */
const SNAPS_WHEN_FAST = 0.6;

/** Work without a part that another workshop may find, the cheapest first. */
const WORKS: readonly Work[] = ['none-present', 'seating', 'loom', 'tyre', 'supply'];

/** What a fitting came to. */
export interface Fitting {
  readonly cured: boolean;
  /** The old sensor broke off in its bore; null where none was drawn, or nobody looks. */
  readonly snapped: boolean | null;
}

/** What a job is begun with. */
export interface JobGiven {
  readonly vehicle: BenchVehicle;
  /** What is known of it at first. */
  readonly docket: Docket;
  readonly prices: Assumptions;
  readonly today: string;
  readonly random: Random;
  /** What the shop has for it; nothing where it is priced by judgement alone. */
  readonly slice?: Knowledge['slice'];
  /** Whether old sensors snap by luck, or cost their expected share. */
  readonly snaps?: boolean;
  /** Days until a vehicle that was not cured is back; none where nobody counts them. */
  readonly backAfterDays?: () => number;
}

/**
 * A job on one bench vehicle: its checks are answered by its physics, it is repaired, driven to prove it, and used for weeks:
 * what comes back then is a comeback. What is known grows on the docket; the truth stays in the vehicle.
 */
export class BenchJob {
  readonly ends: readonly End[];
  readonly tried = new Set<string>();
  docket: Docket;
  cost = 0;
  minutes = 0;
  wrongParts = 0;
  visits = 1;
  unsafe = false;
  overlooked = false;
  needlessStop = false;
  readonly #vehicle: BenchVehicle;
  readonly #given: JobGiven;
  readonly #setUp = new Set<string>();
  readonly #rates: ReturnType<typeof ratesFor>;

  constructor(given: JobGiven) {
    this.#given = given;
    this.#vehicle = given.vehicle;
    this.docket = given.docket;
    this.ends = endsOf(given.vehicle.build);
    this.#rates = ratesFor(given.docket, given.prices);
  }
  architectureOf = (end: string) => architectureAt(this.#vehicle, end as End);

  #spend(now: number): void {
    this.minutes += now;
    this.cost += (now / 60) * this.#rates.labour;
  }
  /** Minutes that something takes which is no check: a question, reading codes. */
  take(minutes: number): void {
    this.#spend(minutes);
  }
  #felt(end: End): boolean {
    return (this.docket.checks ?? []).some(
      (each) => each.check === 'bearing.play' && each.wheelEnd === end && each.result === 'clear',
    );
  }
  get #loose(): End[] {
    return this.ends.filter((end) => this.#vehicle.corners[end].bearing.playMm > DANGEROUS_MM);
  }
  /** The vehicle leaves on its own wheels: whatever it leaves with is counted now, not when the job is over. */
  #letGo(): void {
    const loose = this.#loose;
    this.unsafe ||= loose.some((end) => this.#felt(end));
    this.overlooked ||= loose.some((end) => !this.#felt(end));
  }
  /** Makes a check at a wheel, or at all of them, and writes it on the docket. */
  check(name: CheckName, at: End | null): Check[] {
    const { prices, random } = this.#given;
    const where = at ? [at] : this.ends;
    this.#spend(minutesOf(name, where, this.#setUp, prices));
    this.tried.add(name);
    for (const end of where) this.tried.add(`${name}@${end}`);
    const found: Check[] =
      name === 'live'
        ? liveChecks(this.#vehicle, where, random)
        : where.flatMap((end) => checkOn(this.#vehicle, name, end, random) ?? []);
    const sizes = found.find((each) => each.check === 'tyres');
    if (sizes?.check === 'tyres' && new Set(Object.values(sizes.sizes)).size > 1)
      this.tried.add('tyres differ');
    for (const each of found)
      if (
        each.check === 'bearing.play' &&
        each.result === 'clear' &&
        this.#vehicle.corners[each.wheelEnd as End].bearing.playMm < HARMLESS_MM
      )
        this.needlessStop = true;
    this.docket = { ...this.docket, checks: [...(this.docket.checks ?? []), ...found] };
    // Who has looked at the ring has seen where it sits.
    for (const each of found)
      if (each.check === 'visual.ring' && each.result !== 'not-visible')
        this.docket = withBuild(this.docket, each.wheelEnd as End, {
          target: this.architectureOf(each.wheelEnd as End).target,
        });
    return found;
  }
  /** Reads every controller. */
  read(): void {
    this.docket = {
      ...this.docket,
      reader: 'full',
      modulesRead: ['ABS'],
      codes: codesRead(this.#vehicle, this.#given.random),
    };
  }
  /** Whether the complaint is gone for good: a proof drive, then weeks of use. */
  #isCured(on: BenchVehicle): boolean {
    const { random } = this.#given;
    clearCodes(on);
    testDrive(on, random);
    if (complains(on)) return false;
    for (let i = 0; i < ROUNDS_OF_USE && !complains(on); i++) useForWeeks(on, random);
    return !complains(on);
  }
  #failed(events: readonly HistoryEvent[]): void {
    this.cost += this.#given.prices.get('comeback.cost');
    this.visits++;
    this.#setUp.clear();
    // Meanwhile what was done grew older: a part fitted twice was fitted on two days.
    const days = this.#given.backAfterDays?.() ?? 0;
    const older = (each: HistoryEvent): HistoryEvent => ({
      ...each,
      daysAgo: each.daysAgo == null ? each.daysAgo : each.daysAgo + days,
    });
    this.docket = {
      ...this.docket,
      ...(this.docket.reader === 'full' && this.docket.codes
        ? { codes: codesRead(this.#vehicle, this.#given.random) }
        : {}),
      symptoms: complaintsOf(this.#vehicle, this.docket.symptoms ?? []),
      history: [...(this.docket.history ?? []), ...events].map(older),
    };
  }
  /** Who asks is told: it stands in the papers, or one sees it. */
  ask(at: string): void {
    this.tried.add(`ask@${at}`);
    this.#spend(this.#given.prices.get('ask.minutes'));
    this.docket = withBuild(this.docket, at, this.architectureOf(at));
  }
  #outlayAt(part: PartClass, wheelEnd: End) {
    const { slice = emptySlice(), today, prices } = this.#given;
    return outlayOf(part, {
      wheelEnd,
      architecture: this.architectureOf(wheelEnd),
      docket: this.docket,
      slice,
      today,
      a: prices,
    });
  }
  #partsCost(parts: readonly PartClass[], at: End): number {
    return parts.length > 0
      ? jobCost(
          together(
            parts.map((part) => this.#outlayAt(part, at)),
            this.#given.prices.get('overlap.same-wheel'),
            this.#rates,
          ),
        )
      : 0;
  }
  #workCost(work: Work): number {
    const { prices } = this.#given;
    return prices.get(`work.${work}`) * this.#rates.labour + prices.get(`work.extra.${work}`);
  }
  /** Whether the old sensor snaps as it is drawn; what that costs more or less than was expected is paid. */
  #snap(parts: readonly PartClass[], at: End): boolean | null {
    if (!this.#given.snaps || sensingAt(this.#vehicle.build, at).mounting !== 'separate') return null;
    if (!parts.includes('sensor')) return null;
    const outlay = this.#outlayAt('sensor', at);
    if (outlay.seizure === null) return null;
    const snapped = this.#given.random.chance(SNAPS_WHEN_FAST * this.#vehicle.corners[at].sensor.seized);
    const whole = outlay.seizure > 0 ? outlay.seizureCost / outlay.seizure : 0;
    this.cost += (snapped ? whole : 0) - outlay.seizureCost;
    return snapped;
  }
  /** Fits parts at a wheel: those that exist there. */
  fit(parts: readonly PartClass[], at: End): Fitting {
    const { random } = this.#given;
    this.tried.add(`${parts.join('+')}@${at}`);
    this.tried.add(parts.join('+'));
    const exist = partsAt(at, this.architectureOf(at)).filter((part) => parts.includes(part));
    this.cost += this.#partsCost(exist, at);
    const snapped = this.#snap(exist, at);
    for (const part of exist) if (part !== 'sender') fitPart(this.#vehicle, at, part, random);
    this.#letGo();
    if (this.#isCured(this.#vehicle)) return { cured: true, snapped };
    this.wrongParts += parts.length;
    this.#failed(parts.map((part) => ({ event: RENEWED[part], wheelEnd: at, daysAgo: 0, cured: 'no' })));
    return { cured: false, snapped };
  }
  /** Does work without a part. */
  workOn(work: Work, at: End | null): Fitting {
    this.tried.add(`work:${work}`);
    this.cost += this.#workCost(work);
    doWork(this.#vehicle, at, work, this.#given.random);
    this.#letGo();
    if (this.#isCured(this.#vehicle)) return { cured: true, snapped: null };
    this.#failed([]);
    return { cured: false, snapped: null };
  }
  /** Another workshop: its diagnosis, the days, and the cheapest that cures each wheel end, at its prices. */
  refer(): void {
    const { prices, random } = this.#given;
    const vehicle = this.#vehicle;
    // Whoever was felt loose goes there on a lorry; what nobody felt drives.
    this.overlooked ||= this.#loose.some((end) => !this.#felt(end));
    const hours = (prices.get('refer.hours-known') + prices.get('refer.hours-unknown')) / 2;
    this.cost += hours * this.#rates.workshop + prices.get('refer.wait-days') * this.#rates.idleDay;
    for (const end of this.ends) {
      /** All right but for what is at this wheel: its corner is another copy's, which putting right does not touch. */
      const alone = () => {
        const copy = copyOf(vehicle);
        putAllRight(copy);
        copy.corners[end] = copyOf(vehicle).corners[end];
        return copy;
      };
      if (this.#isCured(alone()) && this.#isCured(alone())) continue;
      const works = WORKS.map((work) => ({
        cost: this.#workCost(work),
        mend: (v: BenchVehicle) => doWork(v, end, work, random),
      }));
      const parts = partsAt(end, this.architectureOf(end)).map((part) => ({
        cost: this.#partsCost([part], end),
        mend: (v: BenchVehicle) => (part === 'sender' ? undefined : fitPart(v, end, part, random)),
      }));
      const cure = [...works, ...parts]
        .sort((x, y) => x.cost - y.cost)
        .find(({ mend }) => {
          const copy = alone();
          mend(copy);
          // Twice: what comes and goes may stay away once by luck.
          return this.#isCured(copy) && this.#isCured(copy);
        });
      this.cost += (cure?.cost ?? 2 * prices.get('refer.elsewhere')) * prices.get('refer.tier');
    }
    if (vehicle.shared.controllerFailed) this.cost += prices.get('refer.module');
    if (vehicle.shared.batteryVolts < 11.8) this.cost += this.#workCost('supply');
    putAllRight(vehicle);
    this.visits++;
  }
}
