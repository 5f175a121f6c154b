import { preferredPart } from '../fitment/fittingParts.ts';
import type { Assumptions } from '../assumptions/assumptions.ts';
import type { CataloguePart } from '../vocabulary/catalogue.ts';
import { PART_FIGURES } from '../partKinds/partData.ts';
import type { PartFigure } from '../partKinds/partFigure.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { deviationOf, readingChance, type Reading } from './readingChance.ts';

/** A part that may be the one on the counter; `sameAs` are numbers of its interchange group, other brands of one design. */
export interface Match {
  readonly part: CataloguePart;
  readonly sameAs: readonly string[];
  readonly probability: number;
}

/** The measure that tells the leaders apart, and by how much they differ. */
export interface NextMeasure {
  readonly figure: PartFigure;
  readonly between: ReadonlyArray<{ readonly number: string; readonly value: number | string }>;
  /** How many standard deviations of a caliper the leaders differ by; null for a count or a look. */
  readonly deviations: number | null;
}

export interface MatchResult {
  readonly ranked: readonly Match[];
  readonly next: NextMeasure | null;
  /** Numbers among the leaders that no figure can tell apart with the best tool. */
  readonly cannotTell: readonly string[];
  readonly said: string;
}

const SHOWN = 12;
/** Candidates that together hold so much of the probability are the leaders. */
const LEADING_SHARE = 0.95;
/** Two lengths this many deviations of the best tool apart can be told. */
const TOLD_APART = 3;

const figuresOf = (part: CataloguePart): readonly PartFigure[] =>
  part.partClass === 'companion' ? [] : PART_FIGURES[part.partClass];

const valueOf = (part: CataloguePart, figure: PartFigure): number | string | undefined =>
  figure.kind === 'look' ? part.looks[figure.key] : part.measures[figure.key];

/** Whether the best tool tells two parts apart by a figure; null where the catalogue does not know it of both. */
const differBy = (
  one: CataloguePart,
  other: CataloguePart,
  figure: PartFigure,
  a: Assumptions,
): number | null => {
  const [x, y] = [valueOf(one, figure), valueOf(other, figure)];
  if (x === undefined || y === undefined) return null;
  if (figure.kind !== 'length') return x === y ? 0 : Infinity;
  return Math.abs(Number(x) - Number(y)) / deviationOf(figure.key, Number(x), 'caliper', a);
};

/** Whether two parts are one to whoever measures: no figure differs by more than the best tool can see. */
export const indistinguishable = (one: CataloguePart, other: CataloguePart, a: Assumptions): boolean =>
  figuresOf(one).every((figure) => {
    const differ = differBy(one, other, figure, a);
    return differ === null || differ < TOLD_APART;
  });

/**
 * Ranks designs by what was measured; brands of one interchange group are one design. `fits` are numbers the vehicle's catalogue entry gives: they start ahead. The next
 * measure is that which splits the leaders' probability best, weighted by how far apart they are for the tool.
 */
export const matchPart = (
  parts: readonly CataloguePart[],
  partClass: PartClass,
  readings: readonly Reading[],
  fits: ReadonlySet<string>,
  a: Assumptions,
): MatchResult => {
  const designs = new Map<string, CataloguePart[]>();
  for (const part of parts)
    if (part.partClass === partClass && Object.keys(part.measures).length > 0) {
      const design = part.interchange ?? part.number;
      designs.set(design, [...(designs.get(design) ?? []), part]);
    }
  const weighed = [...designs.values()].map((brands) => {
    const part =
      preferredPart(brands.filter((brand) => brand.supersededBy === null)) ?? (brands[0] as CataloguePart);
    return {
      part,
      sameAs: brands.filter((brand) => brand !== part).map(({ number }) => number),
      weight: readings.reduce(
        (product, reading) => product * readingChance(part, reading, a),
        brands.some(({ number }) => fits.has(number)) ? a.get('match.prior-fits') : 1,
      ),
    };
  });
  const total = weighed.reduce((sum, { weight }) => sum + weight, 0);
  const ranked = weighed
    .map(({ part, sameAs, weight }) => ({ part, sameAs, probability: total > 0 ? weight / total : 0 }))
    .sort((x, y) => y.probability - x.probability || x.part.number.localeCompare(y.part.number));
  const leaders: Match[] = [];
  let held = 0;
  for (const match of ranked) {
    if (leaders.length > 0 && (held >= LEADING_SHARE || leaders.length >= SHOWN)) break;
    leaders.push(match);
    held += match.probability;
  }
  const [first] = leaders;
  if (!first || readings.length === 0)
    return { ranked: ranked.slice(0, SHOWN), next: null, cannotTell: [], said: 'Measure something first.' };
  const twins = leaders
    .filter(({ part }) => indistinguishable(first.part, part, a))
    .map(({ part }) => part.number);
  const taken = new Set(readings.map(({ key }) => key));
  const split = figuresOf(first.part)
    .filter(({ key }) => !taken.has(key))
    .flatMap((figure) => {
      const worth = leaders.slice(1).reduce((sum, { part, probability }) => {
        const differ = differBy(first.part, part, figure, a) ?? 0;
        return sum + probability * (1 - Math.exp(-0.5 * Math.min(differ, 12) ** 2 * 0.25));
      }, 0);
      return worth > 0.01 ? [{ figure, worth }] : [];
    })
    .sort((x, y) => y.worth - x.worth)[0];
  const rival = split
    ? leaders.slice(1).find(({ part }) => (differBy(first.part, part, split.figure, a) ?? 0) >= 1)
    : undefined;
  const next: NextMeasure | null =
    split && rival
      ? {
          figure: split.figure,
          between: [first, rival].map(({ part }) => ({
            number: part.number,
            value: valueOf(part, split.figure) ?? '',
          })),
          deviations:
            split.figure.kind === 'length'
              ? (differBy(first.part, rival.part, split.figure, a) ?? null)
              : null,
        }
      : null;
  const sure = first.probability >= a.get('match.sure');
  const twinShare = leaders
    .filter(({ part }) => twins.includes(part.number))
    .reduce((sum, { probability }) => sum + probability, 0);
  const worst = readings.filter((reading) => readingChance(first.part, reading, a) < 1e-3);
  const said =
    worst.length > 0
      ? `Nothing in the catalogue agrees with ${worst.map(({ key }) => key).join(' and ')}: measure again, or it is not here.`
      : sure
        ? `It is ${first.part.number}: ${Math.round(first.probability * 100)} in 100.`
        : next
          ? `Measure the ${next.figure.words} next: it tells ${next.between.map(({ number }) => number).join(' and ')} apart.`
          : twins.length > 1 && twinShare >= a.get('match.sure')
            ? `Cannot tell ${twins.join(' and ')} apart by measuring: they do not differ by more than the tool can see.`
            : 'Several are alike so far: measure more.';
  return {
    ranked: ranked.slice(0, SHOWN),
    next,
    cannotTell: twins.length > 1 ? twins : [],
    said,
  };
};
