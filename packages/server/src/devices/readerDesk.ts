import type { DeviceLine, ReaderCodes, ReadingJob } from '@hardy/core/contract';
import { DeviceTrouble, openReader, readAll, type Controller, type Reader } from '@hardy/devices';
import { problem } from '../problem.ts';
import { Conversation } from './conversation.ts';
import type { DeviceFile } from './deviceFile.ts';

type Place = NonNullable<DeviceFile['reader']>;

/** Nothing was read yet. */
export const NO_JOB: ReadingJob = {
  state: 'none',
  docketId: null,
  done: 0,
  of: 0,
  result: null,
  problem: null,
};
/** A stream of speeds ends by itself after so long, ms: somebody forgot it. */
const LIVE_MOST_MS = 30 * 60_000;

const nowOf = (speeds: readonly number[]): string => speeds.map((kmh) => kmh.toFixed(1)).join(' ');

/** The reader: one conversation at a time, each on a connection of its own, so that nothing outlives a pulled cable. */
export class ReaderDesk {
  readonly #place: Place;
  readonly #talk = new Conversation('reader');
  #job: ReadingJob = NO_JOB;
  #stop: AbortController | null = null;
  /** Dockets whose codes were cleared and not read since. */
  readonly #cleared = new Set<string>();

  constructor(place: Place) {
    this.#place = place;
  }
  get job(): ReadingJob {
    return this.#job;
  }
  get line(): DeviceLine {
    return {
      kind: 'reader',
      id: 'reader',
      name: 'Reader',
      at: `${this.#place.host}:${this.#place.port}`,
      state: this.#talk.words.state,
      words: [...this.#talk.words.all],
    };
  }
  /** The controller that knows the wheel speeds. */
  get #brakes(): Controller {
    const { controllers } = this.#place;
    // The file names one at least.
    const [first = { name: 'reader', address: 0 }] = controllers;
    return controllers.find(({ wheelSpeeds }) => wheelSpeeds) ?? first;
  }
  async #open<T>(act: (reader: Reader) => Promise<T>, signal?: AbortSignal): Promise<T> {
    const reader = await openReader(this.#place, undefined, signal);
    try {
      return await act(reader);
    } finally {
      reader.close();
    }
  }
  /** Whether it answers, and what supply it sees. */
  async find(): Promise<void> {
    await this.#talk.with(
      'are you there?',
      () => this.#open((reader) => reader.supply(this.#brakes)),
      (volts) => `here; ${volts.toFixed(1)} V at the ${this.#brakes.name}`,
    );
  }
  /** Begins to read every controller. */
  begin(docketId: string): void {
    if (this.#talk.isBusy) throw problem(409, 'In use', 'the reader is in use just now; stop it first');
    const { controllers } = this.#place;
    const stop = new AbortController();
    this.#stop = stop;
    this.#job = { ...NO_JOB, state: 'reading', docketId, of: controllers.length };
    const wasCleared = this.#cleared.has(docketId);
    const told = ({ codes, read }: ReaderCodes) =>
      `${read.length} of ${controllers.length} controllers, ${codes.length === 1 ? '1 code' : `${codes.length} codes`}`;
    const reading = async (): Promise<ReaderCodes> => {
      const all = await this.#open(
        (reader) =>
          readAll(
            reader,
            controllers,
            (done) => {
              this.#job = { ...this.#job, done };
            },
            stop.signal,
          ),
        stop.signal,
      );
      return { codes: [...all.codes], read: [...all.read], unread: [...all.unread], wasCleared };
    };
    this.#talk
      .with('which codes has each controller?', reading, told)
      .then((result) => {
        // What the brakes did not answer is still to be read.
        if (result.read.includes(this.#brakes.name)) this.#cleared.delete(docketId);
        this.#job = { ...this.#job, state: 'done', result };
      })
      .catch((error: unknown) => {
        this.#job = {
          ...this.#job,
          state: stop.signal.aborted ? 'stopped' : 'failed',
          problem: error instanceof Error ? error.message : 'The reader broke off.',
        };
      });
  }
  stop(): void {
    this.#stop?.abort();
  }
  /** Clears every controller, when everything stands. @throws problem 409 while a wheel turns */
  clear(docketId: string): Promise<{ cleared: string[]; refused: Array<{ name: string; why: string }> }> {
    return this.#talk.with(
      'how fast are the wheels, and if they stand: clear every code',
      () =>
        this.#open(async (reader) => {
          const speeds = await reader.wheelSpeeds(this.#brakes);
          if (speeds.some((kmh) => kmh !== 0))
            throw new DeviceTrouble(
              'refused',
              `Nothing was cleared: the vehicle moves (${nowOf(speeds)} km/h). Stop it first.`,
            );
          const cleared: string[] = [];
          const refused: Array<{ name: string; why: string }> = [];
          for (const controller of this.#place.controllers)
            try {
              await reader.clearCodes(controller);
              cleared.push(controller.name);
            } catch (error) {
              if (!(error instanceof DeviceTrouble) || !['silent', 'refused'].includes(error.kind))
                throw error;
              refused.push({ name: controller.name, why: error.message });
            }
          if (cleared.includes(this.#brakes.name)) this.#cleared.add(docketId);
          return { cleared, refused };
        }),
      ({ cleared, refused }) =>
        `cleared: ${cleared.join(', ') || 'none'}${refused.length > 0 ? `; not: ${refused.map(({ name }) => name).join(', ')}` : ''}`,
    );
  }
  /**
   * Wheel speeds, so many times a second, until `signal` ends it.
   * @param tell gets milliseconds since the first, and km/h of each wheel
   */
  async live(
    hz: number,
    tell: (ms: number, kmh: readonly number[]) => void,
    signal: AbortSignal,
  ): Promise<void> {
    let samples = 0;
    await this.#talk
      .with(
        `wheel speeds, ${hz} times a second`,
        () =>
          this.#open(async (reader) => {
            const began = performance.now();
            let due = began;
            while (!signal.aborted && performance.now() - began < LIVE_MOST_MS) {
              const kmh = await reader.wheelSpeeds(this.#brakes, signal);
              tell(Math.round(performance.now() - began), kmh);
              samples++;
              // Behind by more than a sample it goes on from now: samples are not made up.
              due = Math.max(due + 1000 / hz, performance.now() - 1000 / hz);
              const wait = due - performance.now();
              if (wait > 0) await new Promise((resolve) => setTimeout(resolve, wait));
            }
          }, signal),
        () => `${samples} samples, then it was ended`,
      )
      .catch((error: unknown) => {
        if (!signal.aborted) throw error;
      });
  }
}
