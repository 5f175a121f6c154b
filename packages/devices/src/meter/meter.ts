import { connectTo, type ByteStream } from '../wire/byteStream.ts';
import { DeviceTrouble } from '../wire/deviceTrouble.ts';
import type { Where } from '../reader/reader.ts';

/* A bench meter by SCPI over TCP: queries and answers in lines, numbers in the forms of IEEE 488.2. */

/** A reading as it stands on a check. */
export type Reading =
  | { readonly is: 'steady'; readonly value: number }
  /** Beyond the range: an open circuit, on ohms. */
  | { readonly is: 'overload' }
  /** The figure runs: least and most of what was seen. */
  | { readonly is: 'unstable'; readonly from: number; readonly to: number };

/** What can be measured. */
export const QUERIES = {
  ohms: 'MEAS:RES?',
  voltsDc: 'MEAS:VOLT:DC?',
  voltsAc: 'MEAS:VOLT:AC?',
} as const;
export type Quantity = keyof typeof QUERIES;
/** Not every meter has a probe for it: one that has none says nothing, and queues an error. */
export const TEMPERATURE_QUERY = 'MEAS:TEMP?';

export interface Meter {
  /** Who it says it is. */
  readonly identity: string;
  /** Several readings, judged as one. @throws DeviceTrouble */
  measure(what: Quantity, signal?: AbortSignal): Promise<Reading>;
  /** Of its own probe, degC; null where it has none. */
  temperature(signal?: AbortSignal): Promise<number | null>;
  close(): void;
}

const NAME = 'meter';
/** From here on a number means that the range was passed (SCPI: 9.9E37). */
export const OVERLOAD = 9e37;
/** So many readings are taken; they are steady within this share of their mean, or this much besides. */
const READINGS = 5;
const STEADY_SHARE = 0.04;
const STEADY_BESIDES = 0.002;
const MOST_LINE = 1000;
/** A meter without a probe does not answer: so long it is waited for. */
const PROBE_MS = 400;
/** What is colder or hotter than this is no probe. */
const PROBE_RANGE = [-60, 250] as const;

/** A number in one of the forms of IEEE 488.2, or null. */
export const numberOf = (line: string): number | null =>
  /^[+-]?(\d+\.?\d*|\.\d+)([eE][+-]?\d{1,3})?$/.test(line.trim()) ? Number(line) : null;

/** Several readings as one. */
export const judgeReadings = (values: readonly number[]): Reading => {
  const over = values.filter((value) => Math.abs(value) >= OVERLOAD).length;
  if (over === values.length) return { is: 'overload' };
  const from = Math.min(...values);
  const to = over > 0 ? Infinity : Math.max(...values);
  const mean = values.reduce((sum, value) => sum + value, 0) / values.length;
  return to - from <= Math.max(STEADY_BESIDES, STEADY_SHARE * Math.abs(mean))
    ? { is: 'steady', value: mean }
    : { is: 'unstable', from, to };
};

/** Connects and asks who it is. @throws DeviceTrouble */
export const openMeter = async (where: Where, answerMs = 1500, signal?: AbortSignal): Promise<Meter> => {
  const stream = await connectTo(NAME, where.host, where.port, answerMs, signal);
  const lines = linesOf(stream);
  const query = async (text: string, stop?: AbortSignal): Promise<string> => {
    stream.write(new TextEncoder().encode(`${text}\n`));
    return lines.next(answerMs, stop);
  };
  try {
    const identity = await query('*IDN?', signal);
    if (identity.split(',').length < 4)
      throw new DeviceTrouble('garbage', 'That is no meter: it does not say who it is.');
    return {
      identity,
      async measure(what, stop) {
        const values: number[] = [];
        for (let i = 0; i < READINGS; i++) {
          const line = await query(QUERIES[what], stop);
          const value = numberOf(line);
          if (value === null)
            throw new DeviceTrouble('garbage', 'The meter sent what is no number. Measure again.');
          values.push(value);
        }
        return judgeReadings(values);
      },
      async temperature(stop) {
        stream.write(new TextEncoder().encode(`${TEMPERATURE_QUERY}\n`));
        try {
          const value = numberOf(await lines.next(Math.min(PROBE_MS, answerMs), stop));
          return value !== null && value >= PROBE_RANGE[0] && value <= PROBE_RANGE[1] ? value : null;
        } catch (error) {
          if (error instanceof DeviceTrouble && error.kind === 'silent') return null;
          throw error;
        }
      },
      close: () => stream.close(),
    };
  } catch (error) {
    stream.close();
    throw error;
  }
};

const linesOf = (stream: ByteStream) => {
  let kept = '';
  const decoder = new TextDecoder();
  return {
    async next(withinMs: number, signal?: AbortSignal): Promise<string> {
      const until = performance.now() + withinMs;
      for (;;) {
        const end = kept.indexOf('\n');
        if (end >= 0) {
          const line = kept.slice(0, end).replace(/\r$/, '');
          kept = kept.slice(end + 1);
          return line;
        }
        if (kept.length > MOST_LINE)
          throw new DeviceTrouble('garbage', 'The meter sends a line without end. Is it the right device?');
        const left = until - performance.now();
        if (left <= 0) throw new DeviceTrouble('silent', 'The meter did not answer in time.');
        const bytes = await stream.read(left, signal);
        if (bytes === null) throw new DeviceTrouble('gone', 'The meter hung up. Is its cable still in?');
        kept += decoder.decode(bytes, { stream: true });
      }
    },
  };
};
