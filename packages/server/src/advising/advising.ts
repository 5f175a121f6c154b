import {
  readIntake,
  type Advice,
  type Comparison,
  type Docket,
  type IntakeContext,
  type IntakeReading,
  type LedgerEntry,
} from '@hardy/core';
import type { EntityManager } from '@mikro-orm/better-sqlite';
import { createHash } from 'node:crypto';
import { serialize } from 'node:v8';
import { intakeKnowledge, knowledgeFor, today, type IntakeKnowledge } from '../store/catalogueStore.ts';
import type { ToCount } from '../store/ledgerStore.ts';
import { contextFrom, type SharedContext } from './tasks.ts';
import { SharedAnswer } from './sharedAnswer.ts';
import type { Priority } from './taskQueue.ts';
import type { WorkerPool } from './workerPool.ts';

/** So many answers are kept: those of the dockets a counter has open, many times over. */
const MOST_KEPT = 200;
/** Shorter words are read at once; handing them to a thread would take longer. */
const READ_AT_ONCE = 2000;

/**
 * Everything that is reckoned for a docket: by threads, kept as long as catalogue, settings and day are the same, and
 * never twice for the same question.
 */
export class Advising {
  private counted = 0;
  private readonly kept = new Map<string, SharedAnswer<Advice>>();
  private known: Promise<{ knowledge: IntakeKnowledge; context: IntakeContext }> | null = null;
  private shared: Promise<SharedContext> | null = null;

  constructor(
    private readonly pool: WorkerPool,
    private readonly fork: () => EntityManager,
  ) {}

  /** Counts up whenever what is known changed, so that a page knows whether it holds the same. */
  epoch(): number {
    return this.counted;
  }

  /** To be called when the catalogue, the fleet or the shop’s settings change. */
  forget(): void {
    this.counted++;
    this.kept.clear();
    this.known = null;
    this.shared = null;
  }

  /** To be called when pieces on the shelf moved, or when closed jobs teach something else: answers may be others. */
  moved(): void {
    this.counted++;
    this.kept.clear();
    this.shared = null;
  }

  /** Advice on a docket; `em` may be within a transaction. Given up when everybody who asked for it is gone. */
  advise(em: EntityManager, docket: Docket, priority?: Priority): Promise<Advice> {
    const key = createHash('sha1')
      .update(`${this.counted}|${today()}|${JSON.stringify(docket)}`)
      .digest('base64');
    const known = this.kept.get(key);
    if (known) {
      // The one asked for last is forgotten last.
      this.kept.delete(key);
      this.kept.set(key, known);
      return known.join();
    }
    const answer = new SharedAnswer<Advice>(
      async (signal) =>
        this.pool.run(
          'adviseTask',
          { docket, knowledge: await knowledgeFor(em, docket) },
          { signal, ...(priority ? { priority } : {}) },
        ),
      () => {
        if (this.kept.get(key) === answer) this.kept.delete(key);
      },
    );
    this.kept.set(key, answer);
    for (const [oldest] of this.kept) {
      if (this.kept.size <= MOST_KEPT) break;
      this.kept.delete(oldest);
    }
    return answer.join();
  }

  /** A closed docket as the ledger counts it. */
  count(given: ToCount): Promise<LedgerEntry> {
    return this.pool.run('countTask', given);
  }

  /** Learns anew from all that was closed. */
  relearn(entries: LedgerEntry[], overrides: Readonly<Record<string, number>>, month: string) {
    return this.pool.run('relearnTask', { entries, overrides, month });
  }

  /** The ways compared; null where the corner is not known. */
  async compare(em: EntityManager, docket: Docket, seed: number | undefined): Promise<Comparison | null> {
    return this.pool.run('compareTask', { docket, knowledge: await knowledgeFor(em, docket), seed });
  }

  /** Names, fleet and dictionaries words are read with, kept in memory: they are needed at every keystroke. */
  async intake(): Promise<IntakeContext> {
    return { ...(await this.whatIsKnown()).context, today: today() };
  }

  private whatIsKnown(): NonNullable<typeof this.known> {
    if (!this.known) {
      this.known = intakeKnowledge(this.fork()).then((knowledge) => ({
        knowledge,
        context: contextFrom(knowledge),
      }));
      // What failed is asked for anew.
      this.known.catch(() => (this.known = null));
    }
    return this.known;
  }

  /** Reads words; `own` is what the docket they are for knows better. */
  async read(text: string, own: Partial<IntakeContext>): Promise<IntakeReading> {
    const { knowledge, context } = await this.whatIsKnown();
    if (text.length <= READ_AT_ONCE) return readIntake(text, { ...context, today: today(), ...own });
    const epoch = this.counted;
    this.shared ??= Promise.resolve().then(() => {
      const written = serialize(knowledge);
      const bytes = new SharedArrayBuffer(written.length);
      Buffer.from(bytes).set(written);
      return { epoch, bytes };
    });
    return this.pool.run('readTask', {
      text,
      shared: await this.shared,
      own: { ...own, today: today() },
    });
  }
}
