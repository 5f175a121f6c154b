import Papa from 'papaparse';
import { BadInput } from '../../vocabulary/badInput.ts';
import { mendTimes } from '../timeBase.ts';
import type { WheelLog } from '../wheelLog.ts';
import { guessMapping } from './guessMapping.ts';
import type { LogMapping } from './mapping.ts';
import { inKmh } from './units.ts';

/** A read log with its usual time between samples in seconds. */
export interface ReadLog {
  readonly log: WheelLog;
  readonly interval: number;
}

/** Most samples kept, so that any log fits in memory; four hours at 500 Hz. */
const MOST_SAMPLES = 8_000_000;
/** Text gathered before the columns are guessed. */
const HEAD_LENGTH = 20_000;
/** No wheel on a road turns faster, in km/h: more is a wrong unit. */
const FASTEST_KMH = 400;
/** Part of the readings beyond that from which the unit, not the reading, is wrong. */
const TOO_FAST_SHARE = 0.02;
const USUAL_CIRCUMFERENCE = 1.98;
/** A longer line is no row of a log: the file has no line breaks, or is something else. */
const LONGEST_LINE = 100_000;
/** Headings named in a message, and characters of each. */
const NAMED_HEADINGS = 30;
const NAMED_LENGTH = 40;

/** An array that grows by doubling. */
class Growing {
  #values: Float64Array | Float32Array;
  #kind: Float64ArrayConstructor | Float32ArrayConstructor;
  length = 0;
  constructor(kind: Float64ArrayConstructor | Float32ArrayConstructor) {
    this.#kind = kind;
    this.#values = new kind(65536);
  }
  push(value: number): void {
    if (this.length === this.#values.length) {
      const more = new this.#kind(this.#values.length * 2);
      more.set(this.#values);
      this.#values = more;
    }
    this.#values[this.length++] = value;
  }
  done(): Float64Array | Float32Array {
    return this.#values.subarray(0, this.length);
  }
}

const DAY = 86400;
const clockPattern = /(\d{1,3}):(\d{1,2})(?::(\d{1,2}))?(?:[.,:](\d+))?/;

/** Seconds of a clock time or date and time: `10:02:03.4`, `02:03.4` (minutes and seconds), `2026-11-25T10:02:03Z`. */
export const secondsOfClock = (text: string): number => {
  const match = clockPattern.exec(text);
  if (!match) return Number.NaN;
  const [, a, b, c, fraction] = match;
  const part = fraction ? Number(`0.${fraction}`) : 0;
  const afternoon = /\bp\.?m\b/i.test(text) && Number(a) < 12 ? 12 : 0;
  return c === undefined
    ? Number(a) * 60 + Number(b) + part
    : (Number(a) + afternoon) * 3600 + Number(b) * 60 + Number(c) + part;
};

const TIME_FACTOR = { s: 1, ms: 1e-3, us: 1e-6, min: 60, days: DAY, clock: 1 } as const;

/**
 * Reads a wheel-speed log piece by piece, so that a large file needs no more memory than its numbers.
 *
 * `push` text as it comes, then `finish`. Give a `mapping` where a person chose the columns; else they are recognised
 * by their headings. Fields that are no number are missing samples; rows without a time are left out.
 */
export class LogReader {
  #mapping: LogMapping | null;
  #assumed: string[] = [];
  #circumference: number;
  #rest = '';
  #started = false;
  #skipped = 0;
  #time = new Growing(Float64Array);
  #wheels: Growing[] = [];
  #vehicle: Growing | null = null;
  #steering: Growing | null = null;
  #rows = 0;
  #lastClock = Number.NEGATIVE_INFINITY;
  #days = 0;
  #full = false;

  constructor(options: { mapping?: LogMapping | null; circumference?: number | null } = {}) {
    this.#mapping = options.mapping ?? null;
    this.#circumference = options.circumference ?? USUAL_CIRCUMFERENCE;
  }

  /** Samples read so far. */
  get samples(): number {
    return this.#time.length;
  }

