import { FAILURE_TYPES } from '../codeMeaning.ts';
import { digitsIn, type Grammar, type ParsedCode } from './grammar.ts';

const forgive = (text: string): string => text.toUpperCase().replace(/O/g, '0').replace(/[IL]/g, '1');
const correctedNote = (from: string, to: string): string | null =>
  from.toUpperCase() === to ? null : `${from} read as ${to}`;

/** Lost or invalid messages of the anti-lock controller, as others tell them. */
const ECHOES: Readonly<Record<string, string>> = {
  U0121: 'lost communication with the anti-lock controller',
  U0415: 'invalid data received from the anti-lock controller',
};
const VOLTAGE = new Set(['P0560', 'P0561', 'P0562', 'P0563']);

/** SAE J2012 reserves three codes for each wheel speed sensor, front left first. */
export const reservedCorner = (base: string): string | null => {
  const match = /^C00(3[1-9A-C])$/.exec(base);
  if (!match) return null;
  const index = parseInt(match[1] ?? '', 16) - 0x31;
  return ['A1L', 'A1R', 'A2L', 'A2R'][Math.floor(index / 3)] ?? null;
};

const codeOf = (base: string, failureType: string | null): string =>
  failureType ? `${base}-${failureType}` : base;

/** A code of the standard from its five characters and its failure type byte. */
export const standardCode = (
  base: string,
  failureType: string | null,
  corrected: string | null,
): ParsedCode => {
  const code = codeOf(base, failureType);
  const corner = reservedCorner(base);
  const chassis = base.startsWith('C');
  const words = ECHOES[base];
  return {
    grammar: 'j2012',
    code,
    corrected,
    lookUps: [...new Set([code, base])],
    standard: 'SAE J2012',
    ...(words && { words }),
    failure: (failureType && FAILURE_TYPES[failureType]) || null,
    reserved: corner ? { wheelEnd: corner, firm: false } : null,
    says: words
      ? 'echo'
      : VOLTAGE.has(base)
        ? 'voltage'
        : // The failure type bytes 41 to 4B are of the controller itself.
          chassis && failureType?.startsWith('4')
          ? 'self'
          : null,
    system: chassis ? 'chassis' : 'other',
  };
};

/**
 * Five characters of SAE J2012 with or without a failure type byte: `C0A31`, `C0A31-13`, `c0a31:13`, `C0A31 13`,
 * `CO A31`. A letter O for a zero and an I or L for a one are forgiven when at least two real digits remain.
 */
const parse = (text: string): ParsedCode | null => {
  const match =
    /^([PCBU])\s?([0-3OIL]\s?[0-9A-FOIL]{3})(?:(\s?[-:\u2013/.]\s?|\s+|)([0-9A-FOIL]{2}))?$/i.exec(
      text.trim(),
    );
  if (!match) return null;
  const [, letter = '', rest = '', , type] = match;
  const four = rest.replace(/\s/g, '');
  // `C0ABC` is a code, `COLD` and `c0ffe` are words: with one digit alone every letter must be hex and a capital.
  if (digitsIn(four) < 2 && !/^[0-3][A-F]{3}$/.test(four)) return null;
  const base = letter.toUpperCase() + forgive(four);
  const failureType = type ? forgive(type) : null;
  const code = codeOf(base, failureType);
  const plain = letter + four + (type ? `-${type}` : '');
  return standardCode(base, failureType, correctedNote(plain, code));
};

const J2012 =
  /(?<![\p{L}\d])([PCBU])[ ]?([0-3OIL][ ]?[0-9A-FOIL]{3})(?:([ ]?[-:\u2013][ ]?|[ ]|)([0-9A-FOIL]{2}))?(?![\p{L}\d])/giu;

const scan: Grammar['scan'] = (line, found) => {
  for (const match of line.matchAll(J2012)) {
    const [whole, letter = '', four = '', joint, type] = match;
    const spaced = /\s/.test(letter + whole.slice(0, 3)) || /\s/.test(four);
    if (spaced && letter !== letter.toUpperCase()) continue;
    const loose = joint === ' ' && type !== undefined;
    const next = line.slice(match.index + whole.length).trimStart();
    const isType =
      type !== undefined &&
      type.toUpperCase() in FAILURE_TYPES &&
      !/^(km|mph|m|v|volt|ohm|%|times|x|days?|weeks?|years?)\b/i.test(next);
    if (loose && !isType) {
      const short = letter + four;
      found(match.index, match.index + whole.length - 1 - type.length, parse(short));
    } else found(match.index, match.index + whole.length, parse(whole));
  }
};

/** SAE J2012. */
export const j2012: Grammar = { name: 'j2012', parse, scan };
