import {
  assumptionsWith,
  BadInput,
  isSame,
  mergeThree,
  parseDocket,
  type Advice,
  type Docket,
  type LedgerEntry,
  type MergeClash,
} from '@hardy/core';
import type { ChangeLine, DocketState, DocketView } from '@hardy/core/contract';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { randomUUID } from 'node:crypto';
import { notFound, problem } from '../problem.ts';
import { rawRows } from './catalogueRows.ts';
import { contentHash, differenceOf } from './contentHash.ts';
import { columnsOf } from './docketRows.ts';
import { LEDGER, locks } from './keyedMutex.ts';
import { knowledgeFor, today } from './catalogueStore.ts';
import { countHere, entryFor, putEntry, type Counter } from './ledgerStore.ts';
import { ChangeRow, DocketRow } from './entities.ts';
import { keepAdvice } from './givenAdvice.ts';
import { docketOf, documentOf } from './people.ts';
import { orderOf, settleDocket, type ShelfDay } from './shelfStore.ts';
import { shopSettings } from './shopStore.ts';

const EDITS = { kind: { $in: ['create', 'edit'] } };
/** An erasure may rewrite a docket while a change of it is calculated: the change is then prepared again. */
const MAXIMUM_TRIES = 3;

/** What a change says of itself. */
export interface Change {
  readonly label: string;
  /** The name its maker gave it: one that comes twice is made once. */
  readonly changeId?: string | null;
  /** What was sent under that name; another content under the same name is refused. */
  readonly content?: unknown;
  /** When; only given when a scenario is laid out in the past. */
  readonly at?: Date;
}

interface NewDocket {
  /** The name its maker gave it: one that comes twice is opened once. */
  readonly id?: string | null;
  /** What it is opened from; another content under the same name is refused. */
  readonly content?: unknown;
  readonly at?: Date;
}

/** Something else that is written in the same transaction as a change. What it throws undoes both. */
type Also = (tx: EntityManager) => Promise<void>;

const usedAlready = (what: string) =>
  problem(
    409,
    'Id used already',
    `this ${what} has the id of another one with other content; nothing was changed. Send it under a new id.`,
  );

/** Reckons advice for a docket. */
export type Adviser = (em: EntityManager, docket: Docket) => Promise<Advice>;

/** What a change makes of a docket as it stands, and how it is kept in the history. */
interface Step {
  readonly docket: Docket;
  readonly kind: 'edit' | 'undo' | 'redo';
  readonly label: string;
  readonly content: number | null;
  readonly parent: number | null;
}

/** A change of one docket: which, what it says of itself, and what it makes of the docket as it stands. */
interface Write {
  readonly id: string;
  readonly change: Change;
  readonly made: (row: DocketRow) => Promise<Step>;
  /** What was sent, compared where the change has an id. */
  readonly content: (row: DocketRow) => Promise<unknown>;
}

/** A change with everything calculated and nothing written. */
interface Prepared extends Write {
  readonly row: DocketRow;
  readonly step: Step;
  readonly advice: Advice;
  readonly before: Docket;
  readonly entry: LedgerEntry | null | undefined;
  readonly contentHash: string | null;
}

/** Dockets with their history. Advice is reckoned before anything is written: nobody waits for it with the database held. */
export class DocketStore {
  constructor(
    private readonly em: EntityManager,
    private readonly adviser: Adviser,
    /** Told when pieces on the shelf moved, or closed jobs teach something else: what is advised elsewhere may change. */
    private readonly moved: () => void = () => undefined,
    private readonly counter: Counter = countHere,
  ) {}

