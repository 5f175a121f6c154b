import type { CodeStatus } from '../../vocabulary/words.ts';
import { flash } from './flash.ts';
import type { Found, Grammar, ParsedCode } from './grammar.ts';
import { j2012 } from './j2012.ts';
import { maker } from './maker.ts';
import { rawBytes } from './rawBytes.ts';
import { spn } from './spn.ts';

/** Every way to write a code, likeliest first: what one of them took is no other's. */
const GRAMMARS: readonly Grammar[] = [spn, j2012, rawBytes, flash, maker];

/** Every grammar a code is valid in, likeliest first. */
export const parseCode = (text: string): ParsedCode[] =>
  GRAMMARS.flatMap((grammar) => grammar.parse(text) ?? []);

/** A code found in a line, with where it stands. */
export interface FoundCode {
  readonly parsed: ParsedCode;
  /** Told by a status byte behind the code. */
  readonly status?: CodeStatus;
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

/** Finds every code in one line, from left to right, the more exact grammar first. */
export const scanCodes = (line: string, known: (code: string) => boolean): FoundCode[] => {
  const out: FoundCode[] = [];
  const found: Found = (start, end, parsed, status) => {
    if (parsed && !out.some((code) => start < code.end && end > code.start))
      out.push({ parsed, text: line.slice(start, end), start, end, ...(status ? { status } : {}) });
  };
  for (const grammar of GRAMMARS) grammar.scan(line, found, known);
  return out.sort((a, b) => a.start - b.start);
};
