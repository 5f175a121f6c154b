import type { VehicleReader } from './vehicleReading.ts';

/** A date behind one of these is of a part. */
const OF_A_PART = /(?:fitted|done|replaced|changed)\s+(?:in|on)?\s*$/i;
const BEFORE = 24;

/** When it was built, where nothing told so far. */
export const readBuilt: VehicleReader = (reading) => {
  const { vehicle, dates, source } = reading;
  if (vehicle.buildDate) return;
  const said = dates.find(
    ({ introduced, start }) =>
      introduced && !OF_A_PART.test(source.text.slice(Math.max(0, start - BEFORE), start)),
  );
  if (!said) return;
  vehicle.buildDate = said.date;
  reading.chip(`built ${said.date}`, said.start, said.end);
};
