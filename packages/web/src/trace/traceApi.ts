import {
  BadInput,
  generateLog,
  guessMapping,
  keepStretch,
  LogReader,
  logToCsv,
  readTrace,
  sampleAt,
  thinPerPixel,
  utf16Of,
  type Curve,
  type LogMapping,
  type MappingGuess,
  type TraceStudy,
} from '@hardy/core/logs';
import type { KeptStretch, LivePattern, TraceReading } from '@hardy/core/words';

/** What a problem with a log looks like outside the worker. */
export interface LogProblem {
  readonly problem: string;
}

/** Curves of a stretch of the log, thinned to the pixels there are. */
export interface Curves {
  readonly wheels: readonly Curve[];
  readonly residuals: readonly Curve[];
  readonly motion: Curve;
}

/** Where a wheel's events lie: in time, and on the turn. */
export interface WheelEvents {
  readonly seconds: number[];
  readonly places: number[];
}

const HEAD_BYTES = 65536;
/** Beyond this nothing useful is in a log of a drive. */
const MOST_BYTES = 1_500_000_000;

/** A log not in UTF-16 is read as UTF-8: its figures are the same in any of the others. */
const encodingOf = (head: Uint8Array): string => utf16Of(head) ?? 'utf-8';

const told = async <T>(act: () => Promise<T>): Promise<T | LogProblem> => {
  try {
    return await act();
  } catch (error) {
    if (error instanceof BadInput)
      return { problem: `${error.path ? `${error.path} ` : ''}${error.message}` };
    if (error instanceof RangeError)
      return { problem: 'The log is too large for the memory of this computer; cut it in two.' };
    throw error;
  }
};

let study: TraceStudy | null = null;

/** What can be asked of a log. It is asked in a thread of its own, or in the page where none can be had. */
export const traceApi = {
  /** Guesses the columns from the first lines. */
  preview: (file: Blob): Promise<MappingGuess | LogProblem> =>
    told(async () => {
      const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
      if (head.length === 0) throw new BadInput('log', 'is empty');
      return guessMapping(new TextDecoder(encodingOf(head)).decode(head));
    }),

  /** Reads and studies a log; `progress` gets 0 to 1. */
  study: (
    file: Blob,
    mapping: LogMapping | null,
    circumference: number | null,
    progress: (part: number) => void,
  ): Promise<TraceReading | LogProblem> =>
    told(async () => {
      study = null;
      if (file.size > MOST_BYTES)
        throw new BadInput('log', 'is over 1.5 GB; cut it to the drive that shows the fault');
      const reader = new LogReader({ mapping, circumference });
      const head = new Uint8Array(await file.slice(0, HEAD_BYTES).arrayBuffer());
      const decoder = new TextDecoder(encodingOf(head));
      const stream = file.stream().getReader();
      let read = 0;
      for (;;) {
        const { done, value } = await stream.read();
        if (done) break;
        reader.push(decoder.decode(value, { stream: true }));
        read += value.length;
        progress((0.7 * read) / file.size);
      }
      reader.push(decoder.decode());
      const { log, interval } = reader.finish();
      progress(0.72);
      study = readTrace(log, interval, { circumference, progress: (part) => progress(0.72 + 0.28 * part) });
      return study.reading;
    }),

  /** The curves between two times in seconds, for a drawing so many pixels wide. */
  curves: (from: number, to: number, columns: number): Promise<Curves | null> => {
    const now = study;
    if (!now) return Promise.resolve(null);
    const { time } = now.log;
    const first = Math.max(0, sampleAt(time, from) - 1);
    const last = Math.min(time.length, sampleAt(time, to) + 1);
    const thin = (values: Float32Array) => thinPerPixel(time, values, first, last, columns);
    return Promise.resolve({
      wheels: now.log.wheels.map(({ kmh }) => thin(kmh)),
      residuals: now.residuals.map(({ quick }) => thin(quick)),
      motion: thin(now.motion),
    });
  },

  /** A stretch small enough for a docket. */
  keep: (name: string, from: number, to: number): Promise<KeptStretch | null> =>
    Promise.resolve(study && keepStretch(study.log, name, from, to)),

  /** The events of the wheel at `index`. */
  events: (index: number): Promise<WheelEvents> => {
    const time = study?.log.time;
    return Promise.resolve({
      seconds: (study?.events[index] ?? []).map((event) => time?.[event.peak] ?? 0),
      places: study?.turns[index]?.places ?? [],
    });
  },

  /** A made-up log with a known fault, to learn on. */
  practice: (pattern: LivePattern, wheelEnd: string, seed: number): Promise<string> =>
    Promise.resolve(
      logToCsv(
        generateLog({
          seed,
          drive: pattern === 'once-per-turn' || pattern === 'weak-at-low-speed' ? 'yard' : 'town',
          seconds: 180,
          rateHz: 20,
          faults: pattern === 'normal' ? [] : [{ wheelEnd, pattern, severity: 0.6 }],
        }),
      ),
    ),
};

export type TraceApi = typeof traceApi;
