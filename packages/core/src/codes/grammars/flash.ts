import type { Grammar, ParsedCode } from './grammar.ts';

const counted = (first = '', second = ''): ParsedCode => {
  const code = `${first}-${second}`;
  return { grammar: 'flash', code, corrected: null, lookUps: [code], standard: null };
};

const parse = (text: string): ParsedCode | null => {
  const match = /^([1-9])\s?[-,]\s?([1-9])$/.exec(text.trim());
  return match ? counted(match[1], match[2]) : null;
};

/** Flash codes, one or several behind one word: `flashes 2-1 then 3-4`. */
const scan: Grammar['scan'] = (line, found) => {
  for (const match of line.matchAll(
    /(?:flash(?:es|ed|ing)?|blink(?:s|ed|ing)?|flash codes?|blink codes?)\D{0,12}(?<list>[1-9]\s?[-,]\s?[1-9](?:\s*(?:,|and|then|&|\+)+\s*[1-9]\s?-\s?[1-9])*)(?![\p{L}\d])/giu,
  )) {
    const list = match.groups?.list ?? '';
    const start = match.index + match[0].length - list.length;
    for (const one of list.matchAll(/([1-9])\s?[-,]\s?([1-9])/g))
      found(start + one.index, start + one.index + one[0].length, counted(one[1], one[2]));
  }
};

/** Flash codes: counted lamp flashes, `2-1`. */
export const flash: Grammar = { name: 'flash', parse, scan };
