/** A jump of the clock: when it was seen, and by how much it differs from the time that went by, in milliseconds. */
export interface ClockJump {
  readonly at: string;
  readonly byMs: number;
}

const LOOKS_MS = 30_000;
/** Smaller differences are corrections of a clock that runs as it should. */
const SMALLEST_MS = 2 * 60_000;
const KEPT = 10;

/** Both clocks of a machine: the one people set, and the one that only goes on. */
export interface Clocks {
  readonly wall: () => number;
  readonly monotonic: () => number;
}
const OF_THIS_MACHINE: Clocks = { wall: () => Date.now(), monotonic: () => performance.now() };

/** Watches for jumps of the clock: what is made meanwhile bears a wrong date. */
export class ClockWatch {
  readonly #clocks: Clocks;
  readonly #report: (jump: ClockJump) => void;
  #jumps: readonly ClockJump[] = [];
  #wall: number;
  #monotonic: number;
  #timer: ReturnType<typeof setInterval> | undefined;

  /** @param report is told of each jump */
  constructor(report: (jump: ClockJump) => void, clocks: Clocks = OF_THIS_MACHINE) {
    this.#clocks = clocks;
    this.#report = report;
    this.#wall = clocks.wall();
    this.#monotonic = clocks.monotonic();
  }

  get jumps(): readonly ClockJump[] {
    return this.#jumps;
  }

  begin(): void {
    this.#timer = setInterval(() => this.look(), LOOKS_MS).unref();
  }

  /** Compares both clocks with the last look. */
  look(): void {
    const wall = this.#clocks.wall();
    const monotonic = this.#clocks.monotonic();
    const byMs = Math.round(wall - this.#wall - (monotonic - this.#monotonic));
    this.#wall = wall;
    this.#monotonic = monotonic;
    if (Math.abs(byMs) >= SMALLEST_MS) this.#add(byMs);
  }

  /** Reports records that are dated ahead of the clock: it went back, or was ahead when they were written. */
  compareWithNewest(newest: number): void {
    const byMs = Math.round(this.#clocks.wall() - newest);
    if (byMs <= -SMALLEST_MS) this.#add(byMs);
  }

  #add(byMs: number): void {
    const jump = { at: new Date(this.#clocks.wall()).toISOString(), byMs };
    this.#jumps = [...this.#jumps.slice(1 - KEPT), jump];
    this.#report(jump);
  }

  close(): void {
    clearInterval(this.#timer);
  }
}