  /**
   * Opens a docket; one whose id is known already is returned as it is.
   * @throws problem 409 where the id belongs to a docket that was opened from something else
   */
  async create(docket: Docket, { id, content, at = new Date() }: NewDocket = {}): Promise<DocketView> {
    const hash = id ? contentHash(content ?? docket) : null;
    const twinOf = async (em: EntityManager): Promise<DocketRow | null> => {
      const twin = id ? await em.findOne(DocketRow, { id }) : null;
      if (twin?.contentHash && twin.contentHash !== hash) throw usedAlready('docket');
      return twin;
    };
    const known = await twinOf(this.em);
    if (known) return this.view(known);
    const advice = await this.adviser(this.em, docket);
    let twin: DocketRow | null = null;
    let moved = false;
    const row = await this.em.transactional(async (tx) => {
      twin = await twinOf(tx);
      if (twin) return twin;
      const [last] = await tx.find(
        DocketRow,
        {},
        { orderBy: { number: 'desc' }, limit: 1, fields: ['number'] },
      );
      const made = tx.create(DocketRow, {
        id: id ?? randomUUID(),
        number: (last?.number ?? 1000) + 1,
        version: 1,
        content: 1,
        createdAt: at,
        updatedAt: at,
        closedAt: null,
        changed: await nextChange(tx),
        contentHash: hash,
        ...columnsOf(docket, advice),
        ...(await documentOf(tx, docket)),
      });
      moved = await settleDocket(tx, made.id, docket, await this.day(tx), at, true);
      tx.create(ChangeRow, {
        docketId: made.id,
        version: 1,
        content: 1,
        parent: null,
        kind: 'create',
        label: 'docket opened',
        document: made.document,
        at,
      });
      await tx.flush();
      return made;
    });
    if (moved) this.moved();
    return twin ? this.view(row) : this.view(row, advice);
  }

  /** The docket’s document alone, without advice. */
  async read(id: string): Promise<Docket> {
    return docketOf(this.em, (await this.load(id)).document);
  }

  async get(id: string): Promise<DocketView> {
    return this.view(await this.load(id));
  }

  /**
   * Stores a changed docket that was made on a version. Where others changed it meanwhile both are put together.
   * @throws Problem 409 with what both changed differently, for a person to choose.
   */
  save(id: string, version: number, docket: Docket, change: Change): Promise<DocketView> {
    return this.write({
      id,
      change,
      content: async (row) => [change.label, differenceOf(await this.madeOn(row, version), docket)],
      made: async (row) => ({
        docket: row.version === version ? docket : await this.together(row, version, docket),
        kind: 'edit',
        label: change.label,
        content: null,
        parent: row.content,
      }),
    });
  }

  /**
   * Changes a docket as it stands, whatever its version: words that are heard on it.
   * @param also is written in the same transaction
   */
  hear(
    id: string,
    heard: (docket: Docket) => Promise<Docket>,
    change: Change,
    also?: Also,
  ): Promise<DocketView> {
    return this.write(this.heard(id, heard, change), also);
  }

  /** Changes two dockets as they stand, in one transaction: both changes are made, or neither. Returns the second one. */
  hearBoth(
    first: readonly [id: string, heard: (docket: Docket) => Docket, label: string],
    second: readonly [id: string, heard: (docket: Docket) => Docket, label: string],
    { changeId, content }: Pick<Change, 'changeId' | 'content'>,
  ): Promise<DocketView> {
    const writes = [first, second].map(([id, heard, label]) =>
      this.heard(id, (docket) => Promise.resolve(heard(docket)), {
        label,
        ...(changeId === undefined ? {} : { changeId }),
        content,
      }),
    );
    return this.writeAll(writes);
  }

  private heard(id: string, heard: (docket: Docket) => Promise<Docket>, change: Change): Write {
    return {
      id,
      change,
      content: () => Promise.resolve(change.content ?? change.label),
      made: async (row) => ({
        docket: await heard(await docketOf(this.em, row.document)),
        kind: 'edit',
        label: change.label,
        content: null,
        parent: row.content,
      }),
    };
  }

  /**
   * Goes one change back or forward. Undo is itself a change: the history only grows.
   * @throws Problem 409 where others changed the docket meanwhile: a step back means another thing there.
   */
  step(
    id: string,
    version: number,
    direction: 'undo' | 'redo',
    changeId?: string | null,
  ): Promise<DocketView> {
    const made = async (row: DocketRow): Promise<Step> => {
      if (row.version !== version) throw await this.changedMeanwhile(row, version, null, []);
      const current = await this.em.findOne(ChangeRow, { docketId: id, version: row.content });
      const target =
        direction === 'undo'
          ? current?.parent == null
            ? null
            : await this.em.findOne(ChangeRow, { docketId: id, version: current.parent })
          : ((
              await this.em.find(
                ChangeRow,
                { docketId: id, parent: row.content, ...EDITS },
                { orderBy: { version: 'desc' }, limit: 1 },
              )
            )[0] ?? null);
      if (!target)
        throw problem(
          400,
          `Nothing to ${direction}`,
          direction === 'undo' ? 'this is how the docket was opened' : 'nothing was undone',
        );
      return {
        docket: await docketOf(this.em, target.document),
        kind: direction,
        label: direction === 'undo' ? `undone: ${current?.label ?? ''}` : `done again: ${target.label}`,
        content: target.version,
        parent: null,
      };
    };
    const change = { label: '', ...(changeId === undefined ? {} : { changeId }) };
    return this.write({ id, change, made, content: () => Promise.resolve(direction) });
  }

