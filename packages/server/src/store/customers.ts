import type { CustomerLine, DocketLine } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { notFound } from '../problem.ts';
import { marks, rawRows, rawRun } from './catalogueRows.ts';
import { LINE, lineOf } from './docketLines.ts';
import { ErasureRow, PersonRow } from './entities.ts';
import { phoneKey } from './people.ts';

const MOST_FOUND = 8;
const MOST_EARLIER = 12;
/** What stands where something was erased. */
const ERASED = '[erased]';
/** Words shorter than this are no name by themselves. */
const LEAST_NAME = 3;

const like = (text: string): string => `%${text.replace(/[\\%_]/g, (sign) => `\\${sign}`)}%`;

/** Customers by a piece of their name, firm or phone, those with the newest dockets first. */
export const findCustomers = async (em: EntityManager, words: string): Promise<CustomerLine[]> => {
  const text = words.trim().toLowerCase();
  if (text.length < 2) return [];
  const phone = phoneKey(text);
  const rows = await rawRows(
    em,
    `select p.id, p.name, p.phone, p.firm, count(d.id) as dockets, max(d.updated_at) as last
     from person p join docket d on d.person_id = p.id
     where p.erased_at is null
       and (p.name_key like ? escape '\\' or lower(p.firm) like ? escape '\\'${phone && /\d{3}/.test(phone) ? ` or p.phone_key like ? escape '\\'` : ''})
     group by p.id order by last desc limit ${MOST_FOUND}`,
    [like(text), like(text), ...(phone && /\d{3}/.test(phone) ? [like(phone)] : [])],
  );
  return rows.map((row) => ({
    id: Number(row.id),
    name: (row.name ?? null) as string | null,
    phone: (row.phone ?? null) as string | null,
    firm: (row.firm ?? null) as string | null,
    dockets: Number(row.dockets),
  }));
};

/** Persons that are one customer: of one phone, or of one name where neither has another phone. */
const samePersons = async (em: EntityManager, id: number): Promise<PersonRow[]> => {
  const person = await em.findOne(PersonRow, { id, erasedAt: null }, { refresh: true });
  if (!person) throw notFound(`customer ${id}`);
  const { nameKey, phoneKey: phone } = person;
  const same = await em.find(
    PersonRow,
    {
      erasedAt: null,
      $or: [
        { id },
        ...(phone ? [{ phoneKey: phone }] : []),
        ...(nameKey ? [phone ? { nameKey, phoneKey: null } : { nameKey }] : []),
      ],
    },
    { refresh: true },
  );
  return same;
};

/** Earlier dockets of the customer of a docket, and of its vehicle, newest first. */
export const earlierDockets = async (
  em: EntityManager,
  id: string,
): Promise<{ customer: DocketLine[]; vehicle: DocketLine[]; customerId: number | null }> => {
  const [own] = await rawRows(em, 'select number, person_id, plate, fleet_number from docket where id = ?', [
    id,
  ]);
  if (!own) throw notFound(`docket ${id}`);
  const lines = async (where: string, params: readonly unknown[]) =>
    (
      await rawRows(
        em,
        `select ${LINE} from docket d where d.id <> ? and (${where}) order by d.number desc limit ${MOST_EARLIER}`,
        [id, ...params],
      )
    ).map(lineOf);
  const person = own.person_id == null ? null : Number(own.person_id);
  const persons = person === null ? [] : (await samePersons(em, person)).map((row) => row.id);
  const vehicle = [
    ...(own.plate ? ([['d.plate = ?', own.plate]] as const) : []),
    ...(own.fleet_number ? ([['d.fleet_number = ?', own.fleet_number]] as const) : []),
  ];
  return {
    customerId: person,
    customer: persons.length ? await lines(`d.person_id in (${marks(persons)})`, persons) : [],
    vehicle: vehicle.length
      ? await lines(
          vehicle.map(([where]) => where).join(' or '),
          vehicle.map(([, value]) => value),
        )
      : [],
  };
};

const escaped = (text: string): string => text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');

/** What says who someone is, wherever it stands in words: names, each by itself too, and phones however they are written. */
const whoPattern = (persons: readonly PersonRow[]): RegExp | null => {
  const names = persons.flatMap(({ name, firm }) =>
    [name, firm].flatMap((text) => (text ? [text, ...text.split(/[\s,.]+/)] : [])),
  );
  const phones = persons.flatMap(({ phone }) =>
    phone ? [[...phone.replace(/[^\d+]/g, '')].map(escaped).join('[-/(). ]*')] : [],
  );
  const words = [...new Set(names)].filter((text) => text.length >= LEAST_NAME);
  const all = [
    ...words
      .sort((x, y) => y.length - x.length)
      .map((text) => `(?<![\\p{L}\\d])${escaped(text)}(?![\\p{L}\\d])`),
    ...phones.filter(Boolean),
  ];
  return all.length > 0 ? new RegExp(all.join('|'), 'giu') : null;
};

/** Anything written down, without what says who someone is. */
const scrubbed = (value: unknown, pattern: RegExp | null): unknown => {
  if (typeof value === 'string') return pattern ? value.replace(pattern, ERASED) : value;
  if (Array.isArray(value)) return value.map((each) => scrubbed(each, pattern));
  if (typeof value !== 'object' || value === null) return value;
  return Object.fromEntries(Object.entries(value).map(([key, each]) => [key, scrubbed(each, pattern)]));
};

