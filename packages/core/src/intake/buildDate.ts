/** A build date as people write it, in the docket's form, with where it stands. */
export interface SaidDate {
  readonly date: string;
  readonly start: number;
  readonly end: number;
  /** Said to be a build or first registration: it needs no vehicle beside it. */
  readonly introduced: boolean;
}

const MONTHS = 'january february march april may june july august september october november december'.split(
  ' ',
);
const MONTH = '(?:jan|feb|mar|apr|may|jun|jul|aug|sep|sept|oct|nov|dec)[a-z]*\\.?';
const YEAR = '(?:19[89]\\d|20[0-4]\\d)';
const DATE = new RegExp(
  `(?<![\\p{L}\\d/.-])(?:(?<iso>${YEAR})-(?<isoMonth>0[1-9]|1[0-2])(?:-(?:0[1-9]|[12]\\d|3[01]))?` +
    `|(?:(?:[0-3]?\\d)[/.])?(?<month>0?[1-9]|1[0-2])[/.](?<monthYear>${YEAR})` +
    `|(?<name>${MONTH})\\s+(?:of\\s+)?(?<nameYear>${YEAR})` +
    `|my\\s?'?(?<model>\\d{2}|${YEAR})` +
    `|(?<year>${YEAR}))(?![\\p{L}\\d/]|[.,]\\d|-\\d)`,
  'giu',
);
const INTRODUCED =
  /(?:built|build date|build|made|registered|reg|regd|reg'd|registration|manufactured|model year|my|year|first reg|on the road|new|from new|date)\s*(?:is|was|in|on|of|from|:|=)?\s*(?:the\s+)?$/i;

const twoDigits = (n: number): string => String(n).padStart(2, '0');

/** Every date with a year in the text. */
export const datesIn = (text: string): SaidDate[] =>
  [...text.matchAll(DATE)].map((match): SaidDate => {
    const g = match.groups ?? {};
    const month = g.isoMonth ?? g.month ?? null;
    const named = g.name
      ? MONTHS.findIndex((m) => m.startsWith((g.name ?? '').slice(0, 3).toLowerCase())) + 1
      : 0;
    const model = g.model ? (g.model.length === 2 ? `20${g.model}` : g.model) : null;
    const year = g.iso ?? g.monthYear ?? g.nameYear ?? model ?? g.year ?? '';
    const at = month ? Number(month) : named;
    const before = text.slice(Math.max(0, match.index - 24), match.index);
    return {
      date: at > 0 ? `${year}-${twoDigits(at)}` : year,
      start: match.index,
      end: match.index + match[0].length,
      introduced: model !== null || INTRODUCED.test(before),
    };
  });
