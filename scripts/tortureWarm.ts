import type { ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import Sqlite from 'better-sqlite3';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import Papa from 'papaparse';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { caller, hasEnded, isOpen, ownServer } from './ownServer.ts';
import { startStandIns } from './standIns.mjs';

/*
 * Kills a warm server under a mixed load of every kind of write, also inside a backup and an import's copy. Every
 * acknowledged write must be there once; every write that was on its way is sent again and must then be there once; acts
 * of two steps are whole. `npm run torture-warm -- --kills 150 --seed 1`
 */
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '150' },
    seed: { type: 'string', default: '1' },
    port: { type: 'string', default: '4397' },
    desks: { type: 'string', default: '4' },
  },
});
const ROOT = join(import.meta.dirname, '..');
const PORT = Number(values.port);
const BASE = `http://127.0.0.1:${PORT}`;
const random = randomFrom(Number(values.seed));
const folder = mkdtempSync(join(tmpdir(), 'torture-warm-'));
const file = join(folder, 'shop.sqlite');
const api = caller(`${BASE}/api`);
const training = caller(`${BASE}/practice/api`);
const wait = (ms: number) => new Promise<void>((go) => setTimeout(go, ms));

interface View {
  readonly id: string;
  readonly number: number;
  readonly version: number;
  readonly docket: Record<string, unknown>;
}
/** A write with what must be true of it once it was acknowledged; `null` from `look` is well, else what is wrong. */
interface Act {
  readonly kind: string;
  readonly send: () => Promise<unknown>;
  readonly look: () => Promise<string | null>;
}

const acknowledged: Act[] = [];
const onTheWay: Act[] = [];
const counts = { kills: 0, acknowledged: 0, lost: 0, doubled: 0, half: 0, 'damaged files': 0, refused: 0 };
const byKind = new Map<string, number>();
const wrong: string[] = [];
let isKilled = false;
/** Does an act; one that the kill cuts off is kept, to be sent again. */
const does = async (act: Act): Promise<boolean> => {
  try {
    await act.send();
  } catch (error) {
    if (isKilled) onTheWay.push(act);
    else {
      counts.refused++;
      wrong.push(`${act.kind} was refused: ${String(error).slice(0, 300)}`);
    }
    return false;
  }
  acknowledged.push(act);
  counts.acknowledged++;
  byKind.set(act.kind, (byKind.get(act.kind) ?? 0) + 1);
  return true;
};

const historyOf = async (call: typeof api, id: string): Promise<string[]> =>
  (await call<Array<{ label: string }>>('GET', `/dockets/${id}/history`)).map(({ label }) => label);
const once = async (call: typeof api, id: string, label: string): Promise<string | null> => {
  const n = (await historyOf(call, id)).filter((each) => each === label).length;
  return n === 1 ? null : n === 0 ? `lost: ${label}` : `doubled: ${label} ${n} times`;
};
const text = (what: string): string => `${what} ${randomUUID().slice(0, 8)}`;

const opens = (docket: object): Act & { readonly id: string } => {
  const id = randomUUID();
  const body = { id, docket: { format: 'hardy-spoke/docket', version: 1, ...docket } };
  return {
    kind: 'docket opened',
    id,
    send: () => api('POST', '/dockets', body),
    look: async () => ((await historyOf(api, id)).includes('docket opened') ? null : `lost: docket ${id}`),
  };
};
const changes = async (id: string, kind: string, change: object): Promise<Act> => {
  const view = await api<View>('GET', `/dockets/${id}`);
  const label = text(kind);
  const body = {
    version: view.version,
    docket: { ...view.docket, ...change },
    label,
    changeId: randomUUID(),
  };
  return { kind, send: () => api('PUT', `/dockets/${id}`, body), look: () => once(api, id, label) };
};
const hears = (id: string): Act => {
  const words = text('no play rear right');
  const body = { version: 1, words, changeId: randomUUID() };
  return {
    kind: 'words',
    send: () => api('POST', `/dockets/${id}/words`, body),
    look: () => once(api, id, `heard: ${words}`),
  };
};
const order = (numbers: readonly string[], on: string) => ({
  part: 'sensor',
  wheelEnd: 'A1L',
  partNumber: numbers[0],
  lines: numbers.map((partNumber) => ({
    partNumber,
    description: partNumber,
    brand: null,
    tier: null,
    quantity: 1,
    unitCents: 4000,
    listCents: 4000,
    depositCents: 0,
    bin: null,
    why: 'the part itself',
    wheelEnd: 'A1L',
    companion: false,
  })),
  on,
  priceCents: 4000,
  allInMeanCents: 9000,
  cures: 0.8,
});
const ON = '2026-11-20';

