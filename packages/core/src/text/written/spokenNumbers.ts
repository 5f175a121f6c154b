import { groupsOf, isNumberWord, wholeNumberOf } from './numberWords.ts';
import type { Rewrite, Rewriter } from './rewriter.ts';

/** Units by how they are said. A single number word is a number before one of them only: "two weeks" stays words. */
const UNITS: ReadonlyArray<readonly [RegExp, string]> = [
  [/^(?:k|kay)(?: ohms?)?\b/i, 'k'],
  [/^kilo ?-?ohms?\b/i, 'kohm'],
  [/^(?:ohms?|homes)\b/i, 'ohms'],
  [/^(?:meg ?-?ohms?|megs?)\b/i, 'megohm'],
  [/^millivolts?\b/i, 'mv'],
  [/^(?:of a )?volts?\b/i, 'volts'],
  [/^(?:percent|per cent)\b/i, 'percent'],
  [/^degrees?\b/i, 'degrees'],
  [/^teeth\b/i, 'teeth'],
  [/^(?:kilometres|miles)\b/i, ''],
];
const PART = /\b(?<part>half|quarter|third)(?: of)? a volt\b/gi;
const PARTS: Readonly<Record<string, string>> = { half: '0.5', quarter: '0.25', third: '0.33' };
/** Figures whose thousands stand apart, and figures whose unit is in words. */
const THOUSANDS = /(?<![\d.,:/-])(\d) (\d{3})(?= ?(?:ohms?|\u03A9)(?![\p{L}\d]))/giu;
const FIGURE_UNIT = /(?<![\d.,/])(?<figure>\d+(?:\.\d+)?) ?(?<unit>kilo ?-?ohms?|meg ?-?ohms?|megs?)\b/gi;

/** A figure with its unit as meters write it; megohms become kilohms, which are read. */
const withUnit = (figure: string, unit: string): string =>
  unit === 'megohm'
    ? `${Number((Number(figure) * 1000).toFixed(3))} kohm`
    : unit === 'k'
      ? `${figure}k`
      : `${figure} ${unit}`.trim();

/** Figures after the point as they are said: "oh five" is 05, "one nine" is 19. */
const decimalsOf = (words: readonly string[]): string =>
  words.map((word) => String(wholeNumberOf([word]) ?? '')).join('');

/**
 * Whether words without a unit are surely a number: "eleven hundred", "twelve fifty", "one one six five"; not "one" alone,
 * wheels in a list ("one two three") or two ends of a clock ("twelve six").
 */
const isSurely = (words: readonly string[]): boolean => {
  if (words.includes('hundred') || words.includes('thousand')) return words.length > 1;
  if (words.length < 2 || words.includes('and')) return false;
  const groups = groupsOf(words);
  return words.length >= 4 || groups.every((group) => group.length === 2);
};

/**
 * Finds numbers in words: "eleven hundred ohms", "one point oh five k", "point four of a volt". A single word is one only
 * before a unit.
 */
export const spokenNumbers: Rewriter = (text) => {
  const found: Rewrite[] = [];
  const words = [...text.matchAll(/[\p{L}\d.]+/gu)].map((match) => ({
    word: match[0].toLowerCase(),
    start: match.index,
    end: match.index + match[0].length,
  }));
  const isNext = (i: number) => i > 0 && text.slice(words[i - 1]?.end, words[i]?.start) === ' ';
  const at = (i: number) => words[i]?.word ?? '';
  const isScale = (word: string) => word === 'hundred' || word === 'thousand';
  for (let i = 0; i < words.length; i++) {
    let to = i;
    if (at(i) === 'a' && isScale(at(i + 1)) && isNext(i + 1)) to = i + 2;
    while (to < words.length && (to === i || isNext(to))) {
      if (isNumberWord(at(to)) || (to > i && isScale(at(to)))) to++;
      else if (at(to) === 'and' && isScale(at(to - 1)) && isNumberWord(at(to + 1)) && isNext(to + 1)) to += 2;
      else break;
    }
    const whole = words.slice(i, to).map(({ word }) => word);
    let decimals: string[] = [];
    if (at(to) === 'point' && (to === i || isNext(to)) && isNumberWord(at(to + 1)) && isNext(to + 1)) {
      let end = to + 1;
      while (isNumberWord(at(end)) && isNext(end)) end++;
      decimals = words.slice(to + 1, end).map(({ word }) => word);
      to = end;
    }
    if (to === i) continue;
    const value = whole.length === 0 ? 0 : wholeNumberOf(whole);
    const start = words[i]?.start ?? 0;
    const end = words[to - 1]?.end ?? start;
    i = to - 1;
    if (value === null) continue;
    const figure = decimals.length === 0 ? String(value) : `${value}.${decimalsOf(decimals)}`;
    const between = /^(?: odd)? /.exec(text.slice(end, end + 5))?.[0];
    const rest = between === undefined ? '' : text.slice(end + between.length, end + between.length + 16);
    const unit = UNITS.flatMap(([said, written]) => {
      const length = said.exec(rest)?.[0].length;
      return length === undefined ? [] : [{ written, length }];
    })[0];
    if (unit)
      found.push(
        unit.written === ''
          ? { start, end, written: figure }
          : {
              start,
              end: end + (between?.length ?? 0) + unit.length,
              written: withUnit(figure, unit.written),
            },
      );
    else if (decimals.length > 0 || isSurely(whole)) found.push({ start, end, written: figure });
  }
  for (const match of text.matchAll(PART))
    found.push({
      start: match.index,
      end: match.index + match[0].length,
      written: `${PARTS[match.groups?.part?.toLowerCase() ?? ''] ?? ''} volts`,
    });
  for (const match of text.matchAll(THOUSANDS))
    found.push({
      start: match.index,
      end: match.index + match[0].length,
      written: `${match[1] ?? ''}${match[2] ?? ''}`,
    });
  for (const match of text.matchAll(FIGURE_UNIT))
    found.push({
      start: match.index,
      end: match.index + match[0].length,
      written: withUnit(match.groups?.figure ?? '', /^k/i.test(match.groups?.unit ?? '') ? 'kohm' : 'megohm'),
    });
  const inOrder = found.sort((a, b) => a.start - b.start);
  return inOrder.filter((each, i) => i === 0 || each.start >= (inOrder[i - 1]?.end ?? 0));
};