/** A document without what says who the customer is; what is known of the job stays. */
const withoutPerson = (document: string, pattern: RegExp | null): string => {
  const docket = JSON.parse(document) as {
    customer?: { person?: number; kind?: string };
    vehicle?: { plate?: string | null; vin?: string | null; fleetNumber?: string | null };
  };
  const { customer, vehicle, ...job } = docket;
  const { person: _, ...kind } = customer ?? {};
  // A fleet's vehicle is the fleet's; a plate or a VIN of one's own car is who one is.
  const { plate: _plate, vin: _vin, ...anonymous } = vehicle ?? {};
  return JSON.stringify({
    ...(scrubbed(job, pattern) as object),
    ...(customer ? { customer: kind } : {}),
    ...(vehicle ? { vehicle: scrubbed(vehicle.fleetNumber ? vehicle : anonymous, pattern) } : {}),
  });
};

/** Who a version of a docket names: indexed by this very expression. */
const NAMED = `json_extract("document", '$.customer.person')`;

/** Dockets that name one of these persons in any version. */
const docketsOf = async (tx: EntityManager, ids: readonly number[]): Promise<string[]> =>
  (
    await rawRows(
      tx,
      `select distinct docket_id as id from docket_change where ${NAMED} in (${marks(ids)})`,
      ids,
    )
  ).map((row) => String(row.id));

/** Persons that only these dockets ever named: slips of the same name that were mended. Who has dockets elsewhere is another. */
const onlyNamedIn = async (
  tx: EntityManager,
  dockets: readonly string[],
  known: readonly PersonRow[],
): Promise<PersonRow[]> => {
  const named = await rawRows(
    tx,
    `select distinct ${NAMED} as id from docket_change where docket_id in (${marks(dockets)}) and ${NAMED} is not null`,
    dockets,
  );
  const out: PersonRow[] = [];
  for (const { id } of named) {
    if (known.some((person) => person.id === Number(id))) continue;
    const elsewhere = await rawRows(
      tx,
      `select 1 from docket_change where ${NAMED} = ? and docket_id not in (${marks(dockets)}) limit 1`,
      [id, ...dockets],
    );
    const person = elsewhere.length === 0 ? await tx.findOne(PersonRow, { id: Number(id) }) : null;
    if (person) out.push(person);
  }
  return out;
};

/**
 * Erases who a customer is, on request: one act, in one transaction, kept count of. Words, history and search are
 * rewritten; what was wrong with the vehicle, what was sold and what came of it stays.
 */
export const eraseCustomer = (
  em: EntityManager,
  id: number,
  at: Date = new Date(),
): Promise<{ dockets: number; changes: number }> =>
  em.transactional(async (tx) => {
    const same = await samePersons(tx, id);
    // A customer named in one version and no longer in the next is in the history still.
    const touched = await docketsOf(
      tx,
      same.map((person) => person.id),
    );
    const persons = [...same, ...(await onlyNamedIn(tx, touched, same))];
    const pattern = whoPattern(persons);
    await rawRun(tx, 'insert into erasing (id) values (1)');
    let changes = 0;
    for (const docket of touched) {
      const rows = await rawRows(tx, 'select id, document, label from docket_change where docket_id = ?', [
        docket,
      ]);
      for (const row of rows)
        await rawRun(
          tx,
          'update docket_change set document = ?, label = ?, content_hash = null where id = ?',
          [
            withoutPerson(String(row.document), pattern),
            pattern ? String(row.label).replace(pattern, ERASED) : row.label,
            row.id,
          ],
        );
      changes += rows.length;
      const given = await rawRows(tx, 'select id, advice from given_advice where docket_id = ?', [docket]);
      for (const row of given)
        await rawRun(tx, 'update given_advice set advice = ? where id = ?', [
          JSON.stringify(scrubbed(JSON.parse(String(row.advice)), pattern)),
          row.id,
        ]);
      const counted = await rawRows(tx, 'select entry from ledger_entry where docket_id = ?', [docket]);
      for (const row of counted)
        await rawRun(tx, 'update ledger_entry set entry = ?, person_id = null where docket_id = ?', [
          JSON.stringify(scrubbed(JSON.parse(String(row.entry)), pattern)),
          docket,
        ]);
      const [now] = await rawRows(tx, 'select document from docket where id = ?', [docket]);
      await rawRun(
        tx,
        `update docket set document = ?, content_hash = null, person_id = null, customer_name = null, phone = null, firm = null,
           plate = case when fleet_number is null then null else plate end where id = ?`,
        [withoutPerson(String(now?.document), pattern), docket],
      );
    }
    await rawRun(tx, 'delete from erasing');
    for (const person of persons)
      Object.assign(person, {
        name: null,
        phone: null,
        firm: null,
        nameKey: null,
        phoneKey: null,
        erasedAt: at,
      });
    tx.create(ErasureRow, { at, dockets: touched.length, changes });
    await tx.flush();
    return { dockets: touched.length, changes };
  });

/** Ids of the persons that were erased: numbers that say nothing by themselves. */
export const erasedPersons = async (em: EntityManager): Promise<number[]> =>
  (await rawRows(em, 'select id from person where erased_at is not null')).map(({ id }) => Number(id));

/** When something was erased, and how much; not whose. */
export const erasures = async (
  em: EntityManager,
): Promise<Array<{ at: string; dockets: number; changes: number }>> =>
  (await em.find(ErasureRow, {}, { orderBy: { id: 'desc' }, limit: 50 })).map(({ at, dockets, changes }) => ({
    at: at.toISOString(),
    dockets,
    changes,
  }));
