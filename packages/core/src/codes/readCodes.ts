import type { ReadCode } from '../vocabulary/advice.ts';
import type { DictionaryEntry } from '../vocabulary/catalogue.ts';
import type { DocketCode } from '../vocabulary/docket.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { axleOf, wheelEndAt, wheelEndInWords } from '../vocabulary/wheelEndWords.ts';
import type { PositionContext } from '../positions/placePhrase.ts';
import { readPositions } from '../positions/readPositions.ts';
import type { CodeMeaning } from './codeMeaning.ts';
import {
  isBrakeController,
  isEchoText,
  isSelfText,
  isVoltageText,
  isWheelSpeedText,
  meaningInText,
} from './codeTexts.ts';
import type { ParsedCode } from './grammars/grammar.ts';
import { parseCode } from './grammars/grammars.ts';

/** A read code with what the reasoning needs beside what is shown. */
export interface UnderstoodCode extends ReadCode {
  /** What it says of a wheel-speed signal, or null when it is not about one. */
  readonly signal: CodeMeaning | null;
  readonly voltage: boolean;
  /** Whether it says that the controller, its pump or a relay of its own failed. */
  readonly self: boolean;
  readonly grammar: string | null;
  /** What each dictionary would say of it, while the maker is not known. */
  readonly readings: ReadonlyArray<{ dictionary: string; text: string }>;
}

export interface CodeContext extends PositionContext {
  /** The dictionary the vehicle's maker uses, if known. */
  readonly dictionary: string | null;
  readonly entries: readonly DictionaryEntry[];
  /** Wheel ends that are one centre sender instead: axle number set. */
  readonly centreAxles: ReadonlySet<number>;
  /** The corner the customer names, for a code that names none. */
  readonly namedCorner: WheelEnd | null;
}

const normal = (code: string): string => code.toUpperCase().replace(/[^0-9A-Z]/g, '');

/** The entry of the vehicle's own dictionary. Another maker's does not count: the same number means something else there. */
const lookUp = (
  code: string,
  dictionary: string | null,
  entries: readonly DictionaryEntry[],
): DictionaryEntry | null => {
  if (dictionary === null) return null;
  const wanted = normal(code);
  return entries.find((entry) => entry.dictionary === dictionary && normal(entry.code) === wanted) ?? null;
};

/** What the dictionaries say of a code while the maker is not known: to be asked, not guessed. */
const otherReadings = (
  codes: readonly string[],
  context: CodeContext,
): Array<{ dictionary: string; text: string }> => {
  if (context.dictionary !== null) return [];
  const wanted = new Set(codes.map(normal));
  const hits = context.entries.filter((entry) => wanted.has(normal(entry.code)));
  return hits.map(({ dictionary, text }) => ({ dictionary, text }));
};

const firstOf = <T, R>(list: readonly T[], find: (each: T) => R | null): R | null => {
  for (const each of list) {
    const found = find(each);
    if (found !== null) return found;
  }
  return null;
};

const describe = (
  parsed: ParsedCode,
  entry: DictionaryEntry | null,
  said: string,
): { words: string; failure: string | null; signal: CodeMeaning | null } => {
  const { failure = null } = parsed;
  return {
    words: entry?.text ?? said,
    failure: failure?.words ?? null,
    signal: failure?.meaning ?? meaningInText(said) ?? (entry ? meaningInText(entry.text) : null),
  };
};

const toCentre = (ends: readonly WheelEnd[], context: CodeContext): WheelEnd[] => [
  ...new Set(
    ends.map((end) => (context.centreAxles.has(axleOf(end)) ? wheelEndAt(axleOf(end), 'centre') : end)),
  ),
];

const cornersOf = (
  parsed: ParsedCode | null,
  texts: readonly string[],
  given: DocketCode,
  context: CodeContext,
): WheelEnd[] => {
  if (given.wheelEnd) return [given.wheelEnd];
  if (parsed?.reserved?.firm) return [parsed.reserved.wheelEnd];
  for (const text of texts) {
    const ends = readPositions(text, context)
      .positions.filter((p) => !p.role)
      .flatMap((p) => p.wheelEnds);
    if (ends.length > 0) return [...new Set(ends)];
  }
  return parsed?.reserved ? [parsed.reserved.wheelEnd] : [];
};

