import { dictatedPunctuation } from './dictatedPunctuation.ts';
import { dittoMarks } from './dittoMarks.ts';
import { homophones } from './homophones.ts';
import type { Rewrite, Rewriter } from './rewriter.ts';
import { spelledCodes } from './spelledCodes.ts';
import { spokenNumbers } from './spokenNumbers.ts';
import { spokenTyres } from './spokenTyres.ts';

/** A text in written form, with the way back to the text as it was given. */
export interface WrittenForm {
  readonly text: string;
  /** Returns the span of the given text that a span of the written text came from. */
  readonly given: (start: number, end: number) => { start: number; end: number };
}

/** What is typed or dictated is shorter, characters; a longer text is a report, which nobody spells out. */
const LONGEST = 20_000;

/** In this order: a code spelled out is no number, and numbers need their units in written form. */
const REWRITERS: readonly Rewriter[] = [
  dictatedPunctuation,
  homophones,
  dittoMarks,
  spelledCodes,
  spokenTyres,
  spokenNumbers,
];

/** Where each character of a text begins and ends in the text as given; null: where it stands. */
interface Origin {
  readonly starts: Int32Array;
  readonly ends: Int32Array;
}

const rewritten = (text: string, origin: Origin | null, rewrites: readonly Rewrite[]): [string, Origin] => {
  const before = {
    start: (at: number) => origin?.starts[at] ?? at,
    end: (at: number) => origin?.ends[at] ?? at + 1,
  };
  let out = '';
  const starts: number[] = [];
  const ends: number[] = [];
  const keep = (from: number, to: number) => {
    out += text.slice(from, to);
    for (let at = from; at < to; at++) {
      starts.push(before.start(at));
      ends.push(before.end(at));
    }
  };
  let done = 0;
  for (const { start, end, written } of rewrites) {
    keep(done, start);
    out += written;
    for (const _ of written) {
      starts.push(before.start(start));
      ends.push(before.end(Math.max(start, end - 1)));
    }
    done = end;
  }
  keep(done, text.length);
  return [out, { starts: Int32Array.from(starts), ends: Int32Array.from(ends) }];
};

/**
 * Writes what was dictated, spelled out or misheard by a phone as it is usually written: "c zero zero three one comma tone
 * wring" is "C0031, tone ring". What is already written that way stays, character by character.
 */
export const writtenForm = (given: string): WrittenForm => {
  let text = given;
  let origin: Origin | null = null;
  if (given.length <= LONGEST)
    for (const rewriter of REWRITERS) {
      const rewrites = rewriter(text);
      if (rewrites.length > 0) [text, origin] = rewritten(text, origin, rewrites);
    }
  const found = origin;
  return {
    text,
    given: (start, end) =>
      found === null || end <= start
        ? { start, end }
        : { start: found.starts[start] ?? start, end: found.ends[end - 1] ?? end },
  };
};
