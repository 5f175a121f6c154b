import type { VehicleReader } from './vehicleReading.ts';

/** A distance driven: `190000 km`, `190 000km`, `120k miles`, `60 thousand miles`, `km 88000`. Speeds (km/h, mph) are none. */
const DISTANCE =
  /(?<![\w.,])(?:(?<unitFirst>kms?|miles)[ :]+(?<first>\d{4,7})(?![\d\w/])|(?<digits>\d{1,3}(?:[ .,']\d{3})+|\d{2,7})\s?(?<thousands>k|thousand)?\s?(?<unit>km|kms|kilometres|miles|mi)(?![\w/]|[ :]+\d{4,7}(?!\d)))/giu;
const KM_PER_MILE = 1.609344;
/** Nearer is how far the garage is, further is no vehicle. */
const LEAST_KM = 1000;
const MOST_KM = 3_000_000;

/** The distance a vehicle has been driven, in km, as the text says it first. */
const distanceIn = (text: string): { km: number; start: number; end: number } | null => {
  for (const match of text.matchAll(DISTANCE)) {
    const { unitFirst, first, digits, thousands, unit } = match.groups ?? {};
    const told = Number((first ?? digits ?? '').replace(/[ .,']/g, '')) * (thousands ? 1000 : 1);
    const miles = (unitFirst ?? unit ?? '').toLowerCase().startsWith('mi');
    const km = Math.round(miles ? told * KM_PER_MILE : told);
    if (km >= LEAST_KM && km <= MOST_KM)
      return { km, start: match.index, end: match.index + match[0].length };
  }
  return null;
};

/** How far it has been driven. */
export const readDistance: VehicleReader = (reading) => {
  const driven = distanceIn(reading.source.text);
  if (!driven) return;
  reading.vehicle.distanceKm = driven.km;
  reading.chip(`driven ${driven.km.toLocaleString('en-GB')} km`, driven.start, driven.end);
};
