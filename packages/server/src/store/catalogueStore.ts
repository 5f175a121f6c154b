import {
  APPLICATIONS,
  COMPANIONS,
  DICTIONARY,
  emptySlice,
  FLEET,
  JOBS,
  localDay,
  PARTS,
  SENSING,
  VEHICLES,
  wheelEndsOf,
  type CataloguePart,
  type CatalogueSlice,
  type CatalogueVehicle,
  type Docket,
  type IntakeContext,
  type Knowledge,
  type SensingLine,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { catalogueRows, marks, rawRows } from './catalogueRows.ts';
import { learnedFor } from './learnedStore.ts';
import { withFreePieces } from './shelfStore.ts';
import { shopSettings } from './shopStore.ts';

/** Today in the shop's own time zone, YYYY-MM-DD. */
export const today = (now: Date = new Date()): string => localDay(now);

const vehiclesWhere = async (em: EntityManager, where: { id?: string }): Promise<CatalogueVehicle[]> => {
  const params = where.id ? [where.id] : [];
  const only = (column: string) => (where.id ? `where ${column} = ?` : '');
  const vehicles = await catalogueRows(em, VEHICLES, `${only('id')} order by make, model`, params);
  const sensing = new Map<string, SensingLine[]>();
  for (const line of await catalogueRows(em, SENSING, only('vehicle_id'), params)) {
    const lines = sensing.get(line.vehicleId);
    if (lines) lines.push(line);
    else sensing.set(line.vehicleId, [line]);
  }
  return vehicles.map((row) => ({ ...row, wheelEnds: wheelEndsOf(row.id, sensing.get(row.id) ?? []) }));
};

/** Chains of supersession are followed so far. */
const LONGEST_CHAIN = 6;

/** Everything the catalogue knows about one vehicle. */
export const sliceFor = async (em: EntityManager, vehicleId: string): Promise<CatalogueSlice> => {
  const [vehicle] = await vehiclesWhere(em, { id: vehicleId });
  if (!vehicle) return emptySlice();
  const own = 'where vehicle_id = ?';
  const applications = await catalogueRows(em, APPLICATIONS, own, [vehicleId]);
  const companions = await catalogueRows(em, COMPANIONS, `where vehicle_id is null or vehicle_id = ?`, [
    vehicleId,
  ]);
  const jobs = await catalogueRows(em, JOBS, own, [vehicleId]);
  // The parts the rows name, the others of their interchange groups, and what goes along.
  const known = new Map<string, CataloguePart>();
  const add = (found: Awaited<ReturnType<typeof rawRows>>) => {
    // A part comes in by its row and by its group: it is read once.
    for (const row of found)
      if (!known.has(String(row.number))) known.set(String(row.number), PARTS.kept(row));
  };
  const along = companions.map(({ companionNumber }) => companionNumber);
  add(
    await rawRows(
      em,
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
    add(await rawRows(em, `select * from part where number in (${marks(next)})`, next));
    if (known.size === before) break;
  }
  return { vehicle, parts: [...known.values()], applications, jobs, companions };
};

/** What advising on this docket needs to know. */
export const knowledgeFor = async (em: EntityManager, docket: Docket): Promise<Knowledge> => {
  const id = docket.vehicle?.catalogueId;
  const slice = id ? await sliceFor(em, id) : emptySlice();
  const shop = await shopSettings(em);
  const dictionary =
    (docket.codes ?? []).length > 0
      ? await (slice.vehicle?.dictionary
          ? catalogueRows(em, DICTIONARY, 'where dictionary = ?', [slice.vehicle.dictionary])
          : catalogueRows(em, DICTIONARY))
      : [];
  const learned = await learnedFor(em, shop, id ?? null, today());
  return {
    slice: {
      ...slice,
      parts: await withFreePieces(em, slice.parts, today(), docket),
      bad: Object.fromEntries(
        Object.entries(learned.bad).flatMap(([number, { share }]) =>
          share === null ? [] : [[number, share]],
        ),
      ),
    },
    dictionary,
    overrides: shop.overrides,
    learned,
    school: shop.school,
    ways: shop.ways,
    currency: shop.currency,
    today: today(),
  };
};

/** What reading the counter line needs to know, as it can be written down: names, fleet, dictionaries, the shop’s numbers. */
export type IntakeKnowledge = Omit<IntakeContext, 'assumptions'> & {
  readonly overrides: Readonly<Record<string, number>>;
};

export const intakeKnowledge = async (em: EntityManager): Promise<IntakeKnowledge> => {
  const shop = await shopSettings(em);
  return {
    steeringSide: null,
    trafficSide: shop.trafficSide,
    axles: null,
    vehicles: await vehiclesWhere(em, {}),
    fleet: await catalogueRows(em, FLEET),
    dictionary: await catalogueRows(em, DICTIONARY),
    overrides: shop.overrides,
    today: today(),
  };
};

export const allVehicles = (em: EntityManager): Promise<CatalogueVehicle[]> => vehiclesWhere(em, {});
