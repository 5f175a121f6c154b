import {
  clearCodes,
  drawLife,
  endsOf,
  keyOn,
  meterAc,
  meterSensor,
  meterSupply,
  testDrive,
  type BenchVehicle,
  type Driven,
  type End,
  type Life,
} from '@hardy/bench-vehicle';
import { randomFrom, type Random } from '@hardy/core/chance';

/** Fifty samples a second. */
const STEP_MS = 20;

/** Where the probes of the meter are: on a wheel end's open plug. */
export interface Probes {
  readonly end: End;
  readonly turnsPerSecond: number;
}

/**
 * A bench with one vehicle on it: what its controller remembers, a drive that runs by the clock, and where the meter's probes
 * are. Devices are plugged into it; it is the only thing they share.
 */
export class BenchStation {
  readonly life: Life;
  readonly random: Random;
  #drive: { since: number; driven: Driven; steps: number } | null = null;
  probes: Probes = { end: 'A1L', turnsPerSecond: 0 };

  constructor(seed: number) {
    this.life = drawLife(seed);
    this.random = randomFrom(seed + 1);
  }
  get vehicle(): BenchVehicle {
    return this.life.vehicle;
  }
  get ends(): End[] {
    return endsOf(this.vehicle.build);
  }
  /** Starts a test drive at a moment of the clock, ms. */
  startDrive(now: number): void {
    const { drive, driven } = testDrive(this.vehicle, this.random);
    this.#drive = { since: now, driven, steps: drive.steps };
  }
  /** Speeds as the controller has them at a moment, km/h; nought when it stands. */
  speedsAt(now: number): number[] {
    const step = this.#drive ? Math.floor((now - this.#drive.since) / STEP_MS) : -1;
    if (this.#drive && step >= this.#drive.steps) this.#drive = null;
    return this.ends.map((end) =>
      this.#drive && step >= 0 ? (this.#drive.driven.signals.get(end)?.kmh[step] ?? 0) : 0,
    );
  }
  isMoving(now: number): boolean {
    return this.speedsAt(now).some((kmh) => kmh > 0);
  }
  clear(): void {
    clearCodes(this.vehicle);
    keyOn(this.vehicle, false);
  }
  ohms(): number {
    const read = meterSensor(this.vehicle, this.probes.end, 15, this.random);
    if (read === 'open') return Infinity;
    return read === 'unstable' ? this.random.between(200, 4000) : read;
  }
  voltsDc(): number {
    return meterSupply(this.vehicle, this.probes.end, this.random);
  }
  voltsAc(): number {
    return this.probes.turnsPerSecond > 0
      ? meterAc(this.vehicle, this.probes.end, this.probes.turnsPerSecond, this.random)
      : 0;
  }
}
