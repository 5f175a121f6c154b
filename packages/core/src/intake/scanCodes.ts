import {
  isKnownFailureMode,
  isKnownFailureType,
  parseJ2012,
  parseRawBytes,
  parseSpn,
  type ParsedCode,
} from '../codes/grammars.ts';

import type { CodeStatus } from '../vocabulary/words.ts';

/** A code found in a line, with where it stands. */
export interface FoundCode {
  readonly parsed: ParsedCode;
  /** Told by a status byte behind the code. */
  readonly status?: CodeStatus;
  readonly text: string;
  readonly start: number;
  readonly end: number;
}

type Scanner = (
  line: string,
  found: (start: number, end: number, parsed: ParsedCode | null, status?: CodeStatus) => void,
) => void;

/** ISO 14229 status of a trouble code: bit 0 failed now, bit 2 pending, bit 3 confirmed. */
const statusOf = (byte: number): CodeStatus =>
  byte & 1 ? 'active' : byte & 8 ? 'stored' : byte & 4 ? 'pending' : 'history';

const J2012 =
  /(?<![\p{L}\d])([PCBU])[ ]?([0-3OIL][ ]?[0-9A-FOIL]{3})(?:([ ]?[-:\u2013][ ]?|[ ]|)([0-9A-FOIL]{2}))?(?![\p{L}\d])/giu;

const j2012: Scanner = (line, found) => {
  for (const match of line.matchAll(J2012)) {
    const [whole, letter = '', four = '', joint, type] = match;
    const spaced = /\s/.test(letter + whole.slice(0, 3)) || /\s/.test(four);
    if (spaced && letter !== letter.toUpperCase()) continue;
    const loose = joint === ' ' && type !== undefined;
    const next = line.slice(match.index + whole.length).trimStart();
    const isType =
      type !== undefined &&
      isKnownFailureType(type.toUpperCase()) &&
      !/^(km|mph|m|v|volt|ohm|%|times|x|days?|weeks?|years?)\b/i.test(next);
    if (loose && !isType) {
      const short = letter + four;
      found(match.index, match.index + whole.length - 1 - type.length, parseJ2012(short));
    } else found(match.index, match.index + whole.length, parseJ2012(whole));
  }
};

const spn: Scanner = (line, found) => {
  for (const match of line.matchAll(
    /(?<![\p{L}\d])SPN[\s:#.=-]*\d{1,6}(?:[\s,;/.-]*FMI[\s:#.=-]*\d{1,2})?(?![\p{L}\d])/giu,
  ))
    found(match.index, match.index + match[0].length, parseSpn(match[0]));
  for (const match of line.matchAll(/(?<![\p{L}\d])s\s?\d{3,6}[\s,;/-]*f\s?\d{1,2}(?![\p{L}\d])/giu))
    found(match.index, match.index + match[0].length, parseSpn(match[0]));
  for (const match of line.matchAll(/(?<![\p{L}\d/.,-])(\d{3})\s?\/\s?(\d{1,2})(?![\p{L}\d/])/gu)) {
    const wheel = Number(match[1]) >= 789 && Number(match[1]) <= 797;
    if (wheel && isKnownFailureMode(Number(match[2])))
      found(match.index, match.index + match[0].length, parseSpn(match[0]));
  }
};

const rawBytes: Scanner = (line, found) => {
  for (const match of line.matchAll(
    /(?<![\p{L}\d])(?<bytes>0x[0-9A-F]{6}|[0-9A-F]{6}|[0-9A-F]{2} [0-9A-F]{2} [0-9A-F]{2})(?:[ :/-](?<status>[0-9A-F]{2}))?(?![\p{L}\d])/giu,
  )) {
    const text = match.groups?.bytes ?? '';
    const byte = match.groups?.status;
    const digits = (text.match(/\d/g) ?? []).length;
    const letters = (text.match(/[A-F]/gi) ?? []).length;
    if (/^0x/i.test(text) || (digits >= 2 && letters >= 1 && /^[4-7C-F]/i.test(text)))
      found(
        match.index,
        match.index + match[0].length,
        parseRawBytes(text),
        byte === undefined ? undefined : statusOf(parseInt(byte, 16)),
      );
  }
};

/** Flash codes, one or several behind one word: `flashes 2-1 then 3-4`. */
const flash: Scanner = (line, found) => {
  for (const match of line.matchAll(
    /(?:flash(?:es|ed|ing)?|blink(?:s|ed|ing)?|flash codes?|blink codes?)\D{0,12}(?<list>[1-9]\s?[-,]\s?[1-9](?:\s*(?:,|and|then|&|\+)+\s*[1-9]\s?-\s?[1-9])*)(?![\p{L}\d])/giu,
  )) {
    const list = match.groups?.list ?? '';
    const start = match.index + match[0].length - list.length;
    for (const one of list.matchAll(/([1-9])\s?[-,]\s?([1-9])/g))
      found(start + one.index, start + one.index + one[0].length, {
        grammar: 'flash',
        code: `${one[1]}-${one[2]}`,
        corrected: null,
      });
  }
};

/** A maker's number counts in running text when a dictionary has it and a word such as "code" or a module stands by. */
const maker =
  (known: (code: string) => boolean): Scanner =>
  (line, found) => {
    for (const match of line.matchAll(/(?<![\p{L}\d.,/-])([0-9A-F]{2,5})(?![\p{L}\d]|[.,/-]\d)/giu)) {
      const text = match[0];
      if ((text.match(/\d/g) ?? []).length < 2) continue;
      const before = line.slice(Math.max(0, match.index - 40), match.index);
      const after = line.slice(match.index + text.length);
      const introduced =
        /(?:code|codes|dtc|fault|error|fault no\.?|fault number|code no\.?|code number)\s*[:#]?\s*$/i.test(
          before,
        );
      const described =
        /(?:number|no\.?|nr\.?)\s*$/i.test(before) &&
        /^\s+.{0,30}(?:wheel speed|speed sensor|abs sensor|wheel sensor)/i.test(after);
      if (text.length === 2 && !(introduced && /^\d\d$/.test(text))) continue;
      const leads =
        before.trim() === '' && /^\s*[-:;,\t|\u2013]|^\s+[A-Za-z]/.test(after) && after.trim().length > 3;
      if (/^(?:19|20)\d\d$/.test(text) && !introduced) continue;
      if (/^\s*(ohm|ohms|km|miles|mph|v|volts?|rpm|days?|weeks?|%)/i.test(after)) continue;
      if (
        introduced ||
        described ||
        (leads && known(text.toUpperCase())) ||
        (known(text.toUpperCase()) && /[:;|\t]/.test(line))
      )
        found(match.index, match.index + text.length, {
          grammar: 'maker',
          code: text.toUpperCase(),
          corrected: null,
        });
    }
  };

/** Finds every code in one line, from left to right, the more exact grammar first. */
export const scanCodes = (line: string, known: (code: string) => boolean): FoundCode[] => {
  const out: FoundCode[] = [];
  const found = (start: number, end: number, parsed: ParsedCode | null, status?: CodeStatus): void => {
    if (parsed && !out.some((code) => start < code.end && end > code.start))
      out.push({ parsed, text: line.slice(start, end), start, end, ...(status ? { status } : {}) });
  };
  for (const scan of [spn, j2012, rawBytes, flash, maker(known)]) scan(line, found);
  return out.sort((a, b) => a.start - b.start);
};
