import { FAILURE_MODES, FAILURE_TYPES } from './codeMeaning.ts';

/** A code as read by one grammar. `corrected` says what was forgiven, as `CO031 read as C0031`. */
export type ParsedCode =
  | { grammar: 'j2012'; code: string; base: string; failureType: string | null; corrected: string | null }
  | { grammar: 'spn'; code: string; spn: number; fmi: number | null; corrected: string | null }
  | { grammar: 'flash'; code: string; corrected: string | null }
  | { grammar: 'maker'; code: string; corrected: string | null };

const LETTERS = ['P', 'C', 'B', 'U'] as const;

const digitsIn = (text: string): number => (text.match(/\d/g) ?? []).length;
const forgive = (text: string): string => text.toUpperCase().replace(/O/g, '0').replace(/[IL]/g, '1');
const correctedNote = (from: string, to: string): string | null =>
  from.toUpperCase() === to ? null : `${from} read as ${to}`;

/**
 * Five characters of SAE J2012 with or without a failure type byte: `C0A31`, `C0A31-13`, `c0a31:13`, `C0A31 13`,
 * `CO A31`. A letter O for a zero and an I or L for a one are forgiven when at least two real digits remain.
 */
export const parseJ2012 = (text: string): ParsedCode | null => {
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
  const code = failureType ? `${base}-${failureType}` : base;
  const plain = letter + four + (type ? `-${type}` : '');
  return { grammar: 'j2012', code, base, failureType, corrected: correctedNote(plain, code) };
};

/** Three raw bytes: six hex digits, with or without `0x`. `0x4A3713` is C0A37-13. */
export const parseRawBytes = (text: string): ParsedCode | null => {
  const match = /^(0x)?([0-9A-F]{2})\s?([0-9A-F]{2})\s?([0-9A-F]{2})$/i.exec(text.trim());
  if (!match) return null;
  const first = parseInt(match[2] ?? '', 16);
  const base =
    `${LETTERS[first >> 6]}${(first >> 4) & 3}${(first & 15).toString(16)}${match[3]}`.toUpperCase();
  const failureType = (match[4] ?? '').toUpperCase();
  const code = `${base}-${failureType}`;
  return { grammar: 'j2012', code, base, failureType, corrected: `${text.trim()} is ${code} as raw bytes` };
};

/** SAE J1939: `SPN 789 FMI 5`, `789/5`, `s789 f5`, `SPN:789 FMI:5`, `SPN 789`. */
export const parseSpn = (text: string): ParsedCode | null => {
  const match =
    /^SPN[\s:#.=-]*(\d{1,6})(?:[\s,;/.-]*FMI[\s:#.=-]*(\d{1,2}))?$/i.exec(text.trim()) ??
    /^s\s?(\d{1,6})[\s,;/-]*f\s?(\d{1,2})$/i.exec(text.trim()) ??
    /^(\d{2,6})\s?\/\s?(\d{1,2})$/.exec(text.trim());
  if (!match) return null;
  const spn = Number(match[1]);
  const fmi = match[2] === undefined ? null : Number(match[2]);
  if (fmi !== null && fmi > 31) return null;
  const code = fmi === null ? `SPN ${spn}` : `SPN ${spn} FMI ${fmi}`;
  return { grammar: 'spn', code, spn, fmi, corrected: null };
};

/** Flash codes: counted lamp flashes, `2-1`. */
const parseFlash = (text: string): ParsedCode | null =>
  /^[1-9]\s?[-,]\s?[1-9]$/.test(text.trim())
    ? { grammar: 'flash', code: text.trim().replace(/\s?[-,]\s?/, '-'), corrected: null }
    : null;

/** A maker's own number: two to five decimal or hex digits. */
const parseMaker = (text: string): ParsedCode | null =>
  /^[0-9A-F]{2,5}$/i.test(text.trim()) && digitsIn(text) >= 2
    ? { grammar: 'maker', code: text.trim().toUpperCase(), corrected: null }
    : null;

/** Every grammar a code is valid in, likeliest first. */
export const parseCode = (text: string): ParsedCode[] =>
  [parseJ2012(text), parseSpn(text), parseRawBytes(text), parseFlash(text), parseMaker(text)].filter(
    (parsed) => parsed !== null,
  );

export const isKnownFailureType = (type: string): boolean => type in FAILURE_TYPES;
export const isKnownFailureMode = (fmi: number): boolean => fmi in FAILURE_MODES;

/** SAE J2012 reserves three codes for each wheel speed sensor, front left first. */
export const reservedCorner = (base: string): string | null => {
  const match = /^C00(3[1-9A-C])$/.exec(base);
  if (!match) return null;
  const index = parseInt(match[1] ?? '', 16) - 0x31;
  return ['A1L', 'A1R', 'A2L', 'A2R'][Math.floor(index / 3)] ?? null;
};

/** SAE J1939: SPN 789-794 are the wheel speed sensors of axles 1 to 3, left before right. */
export const spnCorner = (spn: number): string | null =>
  spn >= 789 && spn <= 794 ? `A${Math.floor((spn - 789) / 2) + 1}${(spn - 789) % 2 ? 'R' : 'L'}` : null;
