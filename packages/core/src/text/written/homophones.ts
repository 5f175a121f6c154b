import { DIGIT_WORD } from './numberWords.ts';
import type { Rewrite, Rewriter } from './rewriter.ts';

const PARTS = 'sensors?|hubs?|rings?|bearings?|plugs?|leads?|looms?|shafts?|tyres?|battery|one|discs?|pads?';

/**
 * Words that sound like a word of the trade and that a phone writes in its place, each only beside words that leave no
 * doubt. A group named `w` is what is replaced.
 */
const HOMOPHONES: ReadonlyArray<readonly [RegExp, string]> = [
  [/\b(?<w>wring)s?\b/gi, 'ring'],
  [/\b(?<w>cens[oe]r)s?\b/gi, 'sensor'],
  [/\b(?<w>baring)s?\b/gi, 'bearing'],
  [/\b(?<w>peddle)s?\b/gi, 'pedal'],
  [
    /\b(?<w>break)(?= (?:lights?|lamps?|warning|pedal|peddle|fluid|pads?|shoes?|discs?|drums?|pipes?)\b)/gi,
    'brake',
  ],
  [/\b(?<w>relocator|reluctant|reductor)(?= ring)/gi, 'reluctor'],
  [/\b(?<w>write)(?= (?:front|rear|back|hand|side)\b)/gi, 'right'],
  [/\b(?:front|rear|back) (?<w>write)\b/gi, 'right'],
  [/\b(?:left|right|off ?side|near ?side) (?<w>rare)\b/gi, 'rear'],
  [/\b(?:left|right|front|rear|back|the) (?<w>we'll|we’ll)/gi, 'wheel'],
  [new RegExp(`\\b(?<w>knew)(?= (?:${PARTS})\\b)`, 'gi'), 'new'],
  [/\b(?:clean|cut|chewed|worn|rubbed|bitten|gone|straight) (?<w>threw)\b/gi, 'through'],
  [/\b(?<w>thru|thro)\b/gi, 'through'],
  [/\d ?(?<w>homes)\b/gi, 'ohms'],
  [/\b(?<w>kay|kays)(?= (?:ohms?)\b)/gi, 'k'],
  [/(?<=\d ?)(?<w>kay)\b/gi, 'k'],
  [/\b(?<w>a b s)\b/gi, 'abs'],
  [/\b(?<w>s p n)\b/gi, 'spn'],
  // "spin one wheel" is work: a number of three figures must follow.
  [new RegExp(`\\b(?<w>spin)(?= (?:\\d{3,}|(?:${DIGIT_WORD})(?: (?:${DIGIT_WORD})){2})\\b)`, 'gi'), 'spn'],
  [/\b(?<w>f m (?:i|eye))\b/gi, 'fmi'],
  [/\b(?<w>r h d)\b/gi, 'rhd'],
  [/\b(?<w>l h d)\b/gi, 'lhd'],
  [/\b(?<w>t c s)\b/gi, 'tcs'],
  [/\b(?<w>e s [cp])\b/gi, 'esc'],
  [/\b(?<w>a c)(?= (?:volts?|range|and)\b)/gi, 'ac'],
  [/\bon (?<w>a c)\b/gi, 'ac'],
];

/** Finds words that were misheard by whatever wrote them down: "tone wring", "the we'll", "front write". */
export const homophones: Rewriter = (text) => {
  const found: Rewrite[] = [];
  for (const [said, written] of HOMOPHONES)
    for (const match of text.matchAll(said)) {
      const word = match.groups?.w ?? '';
      const start = match.index + match[0].toLowerCase().lastIndexOf(word.toLowerCase());
      const end = start + word.length;
      if (!found.some((other) => other.start < end && start < other.end)) found.push({ start, end, written });
    }
  return found.sort((a, b) => a.start - b.start);
};