  async history(id: string): Promise<ChangeLine[]> {
    await this.load(id);
    const rows = await this.em.find(
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
  }

  /** The day it is, and how long what was taken is put aside. */
  private async day(em: EntityManager): Promise<ShelfDay> {
    const a = assumptionsWith((await shopSettings(em)).overrides);
    return {
      today: today(),
      keptDays: a.get('quote.days'),
      restockingPercent: a.get('return.restocking'),
    };
  }

  /** What came of a docket as the ledger counts it: null where nothing did. */
  private async entry(row: DocketRow, docket: Docket, at: Date): Promise<LedgerEntry | null> {
    const { id, number, createdAt: openedAt } = row;
    return entryFor(
      this.em,
      docket,
      { id, number, openedAt, at },
      await knowledgeFor(this.em, docket),
      this.counter,
    );
  }

  private async load(id: string): Promise<DocketRow> {
    const row = await this.em.findOne(DocketRow, { id }, { refresh: true });
    if (!row) throw notFound(`docket ${id}`);
    return row;
  }

  private async view(row: DocketRow, advice?: Advice): Promise<DocketView> {
    const docket = await docketOf(this.em, row.document);
    const current = await this.em.findOne(ChangeRow, { docketId: row.id, version: row.content });
    const child = await this.em.count(ChangeRow, { docketId: row.id, parent: row.content, ...EDITS });
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
      advice: advice ?? (await this.adviser(this.em, docket)),
      order: await orderOf(this.em, row.id, docket, await this.day(this.em)),
    };
  }

  private async changedMeanwhile(
    row: DocketRow,
    version: number,
    merged: Docket | null,
    clashes: readonly MergeClash[],
  ) {
    return problem(
      409,
      'Changed meanwhile',
      `docket ${row.number} was changed by someone else: you had version ${version}, it is at ${row.version}. Nothing was written; where both changed the same, choose.`,
      {
        yourVersion: version,
        theirVersion: row.version,
        theirs: await docketOf(this.em, row.document),
        merged,
        clashes,
      },
    );
  }

  /** What was made on an older version, put together with what became of the docket since. */
  private async together(row: DocketRow, version: number, yours: Docket): Promise<Docket> {
    const base = await this.em.findOne(ChangeRow, { docketId: row.id, version });
    if (!base)
      throw problem(
        409,
        'Changed meanwhile',
        `docket ${row.number} has no version ${version}; read it anew`,
        {
          yourVersion: version,
          theirVersion: row.version,
          theirs: await docketOf(this.em, row.document),
          merged: null,
          clashes: [],
        },
      );
    const theirs = await docketOf(this.em, row.document);
    const { merged, clashes } = mergeThree(await docketOf(this.em, base.document), yours, theirs);
    if (clashes.length > 0) throw await this.changedMeanwhile(row, version, merged, clashes);
    try {
      return parseDocket(merged);
    } catch (error) {
      if (!(error instanceof BadInput)) throw error;
      // Each by itself is right, both together are not: a person chooses the field as a whole.
      const field = /^\w+/.exec(error.path)?.[0] as keyof Docket | undefined;
      if (!field) throw error;
      const clash = { place: [field], theirs: theirs[field], yours: yours[field] };
      throw await this.changedMeanwhile(row, version, { ...merged, [field]: theirs[field] }, [clash]);
    }
  }

  /** The document a change was made on; null where the docket has no such version. */
  private async madeOn(row: DocketRow, version: number): Promise<Docket | null> {
    if (row.version === version) return docketOf(this.em, row.document);
    const base = await this.em.findOne(ChangeRow, { docketId: row.id, version });
    return base && docketOf(this.em, base.document);
  }

  private write(write: Write, also?: Also): Promise<DocketView> {
    return this.writeAll([write], also);
  }

