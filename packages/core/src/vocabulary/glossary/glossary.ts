import { LAMP_WORDS } from './lamps.ts';
import { READER_WORDS } from './readers.ts';
import { CODE_WORDS } from './codes.ts';
import { PART_WORDS } from './parts.ts';
import { TOOL_WORDS } from './tools.ts';
import { COUNTER_WORDS } from './words.ts';
import type { GlossaryEntry } from './glossaryEntry.ts';

/** Every word of the trade that is explained. */
export const GLOSSARY: readonly GlossaryEntry[] = [
  ...LAMP_WORDS,
  ...READER_WORDS,
  ...CODE_WORDS,
  ...PART_WORDS,
  ...TOOL_WORDS,
  ...COUNTER_WORDS,
];

/** An entry by a word as it stands on a screen; null where it is no word of the trade. */
export const glossaryOf = (words: string): GlossaryEntry | null => {
  const wanted = words
    .toLowerCase()
    .replace(/[^\p{L}\p{N}\- ]/gu, '')
    .trim();
  if (!wanted) return null;
  const names = (entry: GlossaryEntry) => [entry.term, ...entry.also].map((each) => each.toLowerCase());
  return (
    GLOSSARY.find((entry) => names(entry).includes(wanted)) ??
    // One of several forms: rings, sensors.
    GLOSSARY.find((entry) => names(entry).includes(wanted.replace(/s$/, ''))) ??
    null
  );
};

/** The longest word of the trade in a text around a place in it: `tone ring` before `ring`. */
export const glossaryAt = (text: string, place: number): GlossaryEntry | null => {
  const words = [...text.matchAll(/[\p{L}\p{N}\-\u2019']+/gu)];
  const at = words.findIndex((word) => place >= word.index && place <= word.index + word[0].length);
  if (at < 0) return null;
  for (const length of [4, 3, 2, 1])
    for (let from = Math.max(0, at - length + 1); from <= at; from++) {
      const run = words.slice(from, from + length);
      if (run.length < length) continue;
      const entry = glossaryOf(run.map((word) => word[0]).join(' '));
      if (entry) return entry;
    }
  return null;
};
