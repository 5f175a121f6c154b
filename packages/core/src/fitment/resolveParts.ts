import type { Application, CataloguePart, CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import type { PartClass } from '../vocabulary/words.ts';
import { axleOf } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { mayBeBuiltWithin } from './fittingParts.ts';
import { newestOf } from './supersession.ts';

/** A part that may fit, with the rows that say so and how it was reached. */
export interface Candidate {
  readonly part: CataloguePart;
  readonly rows: readonly Application[];
  /** The number it took the place of, when the row named an older one. */
  readonly instead: string | null;
}

/** A part of the class that does not fit, and why. */
export interface Exclusion {
  readonly part: CataloguePart;
  readonly because: string;
}

export interface Resolved {
  readonly candidates: readonly Candidate[];
  readonly excluded: readonly Exclusion[];
}

/** What is known of a vehicle where fitment splits: attributes found out, and the fields of the docket. */
export const knownAttributes = (
  vehicle: DocketVehicle,
  wheelEnd: WheelEnd,
): Readonly<Record<string, string | null>> => {
  const architecture = { ...vehicle.wheelEnds?.[`A${axleOf(wheelEnd)}`], ...vehicle.wheelEnds?.[wheelEnd] };
  return {
    steeringSide: vehicle.steeringSide ?? null,
    driveline: vehicle.driveline ?? null,
    knuckle: vehicle.knuckle ?? null,
    sensor: architecture.sensor ?? null,
    ...vehicle.attributes,
  };
};

/** Why a row does not hold for a vehicle, or null when nothing known speaks against it. */
const speaksAgainst = (
  row: Application,
  wheelEnd: WheelEnd,
  buildDate: string | null | undefined,
  known: Readonly<Record<string, string | null>>,
): string | null => {
  if (!row.wheelEnds.includes(wheelEnd)) return `is for ${row.wheelEnds.join(', ')}`;
  if (!mayBeBuiltWithin(buildDate, row.builtFrom, null)) return `is for vehicles built from ${row.builtFrom}`;
  if (!mayBeBuiltWithin(buildDate, null, row.builtTo)) return `is for vehicles built to ${row.builtTo}`;
  for (const [attribute, value] of Object.entries(row.conditions)) {
    const found = known[attribute];
    if (found != null && found.toLowerCase() !== value.toLowerCase())
      return `is for ${attribute} ${value}, this one has ${found}`;
  }
  return null;
};

/**
 * From vehicle, wheel end and part class to candidates, each exclusion with its reason. A condition on something not
 * known lets the part through: it is asked, not guessed. A number that was superseded stands for the newest of its
 * chain; parts of one interchange group stand in for each other where one of them fits.
 */
export const resolveParts = (
  slice: CatalogueSlice,
  partClass: PartClass,
  wheelEnd: WheelEnd,
  vehicle: DocketVehicle,
): Resolved => {
  const known = knownAttributes(vehicle, wheelEnd);
  const byNumber = new Map(slice.parts.map((part) => [part.number, part]));
  const rowsOf = new Map<string, Application[]>();
  for (const row of slice.applications)
    rowsOf.set(row.partNumber, [...(rowsOf.get(row.partNumber) ?? []), row]);
  const fits = new Map<string, Candidate>();
  const excluded = new Map<string, Exclusion>();
  const put = (part: CataloguePart, rows: readonly Application[], instead: string | null) => {
    const old = fits.get(part.number);
    fits.set(part.number, {
      part,
      rows: [...(old?.rows ?? []), ...rows],
      instead: old ? old.instead : instead,
    });
  };
  for (const [number, rows] of rowsOf) {
    const part = byNumber.get(number);
    if (part?.partClass !== partClass) continue;
    const reasons = rows.map((row) => speaksAgainst(row, wheelEnd, vehicle.buildDate, known));
    const holding = rows.filter((_, i) => reasons[i] === null);
    if (holding.length === 0) {
      excluded.set(number, { part, because: reasons.find((reason) => reason !== null) ?? '' });
      continue;
    }
    const newest = newestOf(part, byNumber);
    put(newest, holding, newest.number === number ? null : number);
  }
  for (const candidate of [...fits.values()])
    if (candidate.part.interchange)
      for (const part of slice.parts)
        if (
          part.interchange === candidate.part.interchange &&
          part.partClass === partClass &&
          part.supersededBy === null &&
          !fits.has(part.number) &&
          !rowsOf.has(part.number)
        )
          put(part, candidate.rows, candidate.part.number);
  for (const number of fits.keys()) excluded.delete(number);
  return {
    candidates: [...fits.values()].sort((a, b) => a.part.number.localeCompare(b.part.number)),
    excluded: [...excluded.values()].sort((a, b) => a.part.number.localeCompare(b.part.number)),
  };
};
