import { readVin, vinProblem } from '../vin.ts';
import type { VehicleReader } from './vehicleReading.ts';

const NO_CHECK_DIGIT = 'the ninth place is no check digit that fits; not every maker uses one';

/** The first VIN, with its model year where the check digit fits. */
export const readTheVin: VehicleReader = (reading) => {
  const { source, context, vehicle } = reading;
  for (const match of source.text.matchAll(/(?<![\p{L}\d])[A-Z0-9]{17}(?![\p{L}\d])/giu)) {
    const read = readVin(match[0], context.today);
    if (!read) continue;
    vehicle.vin = read.vin;
    const year = read.checkDigit === 'fits' ? (read.modelYears[0] ?? null) : null;
    if (year !== null) vehicle.buildDate = String(year);
    const told = year === null ? NO_CHECK_DIGIT : `check digit fits; model year ${year}`;
    reading.chip(
      `VIN ${read.vin}`,
      match.index,
      match.index + 17,
      [read.corrected, told].filter(Boolean).join('; '),
    );
    return;
  }
};

/** A word introduced as a VIN that is none is said to be so, and stays visible. */
export const sayBadVins: VehicleReader = (reading) => {
  if (reading.vehicle.vin) return;
  for (const match of reading.source.text.matchAll(
    /(?<![\p{L}\d])(?:vin|chassis no\.?|chassis number)\s*[:#]?\s*([A-Z0-9]{10,24})(?![\p{L}\d])/giu,
  )) {
    const note = vinProblem(match[1] ?? '');
    if (note)
      reading.show({
        kind: 'left-over',
        label: match[1] ?? '',
        start: match.index,
        end: match.index + match[0].length,
        note,
      });
  }
};
