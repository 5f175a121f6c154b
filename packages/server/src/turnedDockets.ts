import type { Advice, Docket } from '@hardy/core';
import type { Turned, TurnedAnswer } from '@hardy/core/contract';
import type { EntityManager, MikroORM } from '@mikro-orm/better-sqlite';
import { setImmediate } from 'node:timers/promises';
import { detached } from './requestScope.ts';
import { SettingRow } from './store/entities.ts';
import { shopView } from './store/shopStore.ts';
import { currentDocket, currentIds, refreshLines } from './store/docketLines.ts';

/** Of so many dockets, the newest, a change tells what it turned; the lines of the others follow after. */
const MOST_TOLD = 40;
/** Where the database says which version of the settings its lists show. */
const LINES_OF = 'lines-of-shop';

/** Works out what a change of the settings did to the dockets on the counter, one by one, while others are served. */
export class TurnedDockets {
  private answer: TurnedAnswer = { version: 0, turned: [], looked: 0, done: true };
  private stop = new AbortController();
  private working: Promise<void> = Promise.resolve();

  constructor(
    private readonly orm: MikroORM,
    private readonly adviser: (em: EntityManager, docket: Docket) => Promise<Advice>,
    private readonly failed: (error: unknown) => void,
  ) {}

  state(): TurnedAnswer {
    return this.answer;
  }

  /** Begins where a server that ended left off: the lists follow the settings as they are now. */
  async resume(): Promise<void> {
    const em = this.orm.em.fork();
    const { version } = await shopView(em);
    const row = await em.findOne(SettingRow, { key: LINES_OF });
    if (version > 0 && Number(row?.value ?? 0) < version) this.begin(version);
  }

  /** Begins anew for a version: what was under way for an older one is left. */
  begin(version: number): void {
    this.stop.abort();
    this.stop = new AbortController();
    const { signal } = this.stop;
    const before = this.working;
    this.answer = { version, turned: [], looked: 0, done: false };
    // It goes on when the client who changed the settings has left.
    this.working = detached(() =>
      before
        .then(() => this.work(version, signal))
        .catch((error: unknown) => {
          if (!signal.aborted) this.failed(error);
        }),
    );
  }

  /** Leaves what is under way; to be waited for before the database is closed. */
  close(): Promise<void> {
    this.stop.abort();
    return this.working;
  }

  private async work(version: number, signal: AbortSignal): Promise<void> {
    const ids = await currentIds(this.orm.em.fork());
    for (const [i, id] of ids.entries()) {
      // Whoever waits is served between two dockets.
      await setImmediate();
      if (signal.aborted) return;
      const em = this.orm.em.fork();
      const docket = await currentDocket(em, id);
      if (!docket) continue;
      const advice = await this.adviser(em, docket.docket);
      if (signal.aborted) return;
      await refreshLines(em, [{ id, advice }]);
      if (i >= MOST_TOLD) continue;
      const { number, headline: said } = docket;
      const after = advice.verdict.sentence;
      const turned: Turned[] = said === after ? [] : [{ id, number, before: said, after }];
      this.answer = {
        version,
        turned: [...this.answer.turned, ...turned],
        looked: i + 1,
        done: false,
      };
    }
    await this.orm.em.fork().upsert(SettingRow, { key: LINES_OF, value: String(version) });
    this.answer = { ...this.answer, done: true };
  }
}
