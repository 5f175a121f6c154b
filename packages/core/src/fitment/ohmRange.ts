import type { CatalogueSlice } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';
import { isCentre } from '../vocabulary/wheelEndWords.ts';
import type { WheelEnd } from '../vocabulary/wheelEnd.ts';
import { resolveParts } from './resolveParts.ts';

/** The resistance at 20 degC of the coils that fit a wheel end, from the lowest to the highest; null if not known. */
export const ohmRangeAt = (
  slice: CatalogueSlice,
  wheelEnd: WheelEnd,
  vehicle: DocketVehicle,
): { low: number; high: number } | null => {
  const known = resolveParts(
    slice,
    isCentre(wheelEnd) ? 'sender' : 'sensor',
    wheelEnd,
    vehicle,
  ).candidates.flatMap(({ part }) =>
    part.ohmsLow !== null && part.ohmsHigh !== null ? [[part.ohmsLow, part.ohmsHigh] as const] : [],
  );
  if (known.length === 0) return null;
  return { low: Math.min(...known.map(([low]) => low)), high: Math.max(...known.map(([, high]) => high)) };
};
