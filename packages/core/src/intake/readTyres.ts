import { parseTyreSize } from '../vocabulary/tyreSize.ts';
import type { TyreSizes } from '../vocabulary/tyreSizes.ts';
import { wheelEndAt } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { has } from './frames/clause.ts';
import type { Placed } from './resolveWheels.ts';
import type { Unit } from './unit.ts';

/** A tyre size in running text. */
const TYRE =
  /(?<![\p{L}\d])(?:(?:LT|P)?\d{3}\s?\/\s?\d{2,3}\s?(?:Z?R|-|\s)\s?\d{2}C?(?:\s?\d{2,3}(?:\/\d{2,3})?[A-Z])?|\d{2}(?:[.,]\d+)?\s?[xX\u00D7]\s?\d{1,2}[.,]\d{1,2}\s?(?:R|-)\s?\d{2}|\d[.,]\d{2}\s?(?:R|-)\s?\d{2})(?![\p{L}\d])/giu;

export interface FoundTyre {
  readonly size: string;
  readonly start: number;
  readonly end: number;
}

/** Every tyre size of a text. */
export const findTyreSizes = (text: string): FoundTyre[] =>
  [...text.matchAll(TYRE)]
    .filter((match) => parseTyreSize(match[0]) !== null)
    .map((match) => ({ size: match[0].trim(), start: match.index, end: match.index + match[0].length }));

/** A size with the wheels it is of: its clause's place, the rest of the wheels, or all of them. */
export interface PlacedTyre extends FoundTyre {
  readonly wheelEnds: readonly WheelEnd[];
  readonly carried: boolean;
}

/** Gives each size its wheels. A size said of no wheel stays without one. */
export const placeTyres = (
  found: readonly FoundTyre[],
  unitAt: (start: number) => Unit | null,
  placeOf: (unit: Unit) => Placed,
  all: readonly WheelEnd[],
): { tyres: TyreSizes; placed: PlacedTyre[] } => {
  const tyres: TyreSizes = {};
  const placed = found.map((tyre): PlacedTyre => {
    const unit = unitAt(tyre.start);
    const place = unit ? placeOf(unit) : null;
    const rest = unit !== null && has(unit, 'rest') && !unit.group;
    // "195/65 R15 on the front": both wheels of the axle.
    const axle = place?.group?.places.length === 1 ? place.group.places[0]?.axle : undefined;
    const pair = axle === undefined ? [] : [wheelEndAt(axle, 'left'), wheelEndAt(axle, 'right')];
    const said = place?.wheelEnds.length ? place.wheelEnds : pair;
    const ends = rest ? all.filter((end) => !(end in tyres)) : said;
    for (const end of ends) tyres[end] ??= tyre.size;
    return { ...tyre, wheelEnds: ends, carried: !rest && (place?.carried ?? false) };
  });
  return { tyres, placed };
};
