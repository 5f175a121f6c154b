import type { LivePattern, TraceReading } from '@hardy/core/words';
import type { LogMapping, MappingGuess } from '@hardy/core/logs';
import { proxy } from 'comlink';
import { create } from 'zustand';
import { hereInstead, startThread, ThreadGone, type Thread } from '../state/thread.ts';
import type { LogProblem, TraceApi } from './traceApi.ts';

interface TraceState {
  file: File | null;
  reading: TraceReading | null;
  /** The columns the reading was made by; null where they were plain from the headings. */
  mapping: LogMapping | null;
  /** Columns to be confirmed by a person. */
  guess: MappingGuess | null;
  progress: number | null;
  error: string | null;
  /** Rolling circumference in metres given by a person or a tyre size, else searched. */
  circumference: number | null;
  worker: Thread<TraceApi>['api'] | null;
  /** No thread can be had on this computer: the page studies the log itself, and stands still meanwhile. */
  alone: boolean;
  open: (file: File) => Promise<void>;
  study: (mapping: LogMapping | null) => Promise<void>;
  practice: (pattern: LivePattern, wheelEnd: string) => Promise<void>;
  setCircumference: (metres: number | null) => void;
  chooseColumns: () => Promise<void>;
  cancel: () => void;
  dismiss: () => void;
  /** Says what could not be done with the finding; the log stays. */
  fail: (message: string) => void;
}

const isProblem = (answer: object): answer is LogProblem => 'problem' in answer;

/** Mappings a person confirmed are remembered by the headings they were for. */
const keyOf = (guess: MappingGuess): string => `columns of ${guess.headings.join('|')}`;
const remembered = (guess: MappingGuess): LogMapping | null => {
  try {
    const kept = localStorage.getItem(keyOf(guess));
    return kept ? (JSON.parse(kept) as LogMapping) : null;
  } catch {
    return null;
  }
};
const remember = (guess: MappingGuess, mapping: LogMapping): void => {
  try {
    localStorage.setItem(keyOf(guess), JSON.stringify(mapping));
  } catch {
    // A full or forbidden store only means being asked again.
  }
};

let thread: Thread<TraceApi> | null = null;
/** Whether a thread ever answered: one that did and then died fell over the log, and the page would too. */
let answered = false;
let seed = 1;
/** Counts what was begun and what was stopped: an answer to an older question is not taken. */
let run = 0;

/**
 * The wheel-speed log on the bench. The study runs in a thread of its own; cancelling ends that thread. Where none starts
 * the page does it: the log need not leave the computer.
 */
export const useTrace = create<TraceState>((set, get) => {
  const start = (): Thread<TraceApi> => {
    thread ??= startThread<TraceApi>(
      () => new Worker(new URL('./traceWorker.ts', import.meta.url), { type: 'module' }),
    );
    // A proxy answers to any name, `then` too: it must never be returned from an async function.
    set({ worker: thread.api });
    return thread;
  };
  const asked = async <A>(question: (api: Thread<TraceApi>['api']) => A): Promise<Awaited<A>> => {
    try {
      const { api, ask } = start();
      const answer = await ask(question(api));
      answered ||= !get().alone;
      return answer;
    } catch (error) {
      if (!(error instanceof ThreadGone) || answered) throw error;
      const { traceApi } = await import('./traceApi.ts');
      thread = hereInstead(traceApi);
      set({ alone: true, worker: thread.api });
      return thread.ask(question(thread.api));
    }
  };
  const failed = (error: unknown) => {
    if (error instanceof ThreadGone) {
      thread = null;
      set({ worker: null });
    }
    set({ progress: null, error: error instanceof Error ? error.message : String(error) });
  };
  return {
    file: null,
    reading: null,
    mapping: null,
    guess: null,
    progress: null,
    error: null,
    circumference: null,
    worker: null,
    alone: false,
    async open(file) {
      get().cancel();
      set({ file, reading: null, mapping: null, guess: null, error: null });
      try {
        const guess = await asked((api) => api.preview(file));
        if (get().file !== file) return;
        if (isProblem(guess)) set({ error: guess.problem });
        else {
          const known = remembered(guess);
          if (guess.missing.length === 0 || known) await get().study(known);
          else set({ guess });
        }
      } catch (error) {
        failed(error);
      }
    },
    async study(mapping) {
      const { file, circumference, guess } = get();
      if (!file) return;
      if (guess && mapping) remember(guess, mapping);
      set({ progress: 0, error: null, guess: null, mapping });
      const mine = ++run;
      try {
        const answer = await asked((api) =>
          api.study(
            file,
            mapping,
            circumference,
            proxy((part: number) => {
              // The last of them may come after the answer.
              if (mine === run && get().progress !== null) set({ progress: part });
              // A thread is ended from outside; the page itself can only be stopped from within.
              if (mine !== run && get().alone) throw new Error('stopped');
            }),
          ),
        );
        if (mine !== run) return;
        if (isProblem(answer)) set({ progress: null, error: answer.problem });
        else set({ progress: null, reading: answer });
      } catch (error) {
        if (mine === run) failed(error);
      }
    },
    async practice(pattern, wheelEnd) {
      seed++;
      try {
        const csv = await asked((api) => api.practice(pattern, wheelEnd, seed));
        await get().open(new File([csv], 'practice log.csv', { type: 'text/csv' }));
      } catch (error) {
        failed(error);
      }
    },
    setCircumference(circumference) {
      set({ circumference });
      // The columns a person chose stand: another circumference changes nothing about them.
      if (get().reading) void get().study(get().mapping);
    },
    async chooseColumns() {
      const { file } = get();
      if (!file) return;
      try {
        const guess = await asked((api) => api.preview(file));
        if (isProblem(guess)) set({ error: guess.problem });
        else set({ guess });
      } catch (error) {
        failed(error);
      }
    },
    cancel() {
      if (get().progress === null) return;
      run++;
      if (!get().alone) {
        thread?.end();
        thread = null;
      }
      set({ worker: thread?.api ?? null, progress: null });
    },
    dismiss: () => set({ guess: null, error: null }),
    fail: (error) => set({ error }),
  };
});
