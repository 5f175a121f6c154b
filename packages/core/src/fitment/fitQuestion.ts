import type { CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { wheelEndAt } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { preferredPart } from './fittingParts.ts';
import { knownAttributes, resolveParts, type Candidate } from './resolveParts.ts';
import { askFor } from './attributes.ts';

/** A question that splits the candidates, with what each answer would sell. */
export interface FitQuestion {
  readonly attribute: string;
  readonly ask: string;
  readonly look: string;
  readonly answers: ReadonlyArray<{ readonly value: string; readonly sells: string | null }>;
}

/** The vehicle with one attribute found out. */
export const withAttribute = (vehicle: DocketVehicle, attribute: string, value: string): DocketVehicle =>
  attribute === 'buildDate'
    ? { ...vehicle, buildDate: value }
    : attribute === 'steeringSide'
      ? { ...vehicle, steeringSide: value === 'left' ? 'left' : 'right' }
      : { ...vehicle, attributes: { ...vehicle.attributes, [attribute]: value } };

/** Which parts may be sold, as one word: two answers with the same word need not be told apart. */
const soldWord = (candidates: readonly Candidate[]): string =>
  preferredPart(candidates.map(({ part }) => part))?.number ?? '';

/** A month in each stretch that the build dates of the rows cut time into. */
const buildAnswers = (candidates: readonly Candidate[], known: string | null | undefined): string[] => {
  if (known && known.length >= 7) return [];
  const cuts = new Set<string>();
  for (const { rows } of candidates)
    for (const { builtFrom, builtTo } of rows) {
      if (builtFrom) cuts.add(builtFrom.padEnd(7, '-01').slice(0, 7));
      if (builtTo) cuts.add(monthAfter(builtTo));
    }
  const inside = [...cuts].filter((cut) => !known || cut.startsWith(known)).sort();
  const first = inside[0];
  return first ? [monthBefore(first), ...inside] : [];
};

const shiftMonth = (month: string, by: number): string => {
  const [year = 0, m = 1] = month.split('-').map(Number);
  const total = year * 12 + (m - 1) + by;
  return `${Math.floor(total / 12)}-${String((total % 12) + 1).padStart(2, '0')}`;
};
const monthBefore = (month: string): string => shiftMonth(month, -1);
const monthAfter = (date: string): string =>
  date.length === 4 ? `${Number(date) + 1}-01` : shiftMonth(date.slice(0, 7), 1);

/**
 * The one question to ask next for a part: of those whose answer changes the part sold, the one that leaves the least
 * on average (answers taken as even). Null when nothing that matters is open. Asking it always takes something away,
 * so a row of questions comes to an end.
 */
export const fitQuestion = (
  slice: CatalogueSlice,
  partClass: PartClass,
  wheelEnd: WheelEnd,
  vehicle: DocketVehicle,
): FitQuestion | null => {
  const { candidates } = resolveParts(slice, partClass, wheelEnd, vehicle);
  if (candidates.length < 2) return null;
  const known = knownAttributes(vehicle, wheelEnd);
  const values = new Map<string, Set<string>>();
  for (const { rows } of candidates)
    for (const { conditions } of rows)
      for (const [attribute, value] of Object.entries(conditions))
        if (known[attribute] == null) values.set(attribute, (values.get(attribute) ?? new Set()).add(value));
  const open: Array<[string, string[]]> = [...values].map(([attribute, set]) => [attribute, [...set].sort()]);
  const dates = buildAnswers(candidates, vehicle.buildDate);
  if (dates.length > 1) open.push(['buildDate', dates]);
  const scored = open.flatMap(([attribute, answers]) => {
    if (answers.length < 2) return [];
    const outcomes = answers.map((value) => ({
      value,
      left: resolveParts(slice, partClass, wheelEnd, withAttribute(vehicle, attribute, value)).candidates,
    }));
    if (new Set(outcomes.map(({ left }) => soldWord(left))).size < 2) return [];
    const average = outcomes.reduce((sum, { left }) => sum + left.length, 0) / outcomes.length;
    if (average >= candidates.length) return [];
    return [{ attribute, outcomes, average }];
  });
  const best = scored.sort((a, b) => a.average - b.average || a.attribute.localeCompare(b.attribute))[0];
  if (!best) return null;
  const { ask, look } = askFor(best.attribute);
  const merged = best.outcomes.map(({ value, left }) => ({ value, sells: soldWord(left) || null }));
  return { attribute: best.attribute, ask, look, answers: merged };
};

/** What fits, class by class and corner by corner, with the question still open for each: the whole of `hardy fit`. */
export interface FitLine {
  readonly partClass: PartClass;
  readonly wheelEnd: WheelEnd;
  readonly candidates: ReadonlyArray<{
    number: string;
    tier: string;
    brand: string;
    price: number;
    stock: number;
    instead: string | null;
  }>;
  readonly excluded: ReadonlyArray<{ number: string; because: string }>;
  readonly question: FitQuestion | null;
}

export const fitAll = (slice: CatalogueSlice, vehicle: DocketVehicle, axles: number): FitLine[] => {
  const classes = [...new Set(slice.parts.map(({ partClass }) => partClass))].filter(
    (c): c is PartClass => c !== 'companion',
  );
  const ends = Array.from({ length: axles }, (_, i) => [
    wheelEndAt(i + 1, 'left'),
    wheelEndAt(i + 1, 'right'),
    wheelEndAt(i + 1, 'centre'),
  ]).flat();
  return classes.flatMap((partClass) =>
    ends.flatMap((wheelEnd): FitLine[] => {
      const { candidates, excluded } = resolveParts(slice, partClass, wheelEnd, vehicle);
      if (candidates.length === 0) return [];
      const shown = ({ part, instead }: Candidate) => ({ ...summary(part), instead });
      return [
        {
          partClass,
          wheelEnd,
          candidates: candidates.map(shown),
          excluded: excluded
            .filter(({ because }) => !because.startsWith('is for A'))
            .map(({ part, because }) => ({ number: part.number, because })),
          question: fitQuestion(slice, partClass, wheelEnd, vehicle),
        },
      ];
    }),
  );
};

const summary = (part: CataloguePart) => ({
  number: part.number,
  tier: part.tier,
  brand: part.brand,
  price: part.priceCents / 100,
  stock: part.stock,
});
