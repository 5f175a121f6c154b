import { advise, mendDocket, type Advice, type Docket } from '@hardy/core';
import type { ChangeLine, DocketLine, DocketState, DocketView, Figures } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomUUID } from 'node:crypto';
import diff from 'microdiff';
import { notFound, problem } from '../problem.ts';
import { ChangeRow, DocketRow } from './entities.ts';
import { knowledgeFor } from './catalogueStore.ts';

const stateOf = (docket: Docket): DocketState =>
  docket.outcome ? 'closed' : docket.chosen ? 'ordered' : 'open';

/** What of a line in the list follows from the advice. */
const linesOf = (advice: Advice) => ({
  wheelEnd: advice.wheelEnd,
  vehicleName: advice.vehicle.name,
  action: advice.verdict.action,
  headline: advice.verdict.sentence,
});

const columnsOf = (docket: Docket, advice: Advice) => ({
  ...linesOf(advice),
  state: stateOf(docket),
  fleetNumber: docket.vehicle?.fleetNumber ?? null,
  customerName: docket.customer?.name ?? null,
  outcome: docket.outcome?.result ?? null,
  document: JSON.stringify(docket),
});

/** A document as it was stored, by whatever version: what is refused today is kept in its words. */
const storedDocket = (document: string): Docket => mendDocket(JSON.parse(document));

const edits = { kind: { $in: ['create', 'edit'] } };

const view = async (em: EntityManager, row: DocketRow, advice?: Advice): Promise<DocketView> => {
  const docket = storedDocket(row.document);
  const current = await em.findOne(ChangeRow, { docketId: row.id, version: row.content });
  const child = await em.count(ChangeRow, { docketId: row.id, parent: row.content, ...edits });
  return {
    id: row.id,
    number: row.number,
    version: row.version,
    state: row.state as DocketState,
    createdAt: row.createdAt.toISOString(),
    updatedAt: row.updatedAt.toISOString(),
    closedAt: row.closedAt?.toISOString() ?? null,
    canUndo: current?.parent != null,
    canRedo: child > 0,
    docket,
    advice: advice ?? advise(docket, await knowledgeFor(em, docket)),
  };
};

const load = async (em: EntityManager, id: string): Promise<DocketRow> => {
  const row = await em.findOne(DocketRow, { id });
  if (!row) throw notFound(`docket ${id}`);
  return row;
};

/** Opens a docket. `at` is given only when a scenario is laid out in the past. */
export const createDocket = async (
  em: EntityManager,
  docket: Docket,
  at: Date = new Date(),
): Promise<DocketView> => {
  const advice = advise(docket, await knowledgeFor(em, docket));
  return em.transactional(async (tx) => {
    const last = await tx.find(DocketRow, {}, { orderBy: { number: 'desc' }, limit: 1, fields: ['number'] });
    const row = tx.create(DocketRow, {
      id: randomUUID(),
      number: (last[0]?.number ?? 1000) + 1,
      version: 1,
      content: 1,
      createdAt: at,
      updatedAt: at,
      closedAt: null,
      ...columnsOf(docket, advice),
    });
    tx.create(ChangeRow, {
      docketId: row.id,
      version: 1,
      content: 1,
      parent: null,
      kind: 'create',
      label: 'docket opened',
      document: row.document,
      at,
    });
    await tx.flush();
    return view(tx, row, advice);
  });
};

/** The docket's document alone, without advice. */
export const readDocket = async (em: EntityManager, id: string): Promise<Docket> =>
  storedDocket((await load(em, id)).document);

export const getDocket = async (em: EntityManager, id: string): Promise<DocketView> =>
  view(em, await load(em, id));

/** Where two versions of a docket differ, with both sides' values, so that a person can choose. */
const differences = (
  theirs: Docket,
  yours: Docket,
): Array<{ path: string; theirs: unknown; yours: unknown }> =>
  diff(theirs, yours).map((entry) => ({
    path: entry.path.reduce<string>(
      (sofar, step) => (typeof step === 'number' ? `${sofar}[${step}]` : sofar ? `${sofar}.${step}` : step),
      '',
    ),
    theirs: 'oldValue' in entry ? (entry.oldValue as unknown) : null,
    yours: 'value' in entry ? (entry.value as unknown) : null,
  }));