  /** @throws BadInput when the columns cannot be recognised. */
  push(text: string): void {
    this.#rest += text;
    if (!this.#started && this.#rest.length < HEAD_LENGTH) return;
    const end = this.#rest.lastIndexOf('\n');
    if (this.#rest.length - end > LONGEST_LINE) this.#tooLong();
    if (end < 0 && this.#rest.length < 4 * HEAD_LENGTH) return;
    this.#take(end < 0 ? this.#rest.length : end + 1);
  }

  /** @throws BadInput when the log has no usable samples. */
  finish(): ReadLog {
    this.#take(this.#rest.length);
    if (!this.#mapping) throw new BadInput('log', 'is empty');
    const base = mendTimes(this.#time.done() as Float64Array);
    const identity = base.rows.length === this.#time.length && base.rows.every((row, i) => row === i);
    const pick = (values: Float32Array): Float32Array => {
      if (identity) return values;
      const picked = new Float32Array(base.rows.length);
      for (let i = 0; i < picked.length; i++) picked[i] = values[base.rows[i] as number] as number;
      return picked;
    };
    const wheels = this.#mapping.wheels.map(({ wheelEnd }, w) => ({
      wheelEnd,
      kmh: pick((this.#wheels[w] as Growing).done() as Float32Array),
    }));
    this.#checkSpeeds(wheels);
    const notes = [...this.#assumed, ...base.notes];
    if (this.#full) notes.push(`only the first ${MOST_SAMPLES} samples were read; cut a longer log in two`);
    const vehicle = this.#vehicle ? pick(this.#vehicle.done() as Float32Array) : null;
    const steering = this.#steering ? pick(this.#steering.done() as Float32Array) : null;
    return { log: { time: base.time, wheels, vehicle, steering, notes }, interval: base.interval };
  }

  #checkSpeeds(wheels: WheelLog['wheels']): void {
    let beyond = 0;
    let all = 0;
    for (const { kmh } of wheels)
      for (let i = 0; i < kmh.length; i++) {
        const v = kmh[i] as number;
        if (v !== v) continue;
        all++;
        if (v > FASTEST_KMH) {
          beyond++;
          kmh[i] = Number.NaN;
        }
      }
    if (all === 0)
      throw new BadInput(
        'speeds',
        'has no number in any wheel column; check which columns are the wheel speeds',
      );
    if (beyond > all * TOO_FAST_SHARE)
      throw new BadInput(
        'speeds',
        `lie above ${FASTEST_KMH} km/h in ${Math.round((beyond / all) * 100)} of 100 samples; choose another unit for the wheel columns`,
      );
    if (beyond > 0) this.#assumed.push(`${beyond} readings above ${FASTEST_KMH} km/h were taken as missing`);
  }

  #tooLong(): never {
    throw new BadInput(
      'log',
      `has a line of more than ${LONGEST_LINE} characters; is it a log with a row for each sample?`,
    );
  }

  #begin(): LogMapping {
    this.#started = true;
    const first = this.#rest.indexOf('\n');
    if ((first < 0 ? this.#rest.length : first) > LONGEST_LINE) this.#tooLong();
    if (!this.#mapping) {
      const guess = guessMapping(this.#rest);
      if (guess.missing.length > 0)
        throw new BadInput(
          'columns',
          `cannot be recognised: ${guess.missing.join(', and ')}. The headings are ${
            guess.headings
              .slice(0, NAMED_HEADINGS)
              .map((h) => `"${h.slice(0, NAMED_LENGTH)}"`)
              .join(', ') || 'missing'
          }; name them time_s and A1L_kmh, A1R_kmh, A2L_kmh, A2R_kmh, or front left and so on`,
        );
      this.#mapping = guess.mapping;
      this.#assumed.push(...guess.assumed);
    }
    if (this.#mapping.wheels.length < 2)
      throw new BadInput('columns', 'name fewer than two wheels; wheels are judged against each other');
    this.#wheels = this.#mapping.wheels.map(() => new Growing(Float32Array));
    this.#vehicle = this.#mapping.vehicle ? new Growing(Float32Array) : null;
    this.#steering = this.#mapping.steering == null ? null : new Growing(Float32Array);
    return this.#mapping;
  }

  #take(length: number): void {
    const mapping = this.#started && this.#mapping ? this.#mapping : this.#begin();
    const text = this.#rest.slice(0, length);
    this.#rest = this.#rest.slice(length);
    if (this.#full) return;
    const { data } = Papa.parse<string[]>(text, {
      delimiter: mapping.delimiter,
      skipEmptyLines: false,
    });
    const factors = mapping.wheels.map(({ unit }) => inKmh(unit ?? 'km/h', this.#circumference));
    const vehicleFactor = mapping.vehicle ? inKmh(mapping.vehicle.unit ?? 'km/h', this.#circumference) : 1;
    const number = mapping.decimalComma
      ? (field: string | undefined) =>
          field === undefined || field === '' ? Number.NaN : Number(field.replace(',', '.'))
      : (field: string | undefined) => (field === undefined || field === '' ? Number.NaN : Number(field));
    // The last line of a piece ends in a line break and parses as one empty row more.
    const rows = length > 0 && text.endsWith('\n') ? data.length - 1 : data.length;
    for (let r = 0; r < rows; r++) {
      if (this.#skipped < mapping.skip) {
        this.#skipped++;
        continue;
      }
      const row = data[r] as string[];
      if (row.length < 2) continue;
      if (this.#time.length >= MOST_SAMPLES) {
        this.#full = true;
        return;
      }
      this.#time.push(this.#timeOf(row, mapping, number));
      for (let w = 0; w < factors.length; w++) {
        const value = number(row[(mapping.wheels[w] as LogMapping['wheels'][number]).column]);
        // Reversing reads negative on some loggers; what matters is how fast the wheel turns.
        (this.#wheels[w] as Growing).push(Math.abs(value) * (factors[w] as number));
      }
      if (this.#vehicle && mapping.vehicle)
        this.#vehicle.push(Math.abs(number(row[mapping.vehicle.column])) * vehicleFactor);
      if (this.#steering && mapping.steering != null) this.#steering.push(number(row[mapping.steering]));
      this.#rows++;
    }
  }

  #timeOf(
    row: readonly string[],
    mapping: LogMapping,
    number: (field: string | undefined) => number,
  ): number {
    if (mapping.time === null) return this.#rows / (mapping.rateHz ?? 10);
    const field = row[mapping.time];
    if (mapping.timeUnit !== 'clock') return number(field) * TIME_FACTOR[mapping.timeUnit ?? 's'];
    const seconds = secondsOfClock(field ?? '');
    // Past midnight the clock starts again.
    if (seconds < this.#lastClock - DAY / 2) this.#days++;
    if (seconds === seconds) this.#lastClock = seconds;
    return seconds + this.#days * DAY;
  }
}

/** Reads a whole log at once. */
export const readLog = (
  text: string,
  options: { mapping?: LogMapping | null; circumference?: number | null } = {},
): ReadLog => {
  const reader = new LogReader(options);
  const piece = 1 << 20;
  for (let at = 0; at < text.length; at += piece) reader.push(text.slice(at, at + piece));
  return reader.finish();
};
