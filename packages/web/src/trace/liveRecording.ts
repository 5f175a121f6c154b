import { logToCsv } from '@hardy/core/logs';

/** So many wheels at most have a name here: three axles. */
const NAMES = ['A1L', 'A1R', 'A2L', 'A2R', 'A3L', 'A3R'] as const;
/** Half an hour at 50 a second, and some. */
const MOST_SAMPLES = 100_000;

/** Wheel speeds as they came from a reader: seconds, and km/h of each wheel. It grows; nothing of it is ever changed. */
export class LiveRecording {
  readonly seconds: number[] = [];
  readonly kmh: number[][] = [];
  /** Adds a sample: milliseconds since the first, then km/h by wheel. False when it is none, or no more are kept. */
  add(sample: unknown): boolean {
    if (!Array.isArray(sample) || !sample.every((value): value is number => Number.isFinite(value)))
      return false;
    const [ms = 0, ...speeds] = sample;
    if (speeds.length < 2 || speeds.length > NAMES.length || this.seconds.length >= MOST_SAMPLES)
      return false;
    const last = this.seconds.at(-1);
    if (last !== undefined && ms / 1000 <= last) return false;
    if (this.kmh.length === 0) this.kmh.push(...speeds.map(() => []));
    if (speeds.length !== this.kmh.length) return false;
    this.seconds.push(ms / 1000);
    speeds.forEach((value, i) => this.kmh[i]?.push(value));
    return true;
  }
  get names(): readonly string[] {
    return NAMES.slice(0, this.kmh.length);
  }
  /** The sample that came last, km/h by wheel. */
  get now(): readonly number[] {
    return this.kmh.map((each) => each.at(-1) ?? 0);
  }
  /** Index of the first sample not older than so many seconds before the last. */
  since(seconds: number): number {
    const from = (this.seconds.at(-1) ?? 0) - seconds;
    let low = 0;
    for (let high = this.seconds.length; low < high;) {
      const middle = (low + high) >> 1;
      if ((this.seconds[middle] ?? 0) < from) low = middle + 1;
      else high = middle;
    }
    return low;
  }
  /** As a log file, to be studied like any other. */
  toFile(at: Date): File {
    const csv = logToCsv({
      time: Float64Array.from(this.seconds),
      wheels: this.kmh.map((each, i) => ({ wheelEnd: NAMES[i] ?? 'A1L', kmh: Float32Array.from(each) })),
    });
    const stamp = at.toISOString().slice(0, 16).replace('T', ' ').replace(':', '.');
    return new File([csv], `live ${stamp}.csv`, { type: 'text/csv' });
  }
}