/** Makes an act of its own kind; null where the shop has nothing left for it. */
type Kind = (state: { readonly docket: string }) => Promise<void>;
const inStock: string[] = [];
const toBeOrdered: string[] = [];
const SUPPLIER = 'makers-parts';

const comeback: Kind = async () => {
  const part = random.pick(inStock);
  const plate = text('HB').slice(0, 12);
  const first = opens({ vehicle: { plate } });
  if (!(await does(first))) return;
  if (!(await does(await changes(first.id, 'taken', { chosen: order([part], ON) })))) return;
  if (!(await does(await changes(first.id, 'closed', { outcome: { result: 'cured', on: ON } })))) return;
  const second = opens({ vehicle: { plate } });
  if (!(await does(second))) return;
  const { number } = await api<View>('GET', `/dockets/${first.id}`);
  const body = { of: number, changeId: randomUUID() };
  await does({
    kind: 'comeback',
    send: () => api('POST', `/dockets/${second.id}/comebacks`, body),
    look: async () => {
      const [then, now] = [
        await api<View>('GET', `/dockets/${first.id}`),
        await api<View>('GET', `/dockets/${second.id}`),
      ];
      const whole = [
        (then.docket.outcome as { result: string }).result === 'came-back',
        now.docket.comebackOf === number,
      ];
      return whole.every(Boolean)
        ? null
        : whole.some(Boolean)
          ? `half: comeback of ${number}`
          : `lost: comeback of ${number}`;
    },
  });
};

const supplierOrder: Kind = async () => {
  const part = random.pick(toBeOrdered);
  if (!(await does(opens({ chosen: order([part], ON) })))) return;
  const id = randomUUID();
  const sent = await api('POST', '/orders', { id, supplier: SUPPLIER }).catch((error: unknown) => {
    // Another desk ordered it in the same moment.
    if (isKilled || String(error).includes('409')) return null;
    throw error;
  });
  if (!sent) return;
  await does({
    kind: 'order by wire',
    send: () => api('POST', `/orders/${id}/wire`, { atTodaysPrices: true }),
    look: async () => {
      const { orders } = await api<{ orders: Array<{ id: string; state: string; unanswered: unknown }> }>(
        'GET',
        '/orders',
      );
      const mine = orders.find((each) => each.id === id);
      return mine && mine.state !== 'sent' && mine.unanswered === null
        ? null
        : `half: order ${id} is ${mine?.state}`;
    },
  });
  const receipt = randomUUID();
  await does({
    kind: 'delivery',
    send: () => api('POST', `/orders/${id}/receive`, { id: receipt, lines: [], close: true }),
    look: async () => {
      const { orders } = await api<{ orders: Array<{ id: string; state: string }> }>('GET', '/orders');
      const mine = orders.find((each) => each.id === id);
      // Only the newest closed ones are listed.
      return !mine || mine.state === 'closed' ? null : `lost: delivery of ${id}`;
    },
  });
};

const erasure: Kind = async () => {
  const name = text('Isbister');
  const docket = opens({ customer: { name } });
  if (!(await does(docket))) return;
  const { customerId } = await api<{ customerId: number }>('GET', `/dockets/${docket.id}/earlier`);
  const gone = async () =>
    !Object.hasOwn((await api<View>('GET', `/dockets/${docket.id}`)).docket.customer ?? {}, 'name');
  await does({
    kind: 'erasure',
    // Sent again after it was done it finds nobody: that is done.
    send: () =>
      api('POST', `/customers/${customerId}/erase`, {}).catch((error: unknown) => {
        if (!String(error).includes(' 404 ')) throw error;
      }),
    look: async () => ((await gone()) ? null : `lost: erasure of ${customerId}`),
  });
};

