import { parseCode, scanCodes, type FoundCode } from '../codes/grammars/grammars.ts';
import { isBrakeController, isWheelSpeedText, meaningInText } from '../codes/codeTexts.ts';
import { lexicon } from '../text/lexicon.ts';
import { tokenise } from '../text/tokens.ts';
import type { DocketCode } from '../vocabulary/docket.ts';
import type { Chip } from '../vocabulary/intakeReading.ts';
import type { CodeStatus } from '../vocabulary/words.ts';
import { columnsFrom, fieldsOf, type CodeColumns } from './codeTable.ts';

const STATUS = lexicon<CodeStatus>([
  ['active|current|present|confirmed|currently present|permanent|static|now', 'active'],
  ['stored|memory|saved|memorised|in memory|stored code', 'stored'],
  ['pending|not confirmed|maturing|test not complete', 'pending'],
  [
    'history|historic|historical|passive|inactive|not active|not present|past|previous|previously active|not currently present',
    'history',
  ],
]);

const HEADING_WORDS = lexicon<true>([
  [
    'abs|anti lock|antilock|ebs|esp|engine|transmission|gearbox|airbag|restraint|body|steering|power steering|park brake|parking brake|transfer case|camera|instrument|instruments|cluster|dash|radar|climate|gateway|brake|brakes|stability|trailer|tyre monitor|suspension|central electronics|lighting|doors|hvac|immobiliser|driver assist|all wheel drive|awd|tail lift|tachograph|retarder|module|control unit|controller|ecu|system',
    true,
  ],
]);

export interface CodeLine {
  readonly code: DocketCode;
  readonly chip: Chip;
  /** Where the description stands, when it is one: not the customer's words. */
  readonly description: { start: number; end: number } | null;
}

interface Line {
  readonly text: string;
  readonly start: number;
  readonly codes: readonly FoundCode[];
}

const linesOf = (text: string, known: (code: string) => boolean): Line[] => {
  const out: Line[] = [];
  let start = 0;
  for (const raw of text.split('\n')) {
    const line = raw.endsWith('\r') ? raw.slice(0, -1) : raw;
    // A code stands near others of its line; lines of many thousand characters are cut so that one cannot stall us.
    // Empty lines hold nothing and end nothing.
    for (let at = 0; at < line.length; at += MAX_LINE) {
      const piece = line.slice(at, at + MAX_LINE);
      out.push({ text: piece, start: start + at, codes: /\d/.test(piece) ? scanCodes(piece, known) : [] });
    }
    start += raw.length + 1;
  }
  return out;
};

const MAX_LINE = 4000;
const SEPARATORS = /[\t;|]|\s{2,}|,(?=\S)|\s[-\u2013]\s/;

/** Whether any word of a status may be in a text: most texts beside a code have none. */
const MAY_SAY_STATUS =
  /activ|current|present|confirm|perman|static|now|stored|memor|saved|pending|maturing|test|histor|passive|past|previous/i;

const statusIn = (text: string): CodeStatus | null =>
  MAY_SAY_STATUS.test(text) ? (STATUS.all(tokenise(text)).at(-1)?.meaning ?? null) : null;

/** Status said in running speech beside a code; everyday words such as `now` are none there. */
const SPOKEN_STATUS: ReadonlyArray<readonly [RegExp, CodeStatus]> = [
  [
    /\b(?:no longer (?:active|present|stored)|not (?:currently |now )?(?:active|present)(?: at this time)?|inactive|passive|history|historic(?:al)?|previously active)\b/i,
    'history',
  ],
  [/\b(?:pending|maturing)\b/i, 'pending'],
  [/\b(?:stored|in memory)\b/i, 'stored'],
  [/\b(?:active|present|confirmed|permanent)\b/i, 'active'],
];
const spokenStatus = (text: string): CodeStatus | null =>
  SPOKEN_STATUS.find(([words]) => words.test(text.split(/[.;!?]/)[0] ?? ''))?.[1] ?? null;

/** Where a description said in speech ends: at its clause, or after a second part that goes on describing the fault. */
const describedIn = (after: string): string => {
  const parts = after.split(/(?<=[,;.!?])(?=\s|$)/);
  let said = parts[0] ?? '';
  for (const part of parts.slice(1)) {
    if (
      !said.endsWith(',') ||
      !/^\s*(?:circuit|signal|open|short|no signal|implausib|intermittent|erratic|missing|plausib|electrical|frequency|range|invalid|interrupt|voltage|resistance)/i.test(
        part,
      )
    )
      break;
    said += part;
  }
  return said.replace(/[,;.!?]+$/, '');
};

