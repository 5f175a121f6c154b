import type { Assumptions } from '../assumptions/assumptions.ts';
import { WORK_AS_DEED, type Work } from '../offers/fixes.ts';
import type { ComparedWay } from '../vocabulary/comparison.ts';
import { PART_IN_WORDS } from '../vocabulary/inWords.ts';
import { moneyInWords } from '../vocabulary/money.ts';
import { snapCost } from '../offers/together.ts';
import type { CompareModel } from './model.ts';

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** A chance as one says it: about one in three. */
const oneIn = (chance: number): string => {
  if (chance >= 0.75) return 'likely';
  if (chance >= 0.45) return 'about one in two';
  const n = Math.round(1 / chance);
  const words = [
    'one',
    'two',
    'three',
    'four',
    'five',
    'six',
    'seven',
    'eight',
    'nine',
    'ten',
    'eleven',
    'twelve',
  ];
  return `about one in ${words[n - 1] ?? n}`;
};

/** A lead smaller than this, in the shop’s currency, is none. */
const WORTH_A_WORD = 3;
/** A bad day is worth a word when it is cheaper by one part in twenty. */
const BETTER_BAD_DAY = 0.95;
/** What ranking a way takes: cheapest first in a list. */
type Ranked = Pick<ComparedWay, 'id' | 'kind' | 'parts' | 'cures'>;

/** Whether a way does all that another does, and perhaps more: it is no alternative to it. */
const holds = (way: Ranked, other: Ranked): boolean =>
  way.id === other.id ||
  (other.kind === 'parts' && other.parts.every(({ part }) => way.parts.some((p) => p.part === part)));

/** The cheapest way that does something else than the best one; one that hardly ever cures is left aside. */
export const rivalOf = <W extends Ranked>(ways: readonly W[], a: Assumptions): W | null => {
  const [best] = ways;
  if (!best) return null;
  return (
    ways.find((way) => !holds(way, best) && way.cures >= a.get('compare.rival-from')) ??
    ways.find((way) => way.id !== best.id) ??
    null
  );
};

/** The parts of a way without their brand, which nobody reads out. */
const partsInWords = ({ parts }: ComparedWay): string =>
  [...new Set(parts.map(({ part }) => PART_IN_WORDS[part]))].join(' and ') +
  (new Set(parts.map(({ wheelEnd }) => wheelEnd)).size > 1 ? ' on both sides' : '');

/** A way as the subject of a sentence. */
const named = (way: ComparedWay): string =>
  way.kind === 'parts'
    ? `the ${partsInWords(way)}`
    : way.kind === 'refer'
      ? 'referring it to a workshop'
      : WORK_AS_DEED[way.id.slice('work:'.length) as Work];

/**
 * What to say to the customer: which is cheaper and by how much, what would turn it (a snapped sensor, leaving today),
 * and how often it would come out so.
 */
export const sayAloud = (
  ways: readonly ComparedWay[],
  beats: readonly (readonly number[])[],
  model: CompareModel,
  a: Assumptions,
): string => {
  const [best] = ways;
  const rival = rivalOf(ways, a);
  if (!best) return 'There is nothing to compare yet.';
  if (!rival) return `${capital(named(best))} is the only way here.`;
  const money = (amount: number) => moneyInWords(amount, model.currency);
  const meanGap = rival.allIn.mean - best.allIn.mean;
  const r = ways.indexOf(rival);
  const wins = beats[0]?.[r] ?? 0;
  const modelOf = (way: ComparedWay) => model.ways.find(({ id }) => id === way.id);
  const snag = modelOf(best)?.snags[0] ?? null;
  const rivalSnag = modelOf(rival)?.snags[0] ?? null;
  // Once it has snapped: its cost is certain instead of weighted by its chance; the rival that draws it too pays as well.
  const snapped = snag
    ? (1 - snag.chance) * snapCost(snag) - (rivalSnag ? (1 - rivalSnag.chance) * snapCost(rivalSnag) : 0)
    : 0;
  const alone = capital(named(best)) + (best.parts.length === 1 ? ' alone' : '');
  const other = named(rival);
  const turns: string[] = [];
  if (snag && snag.chance >= a.get('compare.snap-said-from') && snapped > meanGap)
    turns.push(`unless it snaps, which is ${oneIn(snag.chance)} on this one`);
  const unless = turns.length > 0 ? ` ${turns.join(', ')}` : '';
  const begin =
    meanGap < WORTH_A_WORD
      ? `${capital(named(best))} and ${other} come to about the same on average`
      : `${alone} is cheaper than ${other} by about ${money(meanGap)} on average${unless}`;
  if (best.waitDays > rival.waitDays && rival.kind !== 'refer')
    return `${begin}; ${other} is the safer if it must leave today.`;
  if (rival.allIn.p90 < best.allIn.p90 * BETTER_BAD_DAY)
    return `${begin}; but a bad day is cheaper with the other: ${money(rival.allIn.p90)} against ${money(best.allIn.p90)}.`;
  const often = `in ${Math.round(wins * 100)} of 100 such jobs`;
  return wins >= 0.5 ? `${begin}, and ${often}.` : `${begin}, though only ${often}.`;
};
