import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';
import type { IntakeContext } from './context.ts';
import type { SourceText } from './sourceText.ts';
import { readBuilt } from './vehicle/builtReader.ts';
import { readDistance } from './vehicle/distanceReader.ts';
import { readDriveWords } from './vehicle/driveReader.ts';
import { readFleet } from './vehicle/fleetReader.ts';
import { readName } from './vehicle/nameReader.ts';
import { VehicleReading, type VehicleReader } from './vehicle/vehicleReading.ts';
import { readTheVin, sayBadVins } from './vehicle/vinReader.ts';

/** What is read of the vehicle, in this order: what a reader took is no other's, what it found stands. */
const READERS: readonly VehicleReader[] = [
  readTheVin,
  sayBadVins,
  readDistance,
  readFleet,
  readDriveWords,
  readName,
  readBuilt,
];

export interface ReadVehicle extends Pick<VehicleReading, 'vehicle' | 'chips' | 'asks'> {
  readonly vehicleRow: CatalogueVehicle | null;
}

/** Reads which vehicle it is: by fleet number or plate, by VIN, or by make, model, kind and year. */
export const readVehicle = (source: SourceText, context: IntakeContext): ReadVehicle => {
  const reading = new VehicleReading(source, context);
  for (const read of READERS) read(reading);
  const { vehicle, chips, asks, row } = reading;
  if (row) {
    vehicle.catalogueId = row.id;
    vehicle.name = `${row.make} ${row.model}`;
  }
  return { vehicle, chips, asks, vehicleRow: row };
};
