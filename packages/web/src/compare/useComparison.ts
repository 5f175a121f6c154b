import type { Comparison, Docket, Sensitivity } from '@hardy/core/words';
import type { Turned } from '@hardy/core/advising';
import { useEffect, useRef, useState } from 'react';
import { call, problemInWords } from '../api/client.ts';
import type { DocketView } from '@hardy/core/contract';
import { startThread, ThreadGone, type Thread } from '../state/thread.ts';
import type { CompareWorkerApi } from './compareWorker.ts';

export interface ComparisonState {
  readonly comparison: Comparison | null;
  /** How the answer hangs on each dial; comes a moment after the comparison. */
  readonly sensitivities: readonly Sensitivity[];
  readonly turned: Turned;
  readonly error: string | null;
  /** Whether a corner is known, so that there is something to compare. */
  readonly nothing: boolean;
  readonly turn: (turned: Turned) => void;
  readonly setOn: (docket: Docket) => Promise<Docket>;
}

/** The dials rest this long before what takes longer is worked out. */
const REST_MS = 250;

/** Compares the ways of a docket in a thread of this page: at once when a dial moves, in full when it rests. */
export const useComparison = (view: DocketView | null): ComparisonState => {
  const [comparison, setComparison] = useState<Comparison | null>(null);
  const [sensitivities, setSensitivities] = useState<readonly Sensitivity[]>([]);
  const [turned, setTurned] = useState<Turned>({});
  const [error, setError] = useState<string | null>(null);
  const [nothing, setNothing] = useState(false);
  const [laid, setLaid] = useState<string | null>(null);
  const worker = useRef<Thread<CompareWorkerApi> | null>(null);
  const running = useRef(false);
  const waiting = useRef<Turned | null>(null);
  /** The dials that the comparison shown is a full one of. */
  const fullFor = useRef<Turned | null>(null);

  useEffect(() => {
    try {
      worker.current = startThread<CompareWorkerApi>(
        () => new Worker(new URL('./compareWorker.ts', import.meta.url), { type: 'module' }),
      );
    } catch {
      // Without a thread the server compares; the dials stand still.
    }
    return () => {
      worker.current?.end();
      worker.current = null;
    };
  }, []);

  const byServer = async (id: string, isCurrent: () => boolean) => {
    worker.current = null;
    try {
      const whole = await call('GET /dockets/:id/compare', { params: { id } });
      if (!isCurrent()) return;
      setComparison(whole);
      setError('The dials stand still: a part of this page that reckons did not start. Load the page anew.');
    } catch (problem) {
      if (isCurrent()) setError(problemInWords(problem));
    }
  };

  const docketId = view?.id ?? null;
  const version = view?.version ?? 0;
  const docket = view?.docket ?? null;
  useEffect(() => {
    if (!docketId || !docket) return;
    let current = true;
    void (async () => {
      try {
        const knowledge = await call('GET /dockets/:id/knowledge', { params: { id: docketId } });
        const thread = worker.current;
        if (!current) return;
        if (!thread) throw new ThreadGone();
        const { api, ask } = thread;
        await ask(api.lay(docket, knowledge));
        const first = await ask(api.compare({}, true));
        if (!current) return;
        const start: Turned = {};
        fullFor.current = start;
        setTurned(start);
        setComparison(first);
        setNothing(first === null);
        setError(null);
        setLaid(`${docketId} ${version}`);
      } catch (problem) {
        if (current && problem instanceof ThreadGone) await byServer(docketId, () => current);
        else if (current) setError(problemInWords(problem));
      }
    })();
    return () => {
      current = false;
    };
    // The document changes with its version only.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [docketId, version]);

  useEffect(() => {
    const bench = worker.current;
    if (!laid || !bench) return;
    let current = true;
    const timer = setTimeout(() => {
      void (async () => {
        try {
          if (fullFor.current !== turned) {
            const full = await bench.ask(bench.api.compare(turned, true));
            if (current && full) setComparison(full);
          }
          const hangs = await bench.ask(bench.api.sensitivities(turned));
          if (current) setSensitivities(hangs);
        } catch (problem) {
          if (current) setError(problemInWords(problem));
        }
      })();
    }, REST_MS);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [laid, turned]);

  const run = async (wanted: Turned): Promise<void> => {
    const bench = worker.current;
    if (!bench) return;
    if (running.current) {
      // Only where the dial is now matters, not where it was on the way.
      waiting.current = wanted;
      return;
    }
    running.current = true;
    try {
      const quick = await bench.ask(bench.api.compare(wanted, false));
      if (quick) setComparison((old) => ({ ...quick, schools: old?.schools ?? quick.schools }));
    } catch (problem) {
      setError(problemInWords(problem));
    } finally {
      running.current = false;
      const next = waiting.current;
      waiting.current = null;
      if (next) void run(next);
    }
  };

  return {
    comparison,
    sensitivities,
    turned,
    error,
    nothing,
    turn: (next) => {
      setTurned(next);
      void run(next);
    },
    setOn: async (on) =>
      worker.current ? await worker.current.ask(worker.current.api.setOn(on, turned)) : on,
  };
};