let visit: { id: string; docketId: string; steps: number; wheel: string } | null = null;
const LOOKS = ['visual.connector', 'visual.sensor', 'visual.harness', 'visual.ring'] as const;
let isTraining = false;
/** One trainee works at a time: actions follow each other. */
const trainingAction: Kind = async () => {
  if (isTraining) return;
  isTraining = true;
  try {
    await trains();
  } finally {
    isTraining = false;
  }
};
const trains = async (): Promise<void> => {
  if (!visit || visit.steps > 12) {
    const { id: learnerId } = await api<{ id: string }>('POST', '/practice/learners', {
      name: text('Learner'),
    });
    const made = await api<{ id: string; words: string; wheels: Array<{ wheelEnd: string }> }>(
      'POST',
      '/practice/visits',
      {
        learnerId,
        level: 2,
      },
    );
    const { id: docketId } = await training<{ id: string }>('POST', '/dockets', { words: made.words });
    await api('POST', `/practice/visits/${made.id}/docket`, { docketId });
    visit = { id: made.id, docketId, steps: 0, wheel: made.wheels[0]?.wheelEnd ?? 'A1L' };
  }
  const mine = visit;
  const after = mine.steps;
  const deed = { kind: 'check', check: LOOKS[after % LOOKS.length], at: mine.wheel };
  await does({
    kind: 'training action',
    send: () => api('POST', `/practice/visits/${mine.id}/deeds`, { after, deed }),
    look: async () => {
      const { steps } = await api<{ steps: unknown[] }>('GET', `/practice/visits/${mine.id}`);
      const labels = (await historyOf(training, mine.docketId)).filter((label) =>
        label.startsWith('practice:'),
      );
      return steps.length <= after
        ? `lost: training action ${after}`
        : labels.length === steps.length
          ? null
          : `half: ${steps.length} actions, ${labels.length} on the docket`;
    },
  });
  mine.steps++;
};

const settings: Kind = async () => {
  const { version } = await api<{ version: number }>('GET', '/shop');
  const change = { overrides: { 'plan.check-floor': 20 + random.below(30) } };
  await does({
    kind: 'settings',
    send: () =>
      api('PATCH', '/shop', { version, change }).catch((error: unknown) => {
        // Another desk changed them in the same moment, or this was done before the server ended.
        if (!String(error).includes('409')) throw error;
      }),
    look: async () =>
      (await api<{ version: number }>('GET', '/shop')).version > version
        ? null
        : `lost: settings ${version + 1}`,
  });
};

const KINDS: ReadonlyArray<readonly [weight: number, Kind]> = [
  [6, async ({ docket }) => void (await does(hears(docket)))],
  [8, async ({ docket }) => void (await does(await changes(docket, 'wish', { wants: [text('wish')] })))],
  [3, async () => void (await does(opens({ codes: [{ code: 'C0031-13' }] })))],
  [2, comeback],
  [2, supplierOrder],
  [1, erasure],
  [2, trainingAction],
  [1, settings],
];
const DRAWN = KINDS.flatMap(([weight, kind]) => Array.from({ length: weight }, () => kind));

const desk = async (): Promise<void> => {
  try {
    const own = opens({ codes: [{ code: 'C0034-13' }] });
    if (!(await does(own))) return;
    while (!isKilled) await random.pick(DRAWN)({ docket: own.id });
  } catch (error) {
    // A read that was cut off; what was not acknowledged need not be there.
    if (!isKilled) wrong.push(`a desk broke off: ${String(error).slice(0, 300)}`);
  }
};

/** What goes on beside the desks when the server is killed. */
const BESIDE: ReadonlyArray<() => Promise<unknown>> = [
  () => Promise.resolve(),
  () => api('POST', '/backups', {}),
  async () => {
    const csv = await (await fetch(`${BASE}/api/catalogue/parts.csv`)).text();
    const { id } = await api<{ id: string }>('POST', '/imports', {});
    await fetch(`${BASE}/api/imports/${id}/files/parts.csv`, { method: 'PUT', body: csv });
    await api('POST', `/imports/${id}/run`, { mode: 'whole' });
  },
];