const understand = (given: DocketCode, context: CodeContext): UnderstoodCode => {
  const said = given.text ?? '';
  const module = given.module ?? null;
  const readings = parseCode(given.code);
  const own = readings.map((parsed) => ({
    parsed,
    entry: firstOf(parsed.lookUps, (code) => lookUp(code, context.dictionary, context.entries)),
  }));
  const chosen = own.find(({ entry }) => entry) ?? own[0] ?? null;
  const parsed = chosen?.parsed ?? null;
  const entry = chosen?.entry ?? null;
  const ambiguous = said
    ? []
    : otherReadings(
        readings.flatMap((reading) => reading.lookUps),
        context,
      );
  const texts = [said, entry?.text ?? ''].filter(Boolean);
  const d = parsed
    ? describe(parsed, entry, said)
    : { words: said, failure: null, signal: meaningInText(said) };

  const brake = module === null ? null : isBrakeController(module);
  // What the public standards reserve for a wheel outranks the name of the module it was read from.
  const reserved = parsed?.reserved != null;
  const echo =
    !reserved &&
    ((parsed?.says === 'echo' && brake !== true) ||
      (brake !== true && texts.some(isEchoText) && !texts.some(isWheelSpeedText)));
  const voltage =
    !echo &&
    !reserved &&
    (parsed?.says === 'voltage' || texts.some(isVoltageText)) &&
    !texts.some(isWheelSpeedText);
  const wheelEnds = echo || voltage ? [] : toCentre(cornersOf(parsed, texts, given, context), context);
  const self =
    !echo &&
    !voltage &&
    !reserved &&
    brake !== false &&
    !texts.some(isWheelSpeedText) &&
    (texts.some(isSelfText) ||
      parsed?.says === 'self' ||
      (parsed?.says === 'self-of-brakes' && brake === true));
  const chassis = parsed?.system === 'chassis' && brake !== false;
  const aboutWheel =
    !echo &&
    !voltage &&
    !self &&
    (reserved ||
      (brake !== false &&
        (texts.some(isWheelSpeedText) ||
          (wheelEnds.length > 0 && (chassis || brake === true || parsed === null)) ||
          (chassis && context.namedCorner !== null && texts.length === 0))));
  const ends =
    aboutWheel && wheelEnds.length === 0 && context.namedCorner ? [context.namedCorner] : wheelEnds;
  const understood = parsed !== null && (parsed.standard !== null || entry !== null || texts.length > 0);
  const role = echo
    ? 'knock-on'
    : aboutWheel
      ? 'root'
      : understood && (texts.length > 0 || voltage || self || parsed.system === 'other')
        ? 'other'
        : 'unknown';
  const place = ends.map((end) => wheelEndInWords(end, context)).join(' and ');
  const echoWords = parsed?.words ?? d.words;
  const meaning =
    role === 'knock-on'
      ? `${echoWords || 'message from the brake controller missing or invalid'}: an echo, not a fault of its own`
      : aboutWheel
        ? [
            place ? `wheel speed signal ${place}` : 'wheel speed signal, corner not named',
            d.failure ?? (d.signal && d.signal !== 'generic' ? d.signal.replace(/-/g, ' ') : ''),
          ]
            .filter(Boolean)
            .join(': ')
        : [d.words || (self ? 'the controller says that it failed itself' : ''), d.failure]
            .filter(Boolean)
            .join(': ') ||
          (ambiguous.length > 0
            ? `depends on the maker: ${ambiguous.map((r) => `${r.dictionary}: ${r.text}`).join('; ')}`
            : 'not explained by the standard or by a dictionary here');
  return {
    code: given.code,
    module,
    role,
    wheelEnds: aboutWheel ? ends : [],
    meaning,
    status: given.status ?? null,
    source: entry
      ? `dictionary ${entry.dictionary}`
      : said
        ? 'the words beside it'
        : (parsed?.standard ?? 'nothing here explains it'),
    corrected: parsed?.corrected ?? null,
    explainedBy: null,
    signal: aboutWheel ? (d.signal ?? 'generic') : null,
    voltage,
    self,
    grammar: parsed?.grammar ?? null,
    readings: ambiguous,
  };
};

/**
 * Reads all codes of a docket: meaning, corner and role. Roots are wheel-speed codes of the brake controller;
 * knock-ons are other modules' echoes of it, each tied to the root that explains it.
 */
export const readCodes = (codes: readonly DocketCode[], context: CodeContext): UnderstoodCode[] => {
  const read = codes.map((code) => understand(code, context));
  const root = read.findIndex((code) => code.role === 'root');
  return read.map((code) => (code.role === 'knock-on' && root >= 0 ? { ...code, explainedBy: root } : code));
};