const mustBeCurrent = (row: DocketRow, version: number, yours: Docket | null): void => {
  if (row.version === version) return;
  const theirs = storedDocket(row.document);
  throw problem(
    409,
    'Changed meanwhile',
    `docket ${row.number} was changed by someone else: you had version ${version}, it is at ${row.version}. Nothing is lost: both sides are below.`,
    {
      yourVersion: version,
      theirVersion: row.version,
      theirs,
      yours,
      differences: yours ? differences(theirs, yours) : [],
    },
  );
};

const record = async (
  tx: EntityManager,
  row: DocketRow,
  docket: Docket,
  change: { kind: string; label: string; content: number | null; parent: number | null },
  at: Date,
): Promise<Advice> => {
  const advice = advise(docket, await knowledgeFor(tx, docket));
  const version = row.version + 1;
  const closed = docket.outcome ? (row.closedAt ?? at) : null;
  tx.assign(row, {
    ...columnsOf(docket, advice),
    version,
    content: change.content ?? version,
    updatedAt: at,
    closedAt: closed,
  });
  tx.create(ChangeRow, {
    docketId: row.id,
    version,
    content: change.content ?? version,
    parent: change.parent,
    kind: change.kind,
    label: change.label,
    document: row.document,
    at,
  });
  await tx.flush();
  return advice;
};

/**
 * Stores a changed docket if the writer had the newest version.
 * @throws Problem 409 with both sides' values when it was changed meanwhile.
 */
export const saveDocket = (
  em: EntityManager,
  id: string,
  version: number,
  docket: Docket,
  label: string,
  at: Date = new Date(),
): Promise<DocketView> =>
  em.transactional(async (tx) => {
    const row = await load(tx, id);
    mustBeCurrent(row, version, docket);
    const advice = await record(
      tx,
      row,
      docket,
      { kind: 'edit', label, content: null, parent: row.content },
      at,
    );
    return view(tx, row, advice);
  });

/** Goes one change back or forward. Undo is itself a change: the history only grows. */
export const stepDocket = (
  em: EntityManager,
  id: string,
  version: number,
  direction: 'undo' | 'redo',
): Promise<DocketView> =>
  em.transactional(async (tx) => {
    const row = await load(tx, id);
    mustBeCurrent(row, version, null);
    const current = await tx.findOne(ChangeRow, { docketId: id, version: row.content });
    const target =
      direction === 'undo'
        ? current?.parent == null
          ? null
          : await tx.findOne(ChangeRow, { docketId: id, version: current.parent })
        : ((
            await tx.find(
              ChangeRow,
              { docketId: id, parent: row.content, ...edits },
              { orderBy: { version: 'desc' }, limit: 1 },
            )
          )[0] ?? null);
    if (!target)
      throw problem(
        400,
        `Nothing to ${direction}`,
        direction === 'undo' ? 'this is how the docket was opened' : 'nothing was undone',
      );
    const label = direction === 'undo' ? `undone: ${current?.label ?? ''}` : `done again: ${target.label}`;
    const advice = await record(
      tx,
      row,
      storedDocket(target.document),
      { kind: direction, label, content: target.version, parent: null },
      new Date(),
    );
    return view(tx, row, advice);
  });

export const historyOf = async (em: EntityManager, id: string): Promise<ChangeLine[]> => {
  await load(em, id);
  const rows = await em.find(
    ChangeRow,
    { docketId: id },
    { orderBy: { version: 'asc' }, fields: ['version', 'at', 'kind', 'label'] },
  );
  return rows.map(({ version, at, kind, label }) => ({
    version,
    at: at.toISOString(),
    kind: kind as ChangeLine['kind'],
    label,
  }));
};

/** Columns of a docket that words are looked for in. */
const SEARCHED = ['vehicle_name', 'fleet_number', 'customer_name', 'headline'] as const;

