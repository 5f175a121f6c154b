import {
  clearCodes,
  copyOf,
  doWork,
  drawLife,
  driveOf,
  driveWith,
  endsOf,
  fitPart,
  keyOn,
  meterAc,
  meterLoom,
  meterSensor,
  meterSupply,
  record,
  STEP_S,
  type BenchVehicle,
  type Cycle,
  type Drive,
  type Driven,
  type End,
  type Life,
  type Memory,
} from '@hardy/bench-vehicle';
import { randomFrom, type Random } from '@hardy/core/chance';
import type { Check, CheckName } from '@hardy/core/words';
import type { BenchProbes, BenchState, BenchVehicleOrder, BenchWork } from '@hardy/core/bench';
import { checkOn, searchLifeOf } from '@hardy/practice';

const STEP_MS = STEP_S * 1000;
/** At the bench it is so warm, degC. */
export const BENCH_CELSIUS = 15;
/** Every drive begins in the yard; those for more go on from there. */
const DRIVES: Readonly<Record<string, { cycles: readonly Cycle[]; wet: boolean }>> = {
  yard: { cycles: ['yard'], wet: false },
  town: { cycles: ['yard', 'town'], wet: false },
  road: { cycles: ['town', 'road'], wet: false },
  'wet stop': { cycles: ['yard', 'town', 'wet stop'], wet: true },
};

/** Cannot be done now; the message says why. */
export class NotNow extends Error {}

interface UnderWay {
  readonly name: string;
  since: number;
  readonly drive: Drive;
  readonly driven: Driven;
  /** What the controller remembered when it set off. */
  readonly before: Memory;
}

/**
 * A bench with at most one vehicle on it: what its controller remembers, a drive that runs by the clock, and where the
 * meter's probes are. Devices are plugged into it; it is the only thing they share.
 */
export class BenchStation {
  #life: Life | null = null;
  #about: { name: string; docketId: string } | null = null;
  #random: Random = randomFrom(1);
  #drive: UnderWay | null = null;
  /** How often a vehicle was asked for. */
  #puts = 0;
  probes: BenchProbes = { wheelEnd: 'A1L', plug: 'sensor', pins: 'across', turnsPerSecond: 0 };

