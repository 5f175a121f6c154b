import {
  assumptionsWith,
  emptySlice,
  FleetVehicle,
  parse,
  ShopSettings,
  type CataloguePart,
  type CatalogueSlice,
  type CatalogueVehicle,
  type DictionaryEntry,
  type Docket,
  type IntakeContext,
  type Knowledge,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import {
  applicationFromRaw,
  companionFromRaw,
  jobFromRaw,
  partFromRaw,
  sensingFromRaw,
  vehicleFromRaw,
} from './catalogueRows.ts';
import { DictionaryRow, FleetRow, SettingRow } from './entities.ts';

/** Today in the shop's own time zone, YYYY-MM-DD. */
export const today = (now: Date = new Date()): string =>
  `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;

export const shopSettings = async (em: EntityManager): Promise<ShopSettings> => {
  const row = await em.findOne(SettingRow, { key: 'shop' });
  return parse(ShopSettings, row ? JSON.parse(row.value) : {}, 'shop');
};

const vehiclesWhere = async (em: EntityManager, where: { id?: string }): Promise<CatalogueVehicle[]> => {
  const rows = rowsFor(em);
  const [condition, params] = where.id ? ['where id = ?', [where.id]] : ['', []];
  const vehicles = await rows(`select * from vehicle ${condition} order by make, model`, params);
  const sensing = await rows(`select * from sensing ${where.id ? 'where vehicle_id = ?' : ''}`, params);
  const byVehicle = new Map<string, Record<string, CatalogueVehicle['wheelEnds'][string]>>();
  for (const row of sensing) {
    const id = String(row.vehicle_id);
    byVehicle.set(id, { ...byVehicle.get(id), [String(row.position)]: sensingFromRaw(row) });
  }
  return vehicles.map((row) => vehicleFromRaw(row, byVehicle.get(String(row.id)) ?? {}));
};

/** Keeps the shop's settings. */
export const saveShopSettings = async (em: EntityManager, settings: ShopSettings): Promise<void> => {
  await em.upsert(SettingRow, { key: 'shop', value: JSON.stringify(settings) });
};

/** Chains of supersession are followed so far. */
const LONGEST_CHAIN = 6;

type Raw = Readonly<Record<string, unknown>>;

/**
 * Rows as the database has them, without entities: a slice is read at every change of a docket, and what is in the
 * database was checked when it came in.
 */
const rowsFor =
  (em: EntityManager) =>
  async (sql: string, params: readonly unknown[]): Promise<Raw[]> =>
    em.getConnection().execute<Raw[]>(sql, [...params], 'all', em.getTransactionContext());

const marks = (list: readonly unknown[]): string => list.map(() => '?').join(', ');

/** Everything the catalogue knows about one vehicle. */
export const sliceFor = async (em: EntityManager, vehicleId: string): Promise<CatalogueSlice> => {
  const rows = rowsFor(em);
  const [vehicle] = await vehiclesWhere(em, { id: vehicleId });
  if (!vehicle) return emptySlice();
  const applications = (await rows('select * from application where vehicle_id = ?', [vehicleId])).map(
    applicationFromRaw,
  );
  const companions = (
    await rows('select * from companion_rule where vehicle_id is null or vehicle_id = ?', [vehicleId])
  ).map(companionFromRaw);
  const jobs = (await rows('select * from job_note where vehicle_id = ?', [vehicleId])).map(jobFromRaw);
  // The parts the rows name, the others of their interchange groups, and what goes along.
  const known = new Map<string, CataloguePart>();
  const add = (found: Raw[]) => {
    // A part comes in by its row and by its group: it is read once.
    for (const row of found)
      if (!known.has(String(row.number))) known.set(String(row.number), partFromRaw(row));
  };
  const along = companions.map(({ companionNumber }) => companionNumber);
  add(
    await rows(
      // Each way in by an index of its own: one "or" would read every part.
      `select * from part where number in (select part_number from application where vehicle_id = ?)
       union all select * from part where number in (${marks(along)})
       union all select * from part where interchange in
         (select interchange from part where interchange is not null
            and number in (select part_number from application where vehicle_id = ?))`,
      [vehicleId, ...along, vehicleId],
    ),
  );
  // What took their place, and what kits hold.
  for (let step = 0; step < LONGEST_CHAIN; step++) {
    const next = [...known.values()]
      .flatMap(({ supersededBy, contents }) => [supersededBy, ...contents.map(({ number }) => number)])
      .filter((number): number is string => number !== null && !known.has(number));
    if (next.length === 0) break;
    const before = known.size;
    add(await rows(`select * from part where number in (${marks(next)})`, next));
    if (known.size === before) break;
  }
  return { vehicle, parts: [...known.values()], applications, jobs, companions };
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
    assumptions: assumptionsWith(shop.overrides),
    today: today(),
  };
};

export const allVehicles = (em: EntityManager): Promise<CatalogueVehicle[]> => vehiclesWhere(em, {});