/**
 * Dockets by state and words, newest first. The words are looked for as they are written, whatever the case: no sign in
 * them stands for another.
 */
export const listDockets = async (
  em: EntityManager,
  filter: { state: 'all' | 'current' | DocketState; words: string; limit: number },
): Promise<DocketLine[]> => {
  const where: string[] = [];
  const params: unknown[] = [];
  if (filter.state !== 'all') {
    where.push(filter.state === 'current' ? 'state <> ?' : 'state = ?');
    params.push(filter.state === 'current' ? 'closed' : filter.state);
  }
  if (filter.words) {
    const looks = SEARCHED.map((column) => `instr(lower(${column}), lower(?)) > 0`);
    params.push(...SEARCHED.map(() => filter.words));
    if (/^\d+$/.test(filter.words)) {
      looks.push('number = ?');
      params.push(Number(filter.words));
    }
    where.push(`(${looks.join(' or ')})`);
  }
  const found = await em
    .getConnection()
    .execute<Array<{ id: string }>>(
      `select id from docket ${where.length > 0 ? `where ${where.join(' and ')}` : ''} order by updated_at desc limit ?`,
      [...params, filter.limit],
    );
  const ids = found.map(({ id }) => id);
  const rows = await em.find(DocketRow, { id: { $in: ids } }, { orderBy: { updatedAt: 'desc' } });
  return rows.map((row) => ({
    id: row.id,
    number: row.number,
    state: row.state as DocketState,
    wheelEnd: row.wheelEnd ?? null,
    vehicleName: row.vehicleName ?? null,
    fleetNumber: row.fleetNumber ?? null,
    customerName: row.customerName ?? null,
    action: row.action as DocketLine['action'],
    headline: row.headline,
    outcome: row.outcome ?? null,
    createdAt: row.createdAt.toISOString(),
    updatedAt: row.updatedAt.toISOString(),
    closedAt: row.closedAt?.toISOString() ?? null,
  }));
};

/**
 * Brings the list's lines of dockets up to what is advised now: after a change of the shop's settings the same facts may
 * say something else. No change of a docket: its version and its time stay.
 */
export const refreshLines = async (
  em: EntityManager,
  advised: ReadonlyArray<{ id: string; advice: Advice }>,
): Promise<void> => {
  for (const { id, advice } of advised) await em.nativeUpdate(DocketRow, { id }, linesOf(advice));
};

/** The dockets on the counter, newest first. */
export const currentIds = async (em: EntityManager): Promise<string[]> =>
  (
    await em.find(DocketRow, { state: { $ne: 'closed' } }, { orderBy: { updatedAt: 'desc' }, fields: ['id'] })
  ).map(({ id }) => id);

/** A docket on the counter as it is; null where it is there no more. */
export const currentDocket = async (
  em: EntityManager,
  id: string,
): Promise<{ number: number; headline: string; docket: Docket } | null> => {
  const row = await em.findOne(DocketRow, { id, state: { $ne: 'closed' } });
  return row && { number: row.number, headline: row.headline, docket: storedDocket(row.document) };
};

/** Today's figures: from the start of the day that `now` is in, local time. */
export const figures = async (em: EntityManager, now: Date): Promise<Figures> => {
  const midnight = new Date(now.getFullYear(), now.getMonth(), now.getDate());
  const closedSince = (result: string) => em.count(DocketRow, { outcome: result });
  const [openedToday, closedToday, open, ordered, cured, cameBack, wrongPart, unused] = await Promise.all([
    em.count(DocketRow, { createdAt: { $gte: midnight } }),
    em.count(DocketRow, { closedAt: { $gte: midnight } }),
    em.count(DocketRow, { state: 'open' }),
    em.count(DocketRow, { state: 'ordered' }),
    closedSince('cured'),
    closedSince('came-back'),
    closedSince('wrong-part'),
    closedSince('returned-unused'),
  ]);
  return { openedToday, closedToday, open, ordered, closed: { cured, cameBack, wrongPart, unused } };
};
