import { call } from '../api/client.ts';

/** How often a server that is away is asked for, in milliseconds. */
const ASKS_MS = 2000;

let waiting: Array<() => void> = [];
let timer: ReturnType<typeof setTimeout> | null = null;

const ask = async (): Promise<void> => {
  timer = null;
  try {
    await call('GET /health');
    const all = waiting;
    waiting = [];
    all.forEach((then) => then());
  } catch {
    timer = setTimeout(() => void ask(), ASKS_MS);
  }
};

/** Calls back once when the server answers again. */
export const whenServerIsBack = (then: () => void): void => {
  waiting.push(then);
  timer ??= setTimeout(() => void ask(), ASKS_MS);
};
