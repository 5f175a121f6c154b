import type { Advice } from '@hardy/core';
import Sqlite from 'better-sqlite3';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { figures, listDockets } from '../packages/server/src/store/docketLines.ts';
import { DocketStore } from '../packages/server/src/store/docketStore.ts';
import { openStore } from '../packages/server/src/store/openStore.ts';
import { seedScenario } from '../packages/server/src/seed/seedScenario.ts';
import { medianTime } from './measure.ts';

const NAMES = ['Isbister', 'Harbour Board', 'Muir', 'Linklater', 'Norse Freight', 'Sclater'];
const RESULTS = ['cured', 'cured', 'came-back', 'wrong-part'];

/** Lists, searches, counters and opening in a shop with so many dockets, in milliseconds (medians). */
export const shopOfYears = async (dockets = 200_000) => {
  const folder = mkdtempSync(join(tmpdir(), 'years-'));
  const file = join(folder, 'years.sqlite');
  const store = await openStore(file);
  await seedScenario(store, join(import.meta.dirname, '..', 'demo'));
  const { orm } = store;
  const [{ document, headline, action }] = await orm.em
    .getConnection()
    .execute<[{ document: string; headline: string; action: string }]>(
      'select document, headline, action from docket limit 1',
    );
  const raw = new Sqlite(file, { timeout: 20_000 });
  const random = randomFrom(14);
  const insert = raw.prepare(
    `insert into docket (id, number, version, content, state, wheel_end, vehicle_name, fleet_number, customer_name, action, headline, outcome, document, created_at, updated_at, closed_at, changed)
     values (?, ?, 1, 1, ?, 'A1L', ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)`,
  );
  const history = raw.prepare(
    `insert into docket_change (docket_id, version, content, parent, kind, label, document, at) values (?, 1, 1, null, 'create', 'docket opened', ?, ?)`,
  );
  const began = Date.now() - dockets * 300_000;
  raw.transaction(() => {
    for (let i = 0; i < dockets; i++) {
      const at = began + i * 300_000;
      const isOpen = i > dockets - 300;
      insert.run(
        `d${i}`,
        2000 + i,
        isOpen ? 'open' : 'closed',
        `Merrowby Line ${i % 40}`,
        `F${i % 900}`,
        `${random.pick(NAMES)} ${i % 5000}`,
        action,
        headline,
        isOpen ? null : random.pick(RESULTS),
        document,
        at,
        at + 60_000,
        isOpen ? null : at + 120_000,
        2000 + i,
      );
      history.run(`d${i}`, document, at);
    }
  })();
  raw.close();
  const em = () => orm.em.fork();
  const list =
    (words: string, state: 'all' | 'current' | 'open' | 'closed' = 'all', offset = 0) =>
    () =>
      listDockets(em(), { state, words, limit: 50, offset });
  const opening = new DocketStore(em(), () => Promise.resolve({} as Advice));
  const timed: Record<string, number> = {};
  for (const [name, act] of Object.entries({
    'list on the counter': list('', 'current'),
    'list of all': list(''),
    'list, page 200': list('', 'all', 10_000),
    'search, rare word': list('isbister 4321'),
    'search, common word': list('merrowby'),
    'search, in every headline': list(headline.slice(0, 20)),
    'search among the closed': list('harbour', 'closed'),
    'search, two letters': list('f7'),
    'search, a number': list(`${2000 + dockets - 5}`),
    counters: () => figures(em(), new Date()),
    open: () => opening.get(`d${dockets >> 1}`),
  }))
    timed[name] = await medianTime(act, 15);
  await store.close();
  rmSync(folder, { recursive: true, force: true });
  return timed;
};