const standIns = await startStandIns(join(folder, 'devices.json'));
const launch = async (): Promise<ChildProcess> => {
  const server = ownServer({ root: ROOT, port: PORT, database: file, demo: true, devices: standIns.file });
  await isOpen(server);
  return server;
};
const report = (found: string | null) => {
  if (!found) return;
  wrong.push(found);
  counts[found.startsWith('doubled') ? 'doubled' : found.startsWith('half') ? 'half' : 'lost']++;
};
/** An act that goes on by itself after a start is looked at again for a while. */
const look = async (act: Act): Promise<string | null> => {
  for (let tries = 0; ; tries++) {
    const found = await act
      .look()
      .catch((error: unknown) => `lost: ${act.kind}, ${String(error).slice(0, 200)}`);
    if (!found || tries >= 20) return found;
    await wait(250);
  }
};
const examine = (database: string): void => {
  const connection = new Sqlite(database, { readonly: true });
  const found = connection.pragma('integrity_check(1)') as Array<{ integrity_check: string }>;
  connection.close();
  if (found[0]?.integrity_check !== 'ok') {
    counts['damaged files']++;
    wrong.push(`damaged: ${database}`);
  }
};

let server = await launch();
const csv = await (await fetch(`${BASE}/api/catalogue/parts.csv`)).text();
const parts = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data.filter(
  (row) => row.class === 'sensor' || row.partClass === 'sensor',
);
inStock.push(...parts.filter(({ stock }) => Number(stock) > 0).map(({ number }) => number ?? ''));
toBeOrdered.push(
  ...parts
    .filter(({ stock, supplier }) => stock === '0' && supplier === SUPPLIER)
    .map(({ number }) => number ?? ''),
);
if (inStock.length === 0 || toBeOrdered.length === 0)
  throw new Error('the demo has no sensors to sell or to order');
const began = Date.now();
let told = 0;
const most = Number(values.kills);
while (counts.kills < most) {
  isKilled = false;
  visit = null;
  const before = acknowledged.length;
  const desks = Array.from({ length: Number(values.desks) }, desk);
  while (acknowledged.length < before + 22 && wrong.length === told) await wait(20);
  const beside = random
    .pick(BESIDE)()
    .catch(() => undefined);
  await wait(200 + random.below(1800));
  isKilled = true;
  server.kill('SIGKILL');
  counts.kills++;
  await hasEnded(server);
  await Promise.all([...desks, beside]);
  for (const name of [file, `${file}.practice`]) if (existsSync(name)) examine(name);
  server = await launch();
  // What was on its way is sent again, as a page does; then it must be there once.
  for (const act of onTheWay.splice(0)) {
    await act
      .send()
      .catch((error: unknown) => report(`lost: ${act.kind} sent again: ${String(error).slice(0, 300)}`));
    report(await look(act));
  }
  for (const act of acknowledged.slice(before)) report(await look(act));
  process.stdout.write(`${counts.kills} kills, ${counts.acknowledged} acknowledged, ${wrong.length} wrong\n`);
  for (const line of wrong.slice(told)) process.stdout.write(`WRONG ${line}\n`);
  told = wrong.length;
  if (wrong.length > 20) break;
}
// Nothing that was whole once may be gone later.
for (const act of acknowledged.filter(
  ({ kind }) => !['settings', 'delivery', 'order by wire'].includes(kind),
))
  report(await look(act));
const backups = join(folder, 'backups');
for (const name of (existsSync(backups) ? readdirSync(backups) : []).filter((each) => !each.startsWith('.')))
  examine(join(backups, name, 'database.sqlite'));
server.kill('SIGTERM');
await hasEnded(server);
standIns.stop();
rmSync(folder, { recursive: true, force: true });
process.stdout.write(
  `seed ${values.seed}, ${Math.round((Date.now() - began) / 1000)} s: ${Object.entries(counts)
    .map(([what, n]) => `${what} ${n}`)
    .join(', ')}\n${[...byKind].map(([kind, n]) => `${kind} ${n}`).join(', ')}\n`,
);
for (const line of wrong.slice(told)) process.stdout.write(`WRONG ${line}\n`);
process.exit(wrong.length === 0 ? 0 : 1);
