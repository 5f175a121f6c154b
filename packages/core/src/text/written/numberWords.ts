const UNITS = ['zero', 'one', 'two', 'three', 'four', 'five', 'six', 'seven', 'eight', 'nine'];
const TEENS = [
  'ten',
  'eleven',
  'twelve',
  'thirteen',
  'fourteen',
  'fifteen',
  'sixteen',
  'seventeen',
  'eighteen',
  'nineteen',
];
const TENS = ['twenty', 'thirty', 'forty', 'fifty', 'sixty', 'seventy', 'eighty', 'ninety'];

/** Number words below a hundred with their values. */
const VALUES = new Map<string, number>([
  ...UNITS.map((word, i) => [word, i] as const),
  ...TEENS.map((word, i) => [word, 10 + i] as const),
  ...TENS.map((word, i) => [word, 20 + 10 * i] as const),
  ['oh', 0],
  ['nought', 0],
  ['naught', 0],
  ['fourty', 40],
]);

/** One number word, for a pattern. */
export const NUMBER_WORD = [...VALUES.keys()].join('|');
/** One digit as it is spelled, for a pattern. */
export const DIGIT_WORD = [...UNITS, 'oh', 'nought', 'naught'].join('|');

/** Returns the digit that a word or a figure spells, as text; null for another word. */
export const digitOf = (word: string): string | null => {
  if (/^\d$/.test(word)) return word;
  if (word === 'o') return '0';
  const value = VALUES.get(word);
  return value !== undefined && value < 10 ? String(value) : null;
};

/**
 * Returns number words side by side as they are written without the words between: "two oh five fifty five" is 205 and 55,
 * one group for each number below a hundred that is said in one breath.
 */
export const groupsOf = (words: readonly string[]): string[] => {
  const groups: string[] = [];
  let tens = false;
  for (const word of words) {
    const value = VALUES.get(word);
    if (value === undefined) return [];
    if (tens && value > 0 && value < 10) groups.push(String(Number(groups.pop()) + value));
    else groups.push(String(value));
    tens = value >= 20;
  }
  return groups;
};

/** Returns the value of a whole number in words, as a person says it: "eleven hundred", "twelve fifty", "one one six five". */
export const wholeNumberOf = (words: readonly string[]): number | null => {
  const said = words.filter((word) => word !== 'and');
  const scaleAt = (scale: string) => said.indexOf(scale);
  for (const [scale, by] of [
    ['thousand', 1000],
    ['hundred', 100],
  ] as const) {
    const at = scaleAt(scale);
    if (at < 0) continue;
    const before = said.slice(0, at);
    const after = said.slice(at + 1);
    const many = before.length === 0 || before[0] === 'a' ? 1 : wholeNumberOf(before);
    const rest = after.length === 0 ? 0 : wholeNumberOf(after);
    return many === null || rest === null || rest >= by ? null : many * by + rest;
  }
  const groups = groupsOf(said);
  return groups.length === 0 ? null : Number(groups.join(''));
};

/** Whether a word is a number below a hundred. */
export const isNumberWord = (word: string): boolean => VALUES.has(word);
