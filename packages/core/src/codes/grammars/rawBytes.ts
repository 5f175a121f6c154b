import type { CodeStatus } from '../../vocabulary/words.ts';
import type { Grammar, ParsedCode } from './grammar.ts';
import { standardCode } from './j2012.ts';

const LETTERS = ['P', 'C', 'B', 'U'] as const;

/** Three raw bytes: six hex digits, with or without `0x`. `0x4A3713` is C0A37-13. */
const parse = (text: string): ParsedCode | null => {
  const match = /^(0x)?([0-9A-F]{2})\s?([0-9A-F]{2})\s?([0-9A-F]{2})$/i.exec(text.trim());
  if (!match) return null;
  const first = parseInt(match[2] ?? '', 16);
  const base =
    `${LETTERS[first >> 6]}${(first >> 4) & 3}${(first & 15).toString(16)}${match[3]}`.toUpperCase();
  const failureType = (match[4] ?? '').toUpperCase();
  return standardCode(base, failureType, `${text.trim()} is ${base}-${failureType} as raw bytes`);
};

/** ISO 14229 status of a trouble code: bit 0 failed now, bit 2 pending, bit 3 confirmed. */
const statusOf = (byte: number): CodeStatus =>
  byte & 1 ? 'active' : byte & 8 ? 'stored' : byte & 4 ? 'pending' : 'history';

const scan: Grammar['scan'] = (line, found) => {
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
        parse(text),
        byte === undefined ? undefined : statusOf(parseInt(byte, 16)),
      );
  }
};

/** A standard code as the three bytes it is sent in. */
export const rawBytes: Grammar = { name: 'raw bytes', parse, scan };
