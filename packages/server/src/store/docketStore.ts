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
import { columnsOf } from './docketRows.ts';
import { knowledgeFor, today } from './catalogueStore.ts';
import { countHere, entryFor, putEntry, type Counter } from './ledgerStore.ts';
import { ChangeRow, DocketRow } from './entities.ts';
import { keepAdvice } from './givenAdvice.ts';
import { docketOf, documentOf } from './people.ts';
import { orderOf, settleDocket, type ShelfDay } from './shelfStore.ts';
import { shopSettings } from './shopStore.ts';

const EDITS = { kind: { $in: ['create', 'edit'] } };
/** A change meets another in between: it is put on top of that one, so many times. */
const MOST_TRIES = 5;

/** What a change says of itself. */
export interface Change {
  readonly label: string;
  /** The name its maker gave it: one that comes twice is made once. */
  readonly changeId?: string | null;
  /** When; only given when a scenario is laid out in the past. */
  readonly at?: Date;
}

interface NewDocket {
  /** The name its maker gave it: one that comes twice is opened once. */
  readonly id?: string | null;
  readonly at?: Date;
}

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

/** Dockets with their history. Advice is reckoned before anything is written: nobody waits for it with the database held. */
export class DocketStore {
  constructor(
    private readonly em: EntityManager,
    private readonly adviser: Adviser,
    /** Told when pieces on the shelf moved, or closed jobs teach something else: what is advised elsewhere may change. */
    private readonly moved: () => void = () => undefined,
    private readonly counter: Counter = countHere,
  ) {}

  /** Opens a docket; one whose id is known already is given as it is. */
  async create(docket: Docket, { id, at = new Date() }: NewDocket = {}): Promise<DocketView> {
    const known = id ? await this.em.findOne(DocketRow, { id }) : null;
    if (known) return this.view(known);
    const advice = await this.adviser(this.em, docket);
    let twin: DocketRow | null = null;
    let moved = false;
    const row = await this.em.transactional(async (tx) => {
      twin = id ? await tx.findOne(DocketRow, { id }) : null;
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
    return this.write(id, change, async (row) => ({
      docket: row.version === version ? docket : await this.together(row, version, docket),
      kind: 'edit',
      label: change.label,
      content: null,
      parent: row.content,
    }));
  }

  /** Changes a docket as it stands, whatever its version: words that are heard on it. */
  hear(id: string, heard: (docket: Docket) => Promise<Docket>, change: Change): Promise<DocketView> {
    return this.write(id, change, async (row) => ({
      docket: await heard(await docketOf(this.em, row.document)),
      kind: 'edit',
      label: change.label,
      content: null,
      parent: row.content,
    }));
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
    return this.write(id, { label: '', changeId }, async (row) => {
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
    });
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

  /** Reckons what a change makes of the docket as it stands and writes it, unless another came between: then anew. */
  private async write(
    id: string,
    { changeId, at = new Date() }: Change,
    made: (row: DocketRow) => Promise<Step>,
  ): Promise<DocketView> {
    for (let tries = 0; tries < MOST_TRIES; tries++) {
      const row = await this.load(id);
      if (changeId && (await this.em.findOne(ChangeRow, { changeId }))) return this.view(row);
      const step = await made(row);
      const advice = await this.adviser(this.em, step.docket);
      const { version } = row;
      const before = await docketOf(this.em, row.document);
      const { chosen } = before;
      const entry =
        step.docket.outcome || before.outcome ? await this.entry(row, step.docket, at) : undefined;
      let moved = false;
      const written = await this.em.transactional(async (tx) => {
        const now = await tx.findOne(DocketRow, { id }, { refresh: true });
        if (now?.version !== version) return false;
        const next = version + 1;
        const content = step.content ?? next;
        tx.assign(now, {
          ...columnsOf(step.docket, advice),
          ...(await documentOf(tx, step.docket)),
          version: next,
          content,
          updatedAt: at,
          closedAt: step.docket.outcome ? (now.closedAt ?? at) : null,
        });
        tx.create(ChangeRow, {
          docketId: id,
          version: next,
          content,
          parent: step.parent,
          kind: step.kind,
          label: step.label,
          changeId: changeId ?? null,
          document: now.document,
          at,
        });
        if (step.docket.chosen && !isSame(step.docket.chosen, chosen))
          await keepAdvice(tx, id, next, { docket: step.docket, advice }, at);
        await tx.flush();
        moved = await settleDocket(tx, id, step.docket, await this.day(tx), at);
        if (entry !== undefined && (await putEntry(tx, id, entry, now.personId ?? null))) moved = true;
        return true;
      });
      if (written && moved) this.moved();
      if (written) return this.view(await this.load(id), advice);
    }
    throw problem(503, 'Busy', 'others change this docket at the same time; try again in a moment');
  }
}
