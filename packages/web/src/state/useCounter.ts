import type { Advice, Docket, IntakeReading, WheelEnd } from '@hardy/core/plain';
import type { Knowledge } from '@hardy/core/reasoning';
import { create } from 'zustand';
import { call } from '../api/client.ts';
import { latestAdvice } from './latestAdvice.ts';

/** What the words are read with: the docket they are added to, and its vehicle's sides. */
export interface CounterContext {
  steeringSide?: string | null;
  axles?: number | null;
  docketId?: string | null;
}

/** The answer a docket of these words would get, worked out while one types. */
export interface Preview {
  /** The text it is the answer to. */
  text: string;
  advice: Advice;
  /** How many checks, codes and so on the docket had before these words. */
  before: {
    readonly checks: number;
    readonly codes: number;
    readonly history: number;
    readonly symptoms: number;
  };
}

interface Counter {
  text: string;
  reading: IntakeReading | null;
  preview: Preview | null;
  error: string | null;
  /** Chips moved to another wheel by hand, by the chip's key; they outlive typing elsewhere in the line. */
  moves: Readonly<Record<string, WheelEnd | null>>;
  /** Takes the text and has it read; a newer text makes an older reading moot. */
  type: (text: string, context?: CounterContext) => void;
  /** Moves a chip to another wheel, or takes its wheel away. */
  move: (key: string, wheelEnd: WheelEnd | null, context?: CounterContext) => void;
  /** Says what could not be taken; what was typed stays. */
  fail: (message: string) => void;
  clear: () => void;
}

interface PreviewAnswer {
  reading: IntakeReading;
  docket: Docket;
  tag: string;
  knowledge: Knowledge | null;
}

let pending: AbortController | null = null;
let held: { readonly tag: string; readonly knowledge: Knowledge } | null = null;

const EMPTY = { text: '', reading: null, preview: null, error: null, moves: {} };

/** What stands in the counter line, and how it was read. It outlives a change of screen: nothing typed is lost. */
export const useCounter = create<Counter>((set, get) => {
  const read = (text: string, context: CounterContext): void => {
    pending?.abort();
    if (!text.trim()) return;
    const mine = new AbortController();
    pending = mine;
    const isCurrent = () => !mine.signal.aborted && get().text === text;
    const answer = async () => {
      const { reading, docket, tag, knowledge } = await call<PreviewAnswer>('/preview', {
        method: 'POST',
        body: { text, moves: get().moves, have: held?.tag ?? null, ...context },
        signal: mine.signal,
      });
      if (knowledge) held = { tag, knowledge };
      if (!isCurrent()) return;
      set({ reading, error: null });
      if (held?.tag !== tag) return;
      const advice = await latestAdvice(docket, held.knowledge);
      const count = (list: readonly unknown[] | null | undefined, own: number) => (list ?? []).length - own;
      if (advice && isCurrent()) {
        performance.clearMarks('answer');
        performance.mark('answer');
        set({
          preview: {
            text,
            advice,
            before: {
              checks: count(docket.checks, reading.checks.length),
              codes: count(docket.codes, reading.codes.length),
              history: count(docket.history, reading.history.length),
              symptoms: count(docket.symptoms, reading.symptoms.length),
            },
          },
        });
      }
    };
    answer().catch((error: unknown) => {
      if (error instanceof DOMException) return;
      set({ error: error instanceof Error ? error.message : String(error) });
    });
  };
  return {
    ...EMPTY,
    type(text, context = {}) {
      set({ text, ...(text.trim() ? {} : { reading: null, preview: null, error: null, moves: {} }) });
      read(text, context);
    },
    move(key, wheelEnd, context = {}) {
      set({ moves: { ...get().moves, [key]: wheelEnd } });
      read(get().text, context);
    },
    fail: (message) => set({ error: message }),
    clear() {
      pending?.abort();
      set(EMPTY);
    },
  };
});