  /**
   * Calculates what changes make of their dockets as they stand, then writes all of them in one transaction. Returns the
   * last docket.
   */
  private writeAll(writes: readonly Write[], also?: Also): Promise<DocketView> {
    return locks.run(
      writes.map(({ id }) => id),
      async () => {
        for (let tries = 0; tries < MAXIMUM_TRIES; tries++) {
          const prepared: Prepared[] = [];
          for (const write of writes) {
            const each = await this.prepare(write);
            if (each) prepared.push(each);
          }
          const last = writes[writes.length - 1] as Write;
          // All of it was done already.
          if (prepared.length === 0) return this.view(await this.load(last.id));
          const written = await this.commit(prepared, also);
          if (!written) continue;
          const advice = prepared.find(({ id }) => id === last.id)?.advice;
          return this.view(await this.load(last.id), advice);
        }
        throw problem(503, 'Busy', 'others change this docket at the same time; try again in a moment');
      },
    );
  }

  /**
   * Calculates one change. Null where it was made already.
   * @throws problem 409 where its id belongs to a change with other content
   */
  private async prepare(write: Write): Promise<Prepared | null> {
    const { id, change, made, content } = write;
    const row = await this.load(id);
    const hash = change.changeId ? contentHash(await content(row)) : null;
    const known = change.changeId
      ? await this.em.findOne(ChangeRow, { docketId: id, changeId: change.changeId })
      : null;
    if (known?.contentHash && known.contentHash !== hash) throw usedAlready('change');
    if (known) return null;
    const step = await made(row);
    const advice = await this.adviser(this.em, step.docket);
    const before = await docketOf(this.em, row.document);
    const entry =
      step.docket.outcome || before.outcome
        ? await this.entry(row, step.docket, change.at ?? new Date())
        : undefined;
    return { ...write, row, step, advice, before, entry, contentHash: hash };
  }

  /** Writes what was calculated in one transaction. False where a docket is not as it was calculated for. */
  private commit(prepared: readonly Prepared[], also?: Also): Promise<boolean> {
    // An outcome that is counted while everything is learned again would be counted by what was believed before.
    const isCounted = prepared.some(({ entry }) => entry !== undefined);
    return locks.run(isCounted ? [LEDGER] : [], () => this.commitAll(prepared, also));
  }

  private async commitAll(prepared: readonly Prepared[], also?: Also): Promise<boolean> {
    let moved = false;
    const written = await this.em.transactional(async (tx) => {
      for (const each of prepared) {
        const now = await tx.findOne(DocketRow, { id: each.id }, { refresh: true });
        if (now?.version !== each.row.version || now.document !== each.row.document) return false;
      }
      for (const each of prepared) moved = (await this.commitOne(tx, each)) || moved;
      await also?.(tx);
      return true;
    });
    if (written && moved) this.moved();
    return written;
  }

  /** Writes one change. Says whether anything elsewhere may be advised otherwise by it. */
  private async commitOne(
    tx: EntityManager,
    { id, row, step, change, advice, before, entry, contentHash: hash }: Prepared,
  ): Promise<boolean> {
    const at = change.at ?? new Date();
    const now = await tx.findOneOrFail(DocketRow, { id });
    const next = row.version + 1;
    const content = step.content ?? next;
    tx.assign(now, {
      ...columnsOf(step.docket, advice),
      ...(await documentOf(tx, step.docket)),
      version: next,
      content,
      updatedAt: at,
      changed: await nextChange(tx),
      closedAt: step.docket.outcome ? (now.closedAt ?? at) : null,
    });
    tx.create(ChangeRow, {
      docketId: id,
      version: next,
      content,
      parent: step.parent,
      kind: step.kind,
      label: step.label,
      changeId: change.changeId ?? null,
      contentHash: hash,
      document: now.document,
      at,
    });
    if (step.docket.chosen && !isSame(step.docket.chosen, before.chosen))
      await keepAdvice(tx, id, next, { docket: step.docket, advice }, at);
    await tx.flush();
    let moved = await settleDocket(tx, id, step.docket, await this.day(tx), at);
    if (entry !== undefined && (await putEntry(tx, id, entry, now.personId ?? null))) moved = true;
    return moved;
  }
}

/** The number of the next change of any docket. */
const nextChange = async (tx: EntityManager): Promise<number> => {
  const [row] = await rawRows(tx, 'select coalesce(max(changed), 0) + 1 as next from docket');
  return Number(row?.next);
};
