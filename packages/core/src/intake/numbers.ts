/** What a number in the text is, as far as its own words say. */
export type Measure =
  | 'ohm'
  | 'volt'
  | 'volt-ac'
  | 'percent'
  | 'degree'
  | 'speed'
  | 'distance'
  | 'teeth'
  | 'money'
  | 'time'
  | 'reference'
  | 'bare';

/** A number said in the text, in base units: ohm, V, %, degC, km/h. */
export interface NumberSaid {
  readonly value: number;
  readonly measure: Measure;
  readonly start: number;
  readonly end: number;
  /** How it was brought to base units, where it was. */
  readonly note: string | null;
}

const NUMBER =
  /(?<![\p{L}\d./:,-])(?<digits>\d{1,3}(?:,\d{3})+(?![.\d])|\d+(?:[.,]\d+)?)(?<kilo>k(?<after>\d{1,2})?)?[ \t]?(?<unit>(?:k\s?ohms?|kohms?|k\s?\u03A9|k(?=\s(?!(?:miles|mi|kms?|on the clock)\b))|ohms?|\u03A9|m?v(?:olts?)?\s?ac|vac|mvac|millivolts?|mv|volts?(?:\s+ac)?|v|%|per\s?cent|percent|\u00B0\s?c|deg(?:rees?)?(?:\s?c(?:elsius)?)?|c|km\/h|kmh|kph|mph|kms?|kilometres|miles?|mi|mm|teeth|tooth|quid|pounds?|euros?|days?|weeks?|months?|years?|hours?|mins?|minutes?|oclock|am|pm|psi|bar|axles?|wheels?|codes?|faults?|times|litres?|inch|inches|nm|newton)(?![\p{L}\d]))?(?![\p{L}\d]|[./:-]\d)/giu;

/** Words before a number that make it no reading: money, a room, a telephone. */
const REFERENCE =
  /(?:phone|tel|call|ring|mobile|invoice|order|job|ref|reference|room|bay|unit|number|no\.?|nr\.?|fleet|page|paid|costs?|cost me|quoted|pay|\u00A3|\u20AC|\$|part|bin|docket|ticket|bus|route|pump|door|max|about|for|in|since|from|of|line|account|extension|ext|year|20)\s*:?\s*$/i;

const MEASURES: ReadonlyArray<readonly [RegExp, Measure, number]> = [
  [/^(k\s?ohms?|kohms?|k\s?\u03A9|k)$/i, 'ohm', 1000],
  [/^(ohms?|\u03A9)$/i, 'ohm', 1],
  [/^(mv\s?ac|mvac)$/i, 'volt-ac', 0.001],
  [/^(v(olts?)?\s?ac|vac)$/i, 'volt-ac', 1],
  [/^(mv|millivolts?)$/i, 'volt', 0.001],
  [/^(v|volts?)$/i, 'volt', 1],
  [/^(%|per\s?cent)$/i, 'percent', 1],
  [/^(\u00B0\s?c|deg|c)/i, 'degree', 1],
  [/^(km\/h|kmh|kph)$/i, 'speed', 1],
  [/^mph$/i, 'speed', 1.609344],
  [/^(kms?|kilometres|miles?|mi|mm|inch|inches)$/i, 'distance', 1],
  [/^(teeth|tooth)$/i, 'teeth', 1],
  [/^(quid|pounds?|euros?)$/i, 'money', 1],
  [/^(days?|weeks?|months?|years?|hours?|mins?|minutes?|oclock|am|pm)$/i, 'time', 1],
];

const rounded = (value: number): number => Math.round(value * 1e6) / 1e6;

/** Every number of a text with what it measures: `1k1` and `1.1 kohm` are 1100 ohm; years, times and sums are no readings. */
export const numbersIn = (text: string): NumberSaid[] =>
  [...text.matchAll(NUMBER)].map((match): NumberSaid => {
    const { digits = '', kilo, after, unit } = match.groups ?? {};
    const start = match.index;
    const end = start + match[0].trimEnd().length;
    const plain = /,\d{3}(,|$)/.test(digits) ? digits.replace(/,/g, '') : digits.replace(',', '.');
    const before = text.slice(Math.max(0, start - 16), start);
    const known = unit ? MEASURES.find(([form]) => form.test(unit)) : undefined;
    if (kilo && (!unit || known?.[1] === 'ohm')) {
      const value = rounded(
        Number(plain) * 1000 + (after ? Number(after) * (after.length === 1 ? 100 : 10) : 0),
      );
      const distance = /^ *(miles?|mi|km|kms|on the clock)\b/i.test(text.slice(end));
      return {
        value,
        measure: distance || value > 100_000 ? 'distance' : 'ohm',
        start,
        end,
        note: `${match[0].trim()} is ${value} ohm`,
      };
    }
    if (known) {
      const value = rounded(Number(plain) * known[2]);
      return {
        value,
        measure: known[1],
        start,
        end,
        note:
          known[2] === 1 || known[1] === 'speed'
            ? null
            : `${match[0].trim()} is ${value} ${known[1] === 'ohm' ? 'ohm' : 'V'}`,
      };
    }
    const year = /^(19|20)\d\d$/.test(digits);
    const other =
      unit !== undefined ||
      REFERENCE.test(before) ||
      (year && !/(reads|reading|ohm|got|at|is|says|metered)\s*$/i.test(before));
    return { value: Number(plain), measure: other ? 'reference' : 'bare', start, end, note: null };
  });
