import {
  CatalogueVehicle,
  emptySlice,
  FleetVehicle,
  JobNote,
  parse,
  ShopSettings,
  type CatalogueSlice,
  type DictionaryEntry,
  type Docket,
  type IntakeContext,
  type Knowledge,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import type { InferEntity } from '@mikro-orm/core';
import { applicationFromRow, partFromRow } from './catalogueRows.ts';
import {
  ApplicationRow,
  CompanionRow,
  DictionaryRow,
  FleetRow,
  JobRow,
  PartRow,
  SensingRow,
  SettingRow,
  VehicleRow,
} from './entities.ts';

type PartEntity = InferEntity<typeof PartRow>;

/** Today in the shop's own time zone, YYYY-MM-DD. */
export const today = (now: Date = new Date()): string =>
  `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

export const shopSettings = async (em: EntityManager): Promise<ShopSettings> => {
  const row = await em.findOne(SettingRow, { key: 'shop' });
  return parse(ShopSettings, row ? JSON.parse(row.value) : {}, 'shop');
};

const vehiclesWhere = async (em: EntityManager, where: { id?: string }): Promise<CatalogueVehicle[]> => {
  const rows = await em.find(VehicleRow, where, { orderBy: { make: 'asc', model: 'asc' } });
  const sensing = await em.find(SensingRow, where.id ? { vehicleId: where.id } : {});
  return rows.map((row) =>
    parse(
      CatalogueVehicle,
      {
        ...row,
        platform: row.platform ?? null,
        builtTo: row.builtTo ?? null,
        steeringSide: row.steeringSide ?? null,
        knuckle: row.knuckle ?? null,
        tyre: row.tyre ?? null,
        dictionary: row.dictionary ?? null,
        wheelEnds: Object.fromEntries(
          sensing
            .filter((s) => s.vehicleId === row.id)
            .map((s) => [
              s.position,
              { sensor: s.sensor, mounting: s.mounting, target: s.target, ringSoldAlone: s.ringSoldAlone },
            ]),
        ),
      },
      `vehicle ${row.id}`,
    ),
  );
};

/** Keeps the shop's settings. */
export const saveShopSettings = async (em: EntityManager, settings: ShopSettings): Promise<void> => {
  await em.upsert(SettingRow, { key: 'shop', value: JSON.stringify(settings) });
};

/** Chains of supersession are followed so far. */
const LONGEST_CHAIN = 6;

/** Parts with those that took their place, the others of their interchange groups, and what kits hold. */
const withRelatives = async (em: EntityManager, first: PartEntity[]): Promise<PartEntity[]> => {
  const known = new Map(first.map((part) => [part.number, part]));
  let edge = first;
  for (let step = 0; step < LONGEST_CHAIN && edge.length > 0; step++) {
    const next = [
      ...edge.flatMap(({ supersededBy }) => supersededBy ?? []),
      ...edge.flatMap(({ contents }) =>
        (JSON.parse(contents) as Array<{ number: string }>).map(({ number }) => number),
      ),
    ].filter((number) => !known.has(number));
    const groups = step === 0 ? [...new Set(edge.flatMap(({ interchange }) => interchange ?? []))] : [];
    if (next.length === 0 && groups.length === 0) break;
    edge = (
      await em.find(PartRow, { $or: [{ number: { $in: next } }, { interchange: { $in: groups } }] })
    ).filter(({ number }) => !known.has(number));
    edge.forEach((part) => known.set(part.number, part));
  }
  return [...known.values()];
};

/** Everything the catalogue knows about one vehicle. */
export const sliceFor = async (em: EntityManager, vehicleId: string): Promise<CatalogueSlice> => {
  const [vehicle] = await vehiclesWhere(em, { id: vehicleId });
  if (!vehicle) return emptySlice();
  const applications = await em.find(ApplicationRow, { vehicleId });
  const companions = await em.find(CompanionRow, { $or: [{ vehicleId: null }, { vehicleId }] });
  const named = [
    ...new Set([
      ...applications.map((row) => row.partNumber),
      ...companions.map((row) => row.companionNumber),
    ]),
  ];
  const parts = await withRelatives(em, await em.find(PartRow, { number: { $in: named } }));
  const jobs = await em.find(JobRow, { vehicleId });
  return {
    vehicle,
    parts: parts.map(partFromRow),
    applications: applications.map(applicationFromRow),
    jobs: jobs.map((row) => parse(JobNote, row, `job note ${row.id}`)),
    companions: companions.map((row) => ({
      partClass: row.partClass as CatalogueSlice['companions'][number]['partClass'],
      vehicleId: row.vehicleId ?? null,
      companionNumber: row.companionNumber,
      quantity: row.quantity,
      why: row.why,
    })),
  };
};

const dictionaryWhere = async (
  em: EntityManager,
  where: { dictionary?: string },
): Promise<DictionaryEntry[]> =>
  (await em.find(DictionaryRow, where)).map(({ dictionary, code, module, text }) => ({
    dictionary,
    code,
    module,
    text,
  }));

/** What advising on this docket needs to know. */
export const knowledgeFor = async (em: EntityManager, docket: Docket): Promise<Knowledge> => {
  const id = docket.vehicle?.catalogueId;
  const slice = id ? await sliceFor(em, id) : emptySlice();
  const shop = await shopSettings(em);
  const dictionary =
    (docket.codes ?? []).length > 0
      ? await dictionaryWhere(em, slice.vehicle?.dictionary ? { dictionary: slice.vehicle.dictionary } : {})
      : [];
  return {
    slice,
    dictionary,
    overrides: shop.overrides,
    school: shop.school,
    currency: shop.currency,
    today: today(),
  };
};

/** What reading the counter line needs to know: names, fleet and dictionaries. */
export const intakeContext = async (em: EntityManager): Promise<IntakeContext> => {
  const shop = await shopSettings(em);
  const fleet = await em.find(FleetRow, {});
  return {
    steeringSide: null,
    trafficSide: shop.trafficSide,
    axles: null,
    vehicles: await vehiclesWhere(em, {}),
    fleet: fleet.map((row) =>
      parse(
        FleetVehicle,
        {
          ...row,
          plate: row.plate ?? null,
          vin: row.vin ?? null,
          buildDate: row.buildDate ?? null,
          saltExposure: row.saltExposure ?? null,
          distanceKm: row.distanceKm ?? null,
          note: row.note ?? null,
        },
        `fleet ${row.fleetNumber}`,
      ),
    ),
    dictionary: await dictionaryWhere(em, {}),
    today: today(),
  };
};

export const allVehicles = (em: EntityManager): Promise<CatalogueVehicle[]> => vehiclesWhere(em, {});
