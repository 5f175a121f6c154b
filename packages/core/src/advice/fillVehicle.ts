import type { CatalogueVehicle } from '../vocabulary/catalogue.ts';
import type { DocketVehicle } from '../vocabulary/docket.ts';

/** The docket's vehicle with what is absent filled from the catalogue. What the docket says wins. */
export const fillVehicle = (given: DocketVehicle, catalogue: CatalogueVehicle | null): DocketVehicle => {
  if (!catalogue) return given;
  const tyres = catalogue.tyre;
  const keys = new Set([...Object.keys(catalogue.wheelEnds), ...Object.keys(given.wheelEnds ?? {})]);
  const stated = (entry: Record<string, unknown> | undefined) =>
    Object.fromEntries(Object.entries(entry ?? {}).filter(([, value]) => value != null));
  return {
    ...given,
    name: given.name ?? `${catalogue.make} ${catalogue.model}`,
    axles: given.axles ?? catalogue.axles,
    steeringSide: given.steeringSide ?? catalogue.steeringSide,
    driveline: given.driveline ?? catalogue.driveline,
    knuckle: given.knuckle ?? catalogue.knuckle,
    electric: given.electric ?? catalogue.electric,
    wheelEnds: Object.fromEntries(
      [...keys].map((key) => [key, { ...catalogue.wheelEnds[key], ...stated(given.wheelEnds?.[key]) }]),
    ),
    originalTyre: given.originalTyre ?? tyres,
    tyres: given.tyres ?? (tyres ? {} : undefined),
  };
};
