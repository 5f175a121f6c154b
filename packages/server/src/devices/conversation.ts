import { DeviceTrouble } from '@hardy/devices';
import { problem } from '../problem.ts';
import { LastWords } from './lastWords.ts';

const STATUS: Readonly<Record<DeviceTrouble['kind'], number>> = {
  unreachable: 503,
  silent: 504,
  gone: 503,
  garbage: 502,
  refused: 409,
  stopped: 409,
};

/** Trouble of a device as the API tells it. */
const troubleAsProblem = (error: unknown): unknown =>
  error instanceof DeviceTrouble ? problem(STATUS[error.kind], 'Device', error.message) : error;

/** How soon it is looked again whether a device is free, in milliseconds. */
const FREE_AGAIN_MS = 25;

/**
 * Talks with one device at a time: a second who asks meanwhile is told. What is said and answered is kept for the screen.
 */
export class Conversation {
  readonly words = new LastWords();
  #busy = false;
  #waiting: Promise<unknown> = Promise.resolve();
  readonly #name: string;
  constructor(name: string) {
    this.#name = name;
  }
  get isBusy(): boolean {
    return this.#busy;
  }
  /**
   * The same for what must be said: it waits until the device is free, in the order of arrival. A device ends every
   * conversation in its own time, so the wait ends too.
   * @throws what the device itself refuses, as problems
   */
  afterOthers<T>(asked: string, act: () => Promise<T>, answered: (result: T) => string): Promise<T> {
    const done = this.#waiting.then(async () => {
      // Somebody who does not wait may have begun in between.
      while (this.#busy) await new Promise((go) => setTimeout(go, FREE_AGAIN_MS));
      return this.with(asked, act, answered);
    });
    this.#waiting = done.catch(() => undefined);
    return done;
  }
  /** @throws problem 409 while it is in use, and what the device itself refuses, as problems */
  async with<T>(asked: string, act: () => Promise<T>, answered: (result: T) => string): Promise<T> {
    if (this.#busy)
      throw problem(409, 'In use', `the ${this.#name} is in use just now; wait until it is done, or stop it`);
    this.#busy = true;
    this.words.state = 'busy';
    this.words.say('we', asked);
    try {
      const result = await act();
      this.words.state = 'answers';
      this.words.say('it', answered(result));
      return result;
    } catch (error) {
      // A device that refuses or was stopped is there all the same.
      const isThere = error instanceof DeviceTrouble && ['refused', 'stopped'].includes(error.kind);
      this.words.state = isThere ? 'answers' : 'trouble';
      this.words.say('trouble', error instanceof Error ? error.message : 'it broke');
      throw troubleAsProblem(error);
    } finally {
      this.#busy = false;
    }
  }
}
