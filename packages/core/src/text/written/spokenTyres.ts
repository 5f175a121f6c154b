import { groupsOf, NUMBER_WORD } from './numberWords.ts';
import type { Rewrite, Rewriter } from './rewriter.ts';

const RUN = new RegExp(`\\b(?:${NUMBER_WORD})(?: (?:${NUMBER_WORD})){3,7}\\b`, 'gi');
/** Width, aspect ratio and rim of tyres on the road: ISO sizes from 135/30 R12 to 335/85 R22. */
const SIZE = /^(1[3-9]5|2[0-9]5|3[0-3]5)(3[05]|[4-7][05]|8[05])(1[2-9]|2[0-2])$/;

/** Finds tyre sizes that are spelled out: "two oh five fifty five sixteen" is 205/55 R16. */
export const spokenTyres: Rewriter = (text) =>
  [...text.matchAll(RUN)].flatMap((match): Rewrite[] => {
    const [, width, aspect, rim] = SIZE.exec(groupsOf(match[0].toLowerCase().split(' ')).join('')) ?? [];
    return width
      ? [{ start: match.index, end: match.index + match[0].length, written: `${width}/${aspect} R${rim}` }]
      : [];
  });
