import type { Advice, Docket, IntakeReading, Side, WheelEnd } from '@hardy/core/words';
import type { Knowledge } from '@hardy/core/advising';
import { create } from 'zustand';
import { call } from '../api/client.ts';
import { keepDraft, readDraft } from '../desk/useDraft.ts';
import { latestAdvice } from './latestAdvice.ts';

/** What the words are read with: the docket they are added to, and its vehicle's sides. */
export interface CounterContext {
  steeringSide?: Side | null;
  axles?: number | null;
  docketId?: string | null;
}

/** The answer a docket of these words would get, worked out while one types. */
export interface Preview {
  /** The text it is the answer to. */
  text: string;
  advice: Advice;
  /** Where each fact of the reading stands on the docket the answer is for, by its path in the reading. */
  paths: Readonly<Record<string, string>>;
}

/** What stands in a line. */
interface LineWords {
  readonly text: string;
  readonly moves: Readonly<Record<string, WheelEnd | null>>;
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
  /** The words were taken over: what was typed after them stays. */
  taken: (words: string) => void;
  /** A line came on the screen: that of a docket by its id, or of the counter (empty). Its own words come back to it. */
  arrive: (line: string) => void;
  /** It leaves; `goOn`: what stands in it is for the line that comes next, else it waits for this one. */
  depart: (goOn: boolean) => void;
  /** Adds what was typed while no field had the focus. */
  append: (characters: string) => void;
}

/** The docket may have had facts before these words, and some of them already: each is looked for by what it says. */
const pathsOn = (docket: Docket, reading: IntakeReading): Record<string, string> =>
  Object.fromEntries(
    (['checks', 'codes', 'history', 'symptoms'] as const).flatMap((list) => {
      const held = (docket[list] ?? []).map((fact) => JSON.stringify(fact));
      return reading[list].map((fact, i) => [
        `${list}[${i}]`,
        `${list}[${held.lastIndexOf(JSON.stringify(fact))}]`,
      ]);
    }),
  );

let pending: AbortController | null = null;
let held: { readonly tag: string; readonly knowledge: Knowledge } | null = null;

/** Words of lines that are not on the screen, by line; they outlive a reload of the page. */
const LINES = 'lines';
const waitingLines = (): Record<string, LineWords> => readDraft<Record<string, LineWords>>(LINES) ?? {};

const EMPTY = { text: '', reading: null, preview: null, error: null, moves: {} };

/** What stands in the counter line, and how it was read. It outlives a change of screen: nothing typed is lost. */
export const useCounter = create<Counter>((set, get) => {
  /** What the line last said it is about. */
  let context: CounterContext = {};
  /** Which line is on the screen; null while none is. */
  let line: string | null = null;
  const keep = ({ text, moves }: LineWords): void => {
    if (line === null) return;
    const { [line]: _, ...others } = waitingLines();
    keepDraft(LINES, text.trim() ? { ...others, [line]: { text, moves } } : others);
  };
  const read = (text: string, about: CounterContext): void => {
    pending?.abort();
    if (!text.trim()) return;
    const mine = new AbortController();
    pending = mine;
    const isCurrent = () => !mine.signal.aborted && get().text === text;
    const answer = async () => {
      const { reading, docket, tag, knowledge } = await call('POST /preview', {
        body: { text, moves: { ...get().moves }, have: held?.tag ?? null, ...about },
        signal: mine.signal,
      });
      if (knowledge) held = { tag, knowledge };
      if (!isCurrent()) return;
      set({ reading, error: null });
      if (held?.tag !== tag) return;
      const advice = await latestAdvice(docket, held.knowledge);
      if (advice && isCurrent()) {
        performance.clearMarks('answer');
        performance.mark('answer');
        set({
          preview: {
            text,
            advice,
            paths: pathsOn(docket, reading),
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
    type(text, said = context) {
      context = said;
      set({ text, ...(text.trim() ? {} : { reading: null, preview: null, error: null, moves: {} }) });
      keep(get());
      read(text, context);
    },
    move(key, wheelEnd, said = context) {
      context = said;
      set({ moves: { ...get().moves, [key]: wheelEnd } });
      keep(get());
      read(get().text, context);
    },
    fail: (message) => set({ error: message }),
    taken(words) {
      pending?.abort();
      const { text } = get();
      set(EMPTY);
      keep(EMPTY);
      const rest = text.startsWith(words) ? text.slice(words.length).replace(/^\n/, '') : text;
      if (rest.trim()) get().type(rest, context);
    },
    arrive(next) {
      line = next;
      context = next ? { docketId: next } : {};
      const own = waitingLines()[next] ?? EMPTY;
      const { text, moves } = get();
      set({ ...EMPTY, text: own.text + text, moves: { ...own.moves, ...moves } });
      keep(get());
    },
    depart(goOn) {
      if (goOn) keep(EMPTY);
      else {
        pending?.abort();
        set(EMPTY);
      }
      line = null;
    },
    append(characters) {
      get().type(get().text + characters, context);
    },
  };
});