  /** @param seed of a vehicle that stands on it from the start; none: it is empty */
  constructor(seed?: number) {
    if (seed !== undefined) this.#set(drawLife(seed), seed, { name: 'bench vehicle', docketId: 'none' });
  }
  #set(life: Life, seed: number, about: { name: string; docketId: string }): void {
    this.#life = life;
    this.#about = about;
    this.#random = randomFrom(seed + 1);
    this.#drive = null;
    this.probes = { wheelEnd: 'A1L', plug: 'sensor', pins: 'across', turnsPerSecond: 0 };
  }
  /**
   * Puts a vehicle on the bench, in place of what stood there. Devices are answered while its life is looked for; of two
   * vehicles the one asked for last stays.
   */
  async put(order: BenchVehicleOrder): Promise<void> {
    const mine = ++this.#puts;
    const search = searchLifeOf(order);
    let step = search.next();
    while (!step.done) {
      await new Promise((resolve) => setImmediate(resolve));
      step = search.next();
    }
    if (mine === this.#puts)
      this.#set(step.value, order.seed, { name: order.name, docketId: order.docketId });
  }
  get isEmpty(): boolean {
    return this.#life === null;
  }
  /** @throws NotNow when the bench is empty */
  get vehicle(): BenchVehicle {
    if (!this.#life) throw new NotNow('No vehicle is on the bench. Put the docket’s on it first.');
    return this.#life.vehicle;
  }
  get isTrailer(): boolean {
    return this.#life?.vehicle.build.driven === 'trailer';
  }
  get ends(): End[] {
    return endsOf(this.vehicle.build);
  }
  /** The drive under way at a moment of the clock, ms, and how far it is. */
  #at(now: number): { under: UnderWay; step: number } | null {
    if (!this.#drive) return null;
    const step = Math.floor((now - this.#drive.since) / STEP_MS);
    if (step >= this.#drive.drive.steps) {
      this.#drive = null;
      return null;
    }
    return { under: this.#drive, step: Math.max(0, step) };
  }
  #standing(now: number): BenchVehicle {
    if (this.#at(now))
      throw new NotNow('It is being driven. Wait until it stands, or go to the end of the drive.');
    return this.vehicle;
  }
  /** Sets off. What the controller finds it finds on the way, not before. */
  startDrive(now: number, name = 'town'): void {
    const vehicle = this.#standing(now);
    const way = DRIVES[name];
    if (!way) throw new NotNow(`There is no drive "${name}". There are ${Object.keys(DRIVES).join(', ')}.`);
    keyOn(vehicle, way.wet);
    const before = copyOf(vehicle).memory;
    const drive = driveOf(way.cycles, this.#random, { wet: way.wet });
    this.#drive = { name, since: now, drive, driven: driveWith(vehicle, drive, this.#random), before };
  }
  /** Goes to the end of the drive at once. */
  skip(): void {
    this.#drive = null;
  }
  /** What the controller remembers at a moment. */
  memoryAt(now: number): Memory {
    const at = this.#at(now);
    if (!at) return this.vehicle.memory;
    const memory: Memory = {
      ...at.under.before,
      troubles: at.under.before.troubles.map((each) => ({ ...each })),
    };
    for (const [step, end, failure] of at.under.driven.found)
      if (step <= at.step) record(memory, end, failure);
    return memory;
  }
  /** Speeds as the controller has them at a moment, km/h; nought when it stands. */
  speedsAt(now: number): number[] {
    const at = this.#at(now);
    return this.ends.map((end) => (at ? (at.under.driven.signals.get(end)?.kmh[at.step] ?? 0) : 0));
  }
  isMoving(now: number): boolean {
    return this.#at(now) !== null && this.speedsAt(now).some((kmh) => kmh > 0);
  }
  clear(now: number): void {
    clearCodes(this.#standing(now));
    keyOn(this.vehicle, false);
  }
  /** Fits a part, or does work without one, and switches on. */
  mend({ wheelEnd, fit, tier, work }: BenchWork, now: number): void {
    const vehicle = this.#standing(now);
    if (fit !== null && wheelEnd === null) throw new NotNow('A part is fitted at a wheel. Say which.');
    if (wheelEnd !== null && !this.ends.includes(wheelEnd))
      throw new NotNow(`This vehicle has no wheel ${wheelEnd}.`);
    if (fit !== null) fitPart(vehicle, wheelEnd as End, fit, this.#random, tier ?? 'good');
    if (work !== null) doWork(vehicle, wheelEnd, work, this.#random);
    keyOn(vehicle, false);
  }
  /** Makes a check by hand and eye; null where it told nothing. */
  check(name: CheckName, wheelEnd: End, now: number): Check | null {
    const vehicle = this.#standing(now);
    if (!this.ends.includes(wheelEnd)) throw new NotNow(`This vehicle has no wheel ${wheelEnd}.`);
    return checkOn(vehicle, name, wheelEnd, this.#random);
  }
  ohms(): number {
    const { wheelEnd, plug, pins } = this.probes;
    if (this.isEmpty || !this.ends.includes(wheelEnd)) return Infinity;
    if (plug === 'loom') {
      const read = meterLoom(this.vehicle, wheelEnd, pins !== 'across', this.#random);
      return read === 'open' ? Infinity : read;
    }
    // The inside of a sensor is insulated from its foot.
    if (pins !== 'across') return Infinity;
    const read = meterSensor(this.vehicle, wheelEnd, BENCH_CELSIUS, this.#random);
    if (read === 'open') return Infinity;
    return read === 'unstable' ? this.#random.between(200, 4000) : read;
  }
  voltsDc(): number {
    const { wheelEnd, plug, pins } = this.probes;
    const feed = plug === 'loom' && pins !== 'signal to ground';
    return feed && !this.isEmpty && this.ends.includes(wheelEnd)
      ? meterSupply(this.vehicle, wheelEnd, this.#random)
      : 0.002 * this.#random.next();
  }
  voltsAc(): number {
    const { wheelEnd, plug, pins, turnsPerSecond } = this.probes;
    return turnsPerSecond > 0 &&
      plug === 'sensor' &&
      pins === 'across' &&
      !this.isEmpty &&
      this.ends.includes(wheelEnd)
      ? meterAc(this.vehicle, wheelEnd, turnsPerSecond, this.#random)
      : 0;
  }
  /** What anybody can see of it. */
  stateAt(now: number): BenchState {
    const at = this.#at(now);
    const memory = this.isEmpty ? null : this.memoryAt(now);
    return {
      vehicle: this.#about && { ...this.#about, ends: this.ends, trailer: this.isTrailer },
      lamp: memory?.lamp ?? false,
      grinds: memory?.falseAction ?? false,
      driving: at && {
        drive: at.under.name,
        seconds: Math.round(at.step * STEP_S * 10) / 10,
        of: Math.round(at.under.drive.steps * STEP_S),
        kmh: Math.round(Math.abs(at.under.drive.speed[at.step] ?? 0) * 36) / 10,
      },
      probes: this.probes,
    };
  }
}
