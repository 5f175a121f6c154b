import type { Chip } from '../vocabulary/intakeReading.ts';
import type { SourceText } from './sourceText.ts';

/** Words that carry nothing by themselves; they are not shown as left over. */
const SMALL_WORDS = new Set(
  'a an the and or but of on at in to is it its it\u2019s i we he she they my his her our their for with from by that this these those there was were has have had be been am are so as up now then just says said thinks think reckon reckons customer light lamp warning please wants want need needs says abs wheel speed sensor code codes fault faults hi hello thanks again still also out side corner one ones not no yes when after before me us him fitted done make model vin year vehicle status description stopping took cleared only new front rear left right everywhere both all you your who what how why does do did got get some any about over where which while than too very can could would will im ive mate boss stored active history passive pending inactive present reads read reading shows measured metered measures checked came going'.split(
    ' ',
  ),
);

const NOT_WORTH = /^[^\p{L}\d]+$/u;

/** Runs of words no reader understood, each a chip at its place. */
export const leftOverChips = (source: SourceText, text: string): Chip[] => {
  const chips: Chip[] = [];
  let run: { start: number; end: number } | null = null;
  const close = () => {
    if (run) {
      const words = text.slice(run.start, run.end);
      if (!NOT_WORTH.test(words)) chips.push({ kind: 'left-over', label: words, words, ...run, note: null });
    }
    run = null;
  };
  source.tokens.forEach((token, i) => {
    const noise =
      token.kind !== 'word' ||
      source.taken(i) ||
      SMALL_WORDS.has(token.norm) ||
      (token.norm.length < 2 && !/\d/.test(token.norm));
    if (noise) return close();
    run = run ? { start: run.start, end: token.end } : { start: token.start, end: token.end };
  });
  close();
  return chips;
};