/** A heading names the module of the codes below it: short, no code, known words, or marked as one. */
const headingOf = (line: string): string | null => {
  const text = line.replace(/^[\s\-=*#>[\]\d.)]+|[\s\-=*#:\]]+$/g, '').trim();
  if (!text || text.length > 60) return null;
  const tokens = tokenise(text);
  if (tokens.length > 8 || HEADING_WORDS.all(tokens).length === 0) return null;
  const marked = /[:\]]\s*$|^[\s]*[[=#*-]/.test(line) || text === text.toUpperCase();
  return marked || tokens.length <= 4
    ? text.replace(/\s*[:(-]\s*\d+\s*(?:codes?|faults?|dtcs?)\)?$/i, '')
    : null;
};

const clean = (text: string): string =>
  text
    .replace(/^[\s\-:;,|.\u2013()[\]]+|[\s\-:;,|\u2013([\]]+$/g, '')
    .replace(/[([]\s*[)\]]/g, ' ')
    .replace(/\s*[\t;|]+\s*/g, ' ')
    .replace(/\s+/g, ' ')
    .trim();

const withoutStatus = (text: string): { text: string; status: CodeStatus | null } => {
  if (!MAY_SAY_STATUS.test(text)) return { text, status: null };
  const fields = text.split(/[\t;|]|\s{2,}|,|\s[-\u2013]\s|[()[\]]/);
  for (const field of fields.reverse()) {
    const tokens = tokenise(field);
    const hit = STATUS.at(
      tokens.filter((t) => t.kind === 'word' && !/^(status|code|fault|dtc)$/.test(t.norm)),
      0,
    );
    if (hit && tokens.length <= 5) return { text: text.replace(field, ' '), status: hit.meaning };
  }
  const tokens = tokenise(text).filter((t) => t.kind === 'word');
  for (let n = Math.min(3, tokens.length); n >= 1; n--) {
    const hit = STATUS.at(tokens, tokens.length - n);
    if (hit?.to === tokens.length)
      return { text: text.slice(0, tokens[hit.from]?.start ?? 0), status: hit.meaning };
  }
  return { text, status: null };
};

/** Words of a fault in speech that are somebody's finding, not the code's text: `ring missing teeth`, `meter reads open`. */
const heardOtherwise = (text: string): boolean =>
  /\b(?:ring|plug|connector|loom|meter|reads?|bearing|wheel (?:is|has)|play|tip|hub|sensor (?:is|was|reads))\b/i.test(
    text,
  );

/** One row of a table whose headings were read, or null when its code cell holds no code. */
const tableRow = (line: Line, columns: CodeColumns, heading: string | null): CodeLine | null => {
  const fields = fieldsOf(line.text, columns.delimiter);
  const cell = (i: number | null): string => (i === null ? '' : clean(fields[i] ?? ''));
  const number = cell(columns.code);
  const fmi = cell(columns.fmi);
  const written = fmi && /^\d+$/.test(number) ? `SPN ${number} FMI ${fmi}` : number;
  const parsed = parseCode(written)[0];
  if (!parsed) return null;
  const text = cell(columns.text);
  const at = Math.max(0, line.text.indexOf(number));
  const status = STATUS.all(tokenise(cell(columns.status))).at(-1)?.meaning ?? null;
  return {
    code: { module: cell(columns.module) || heading, code: parsed.code, text: text || null, status },
    chip: {
      kind: 'code',
      label: `${parsed.code}${text ? ` ${text}` : ''}`,
      words: line.text.slice(at, at + number.length),
      start: line.start + at,
      end: line.start + at + number.length,
      note: parsed.corrected,
    },
    description: { start: line.start, end: line.start + line.text.length },
  };
};

/**
 * Reads the codes of a text with module, description and status. Knows tables with headings, headings above codes, one code a line, and
 * columns set apart by tabs, semicolons, bars or runs of blanks. In running speech only the code itself is taken.
 */
export const readCodeLines = (
  text: string,
  known: (code: string) => boolean,
): { codes: CodeLine[]; consumed: Array<{ start: number; end: number }> } => {
  const lines = linesOf(text, known);
  const consumed: Array<{ start: number; end: number }> = [];
  const take = (start: number, end: number) => void consumed.push({ start, end });
  const out: CodeLine[] = [];
  // From three lines with a code on it is a report, and what stands behind a code describes it.
  const report = lines.filter((line) => line.codes.length > 0).length > 2;
  let heading: { name: string; start: number; end: number } | null = null;
  let columns: CodeColumns | null = null;
  lines.forEach((line, n) => {
    const found = columnsFrom(line.text);
    if (found) {
      columns = found;
      take(line.start, line.start + line.text.length);
      return;
    }
    const row =
      columns && line.text.includes(columns.delimiter)
        ? tableRow(line, columns, heading?.name ?? null)
        : null;
    if (row) {
      take(line.start, line.start + line.text.length);
      out.push(row);
      return;
    }
    if (line.codes.length === 0) {
      const name = headingOf(line.text);
      const followed = lines.slice(n + 1, n + 4).find((next) => next.text.trim() !== '')?.codes.length;
      if (name && followed) heading = { name, start: line.start, end: line.start + line.text.length };
      else if (line.text.trim() === '') return;
      if (heading?.start === line.start) take(heading.start, heading.end);
      return;
    }
    let inlineModule: string | null = null;
    const tabular = SEPARATORS.test(line.text) && /[\t;|]|\s{2,}/.test(line.text);
    const spoken = !tabular && !report && heading === null;
    line.codes.forEach((code, i) => {
      const before = line.text.slice(i === 0 ? 0 : (line.codes[i - 1]?.end ?? 0), code.start);
      const rest = line.text.slice(code.end, line.codes[i + 1]?.start ?? line.text.length);
      const single = line.codes.length === 1;
      const after = spoken ? describedIn(rest) : rest;
      const description = clean(after);
      const leads = clean(before) === '' || tabular;
      const maker = code.parsed.grammar === 'maker';
      const named = isWheelSpeedText(description);
      const described =
        description !== '' &&
        ((single &&
          leads &&
          (tabular ||
            report ||
            named ||
            (meaningInText(description) !== null && !heardOtherwise(description)) ||
            /^\s*[-:\u2013(]/.test(after) ||
            isBrakeController(description))) ||
          // A number nobody can explain keeps the words beside it.
          (maker && named) ||
          // Said after a module or a count: "abs 1 code: C0A37-13 rear left sensor open circuit".
          (spoken &&
            /sensor|signal|circuit|wheel speed/i.test(description) &&
            meaningInText(description) !== null &&
            !heardOtherwise(description)));
      const start = line.start + code.start;
      const end = line.start + code.end;
      take(start, end);
      const fields = described ? withoutStatus(after) : { text: '', status: null };
      const status =
        code.status ??
        fields.status ??
        (spoken ? (spokenStatus(rest) ?? (single ? spokenStatus(before) : null)) : null) ??
        (described || (single && lines.length <= 2) ? null : statusIn(after.slice(0, 40)));
      if (/[/;|]/.test(before)) inlineModule = null;
      const moduleField = tabular
        ? clean(
            before
              .split(/[\t;|]|\s{2,}/)
              .filter((field) => field.trim())
              .at(-1) ?? '',
          )
        : /:\s*$/.test(before)
          ? clean(before.split(/[/;|,.]/).at(-1) ?? '')
          : '';
      const ownModule =
        moduleField && HEADING_WORDS.all(tokenise(moduleField)).length > 0 ? moduleField : null;
      inlineModule = ownModule ?? inlineModule;
      const module = inlineModule ?? heading?.name ?? null;
      const said = clean(fields.text);
      const until = spoken ? line.start + code.end + after.length : line.start + line.text.length;
      if (described) take(spoken ? start : line.start, until);
      out.push({
        code: { module, code: code.parsed.code, text: said || null, status },
        chip: {
          kind: 'code',
          label: `${code.parsed.code}${said ? ` ${said}` : ''}`,
          words: code.text,
          start,
          end,
          note: code.parsed.corrected,
        },
        description: described ? { start: line.start, end: until } : null,
      });
    });
  });
  return { codes: out, consumed };
};
