import type { VehicleReader } from './vehicleReading.ts';

const squeezed = (text: string): string => text.toUpperCase().replace(/[^A-Z0-9]/g, '');

/** A fleet number, a plate or a VIN of the fleet's register. */
export const readFleet: VehicleReader = (reading) => {
  const { source, context, vehicle } = reading;
  if (context.fleet.length === 0) return;
  const { tokens } = source;
  const known = new Map(
    context.fleet.flatMap((f) =>
      [f.fleetNumber, f.plate, f.vin].flatMap((words) => (words ? [[squeezed(words), f] as const] : [])),
    ),
  );
  const byVin = vehicle.vin ? known.get(vehicle.vin) : undefined;
  for (let i = 0; i < tokens.length; i++)
    for (let n = 3; n >= 1; n--) {
      if (i + n > tokens.length || (source.taken(i) && tokens[i]?.text.length !== 17)) continue;
      const joined = squeezed(source.words(i, i + n));
      if (joined.length < 2 || !/\d/.test(joined)) continue;
      const fleet = known.get(joined) ?? (byVin && joined === vehicle.vin ? byVin : undefined);
      if (!fleet) continue;
      const row = context.vehicles.find((v) => v.id === fleet.vehicleId) ?? null;
      Object.assign(vehicle, {
        fleetNumber: fleet.fleetNumber,
        plate: fleet.plate,
        vin: vehicle.vin ?? fleet.vin,
        buildDate: fleet.buildDate,
        saltExposure: fleet.saltExposure,
        distanceKm: vehicle.distanceKm ?? fleet.distanceKm,
      });
      reading.chip(
        `${fleet.fleetNumber}${row ? `: ${row.make} ${row.model}` : ''}`,
        tokens[i]?.start ?? 0,
        tokens[i + n - 1]?.end ?? 0,
        'from the fleet register',
      );
      reading.row = row;
      return;
    }
};
