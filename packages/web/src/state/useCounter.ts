import type { IntakeReading } from '@hardy/core/plain';
import { create } from 'zustand';
import { call } from '../api/client.ts';

interface Counter {
  text: string;
  reading: IntakeReading | null;
  error: string | null;
  /** Takes the text and has it read; a newer text makes an older reading moot. */
  type: (text: string, context?: { steeringSide?: string | null; axles?: number | null }) => void;
  /** Says what could not be taken; what was typed stays. */
  fail: (message: string) => void;
  clear: () => void;
}

let pending: AbortController | null = null;

/** What stands in the counter line, and how it was read. It outlives a change of screen: nothing typed is lost. */
export const useCounter = create<Counter>((set, get) => ({
  text: '',
  reading: null,
  error: null,
  type(text, context = {}) {
    pending?.abort();
    set({ text, ...(text.trim() ? {} : { reading: null, error: null }) });
    if (!text.trim()) return;
    const mine = new AbortController();
    pending = mine;
    call<IntakeReading>('/intake', { method: 'POST', body: { text, ...context }, signal: mine.signal })
      .then((reading) => {
        if (get().text === text) set({ reading, error: null });
      })
      .catch((error: unknown) => {
        if (error instanceof DOMException) return;
        set({ error: error instanceof Error ? error.message : String(error) });
      });
  },
  fail: (message) => set({ error: message }),
  clear() {
    pending?.abort();
    set({ text: '', reading: null, error: null });
  },
}));
