import { spawn, type ChildProcess } from 'node:child_process';
import Sqlite from 'better-sqlite3';
import {
  existsSync,
  mkdirSync,
  mkdtempSync,
  readdirSync,
  readFileSync,
  rmSync,
  writeFileSync,
} from 'node:fs';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { gunzipSync } from 'node:zlib';
import Papa from 'papaparse';
import { randomFrom } from '../packages/core/src/chance/random.ts';
import { caller, hasEnded, isOpen, ownServer } from './ownServer.ts';

/*
 * Kills the server, or the command line, at seeded moments: over words and changes, settings, imports, backups and
 * restores, a migration and the first seeding. After each kill the database is opened anew and looked at: everything
 * acknowledged is there, nothing is there by half. `npm run torture -- --kills 100 --seed 1`
 */
const { values } = parseArgs({
  options: {
    kills: { type: 'string', default: '100' },
    seed: { type: 'string', default: '1' },
    port: { type: 'string', default: '4395' },
  },
});
const ROOT = join(import.meta.dirname, '..');
const PORT = Number(values.port);
const API = `http://127.0.0.1:${PORT}/api`;
const random = randomFrom(Number(values.seed));
const folder = mkdtempSync(join(tmpdir(), 'torture-'));
const TSX = ['--import', 'tsx'];

const counts = {
  kills: 0,
  'kills while it started': 0,
  'acknowledged writes': 0,
  'acknowledged writes lost': 0,
  'half imports': 0,
  'half seedings': 0,
  'half backups': 0,
  'half restores': 0,
  'failed openings': 0,
  'damaged files': 0,
};
const wrong: string[] = [];
const fail = (what: keyof typeof counts, told: string) => {
  counts[what]++;
  wrong.push(`${what}: ${told}`);
};
const wait = (ms: number) => new Promise<void>((go) => setTimeout(go, ms));
const kill = async (child: ChildProcess) => {
  child.kill('SIGKILL');
  counts.kills++;
  await hasEnded(child);
};

const serve = (database: string, demo = false) => ownServer({ root: ROOT, port: PORT, database, demo });
const open = async (file: string, demo = false): Promise<ChildProcess> => {
  const child = serve(file, demo);
  await isOpen(child);
  return child;
};
/** Opens a database that must open. */
const reopen = async (file: string): Promise<ChildProcess> => {
  try {
    return await open(file);
  } catch (error) {
    fail('failed openings', String(error));
    throw error;
  }
};
const call = caller(API);
interface View {
  readonly id: string;
  readonly version: number;
  readonly docket: { readonly wants?: string[]; readonly customer?: { readonly name: string } };
}

/** Whether the file itself is whole, without a server. */
const examine = (file: string): void => {
  const connection = new Sqlite(file, { readonly: true });
  const found = connection.pragma('integrity_check(1)') as Array<{ integrity_check: string }>;
  connection.close();
  if (found[0]?.integrity_check !== 'ok') fail('damaged files', file);
};
const catalogueOf = (file: string): string => {
  const connection = new Sqlite(file, { readonly: true });
  const { value } = connection.prepare(`select value from setting where key = 'catalogue'`).get() as {
    value: string;
  };
  connection.close();
  return join(dirname(file), (JSON.parse(value) as { file: string }).file);
};
const countOf = (file: string, table: string): number => {
  const connection = new Sqlite(file, { readonly: true });
  const { n } = connection.prepare(`select count(*) as n from "${table}"`).get() as { n: number };
  connection.close();
  return n;
};

/** Words, changes and settings, several at a time, until the server is killed in the middle. */
const overWrites = async (file: string): Promise<void> => {
  const server = await reopen(file);
  const acknowledged = new Map<string, string[]>();
  const shops: number[] = [];
  let isOver = false;
  const desk = async (name: number) => {
    try {
      let view = await call<View>('POST', '/dockets', { words: `desk ${name} abs light front left` });
      acknowledged.set(view.id, []);
      for (let i = 0; !isOver; i++) {
        const wish = `wish ${i}`;
        view =
          i % 3 === 2
            ? await call<View>('POST', `/dockets/${view.id}/words`, {
                version: view.version,
                words: `no play rear right ${i}`,
              })
            : await call<View>('PUT', `/dockets/${view.id}`, {
                version: view.version,
                docket: { ...view.docket, wants: [wish] },
                label: wish,
              });
        counts['acknowledged writes']++;
        acknowledged.get(view.id)?.push(`version ${view.version}`);
        if (i % 4 === 3) {
          const shop = await call<{ version: number }>('GET', '/shop');
          const next = await call<{ version: number }>('PATCH', '/shop', {
            version: shop.version,
            change: { overrides: { 'plan.check-floor': 20 + (i % 30) } },
          }).catch(() => null);
          if (next) {
            shops.push(next.version);
            counts['acknowledged writes']++;
          }
        }
      }
    } catch (error) {
      // The server is gone: what was not acknowledged need not be there.
      if (!isOver) wrong.push(`a write was refused: ${String(error)}`);
    }
  };
  const desks = [0, 1, 2].map(desk);
  // A server that has just begun is slow: the clock runs from the first write.
  const before = counts['acknowledged writes'];
  while (counts['acknowledged writes'] === before && wrong.length === 0) await wait(20);
  await wait(random.below(2500));
  isOver = true;
  await kill(server);
  await Promise.all(desks);
  examine(file);
  const again = await reopen(file);
  for (const [id, versions] of acknowledged) {
    const history = await call<Array<{ version: number }>>('GET', `/dockets/${id}/history`).catch(() => []);
    const known = new Set(history.map(({ version }) => `version ${version}`));
    for (const version of versions)
      if (!known.has(version)) fail('acknowledged writes lost', `${id} ${version}`);
  }
  const shop = await call<{ version: number }>('GET', '/shop');
  for (const version of shops)
    if (version > shop.version) fail('acknowledged writes lost', `shop ${version}`);
  again.kill('SIGTERM');
  await hasEnded(again);
};

/** An import of rows that all carry one price; whatever the moment, all or none have it. */
const overImport = async (file: string, price: number): Promise<void> => {
  const server = await reopen(file);
  const csv = await (await fetch(`${API}/catalogue/parts.csv`)).text();
  const rows = Papa.parse<Record<string, string>>(csv, { header: true, skipEmptyLines: true }).data;
  const priced = rows.map((row) => ({ ...row, price: String(price) }));
  const { id } = await call<{ id: string }>('POST', '/imports', {});
  await fetch(`${API}/imports/${id}/files/parts.csv`, {
    method: 'PUT',
    body: Papa.unparse(priced),
  });
  await call('POST', `/imports/${id}/run`, { mode: 'whole' });
  await wait(random.below(3500));
  await kill(server);
  examine(file);
  const catalogue = catalogueOf(file);
  if (!existsSync(catalogue)) return fail('half imports', `${catalogue} is gone`);
  examine(catalogue);
  const connection = new Sqlite(catalogue, { readonly: true });
  const { n } = connection
    .prepare('select count(*) as n from part where price_cents = ?')
    .get(price * 100) as { n: number };
  connection.close();
  if (n !== 0 && n < priced.length) fail('half imports', `${n} of ${priced.length}`);
  const again = await reopen(file);
  const { import: told } = await call<{ import: { state: string } | null }>('GET', '/imports');
  if (n === 0 && told?.state !== 'failed') fail('half imports', 'nobody was told that it did not go in');
  again.kill('SIGTERM');
  await hasEnded(again);
  const left = readdirSync(dirname(file)).filter((name) => name.includes('.catalogue-'));
  if (left.length !== 1) fail('half imports', `${left.length} catalogues are left`);
};

/** The command line, killed; what it has done is whole or nothing. */
const killed = async (...args: string[]): Promise<void> => {
  const child = spawn(process.execPath, [...TSX, 'packages/cli/src/main.ts', ...args], {
    cwd: ROOT,
    stdio: 'ignore',
  });
  // The first second goes into reading the program itself.
  const timer = wait(1000 + random.below(2500));
  await Promise.race([timer, hasEnded(child)]);
  if (child.exitCode === null) await kill(child);
};
const overBackup = async (file: string, backups: string): Promise<void> => {
  await killed('backup', '--database', file, '--to', backups);
  for (const name of existsSync(backups) ? readdirSync(backups) : []) {
    if (name.startsWith('.making-')) continue;
    const copy = join(backups, name, 'database.sqlite');
    if (!existsSync(join(backups, name, 'manifest.json')) || !existsSync(copy)) fail('half backups', name);
    else examine(copy);
  }
};
const overRestore = async (file: string, backups: string): Promise<void> => {
  const made = existsSync(backups) ? readdirSync(backups).find((name) => !name.startsWith('.')) : undefined;
  if (!made) return;
  await killed('restore', join(backups, made), '--database', file);
  if (!existsSync(file)) return fail('half restores', 'the database is gone');
  examine(file);
  const again = await reopen(file);
  if ((await call<{ total: number }>('GET', '/dockets?state=all')).total === 0)
    fail('half restores', 'it is empty');
  again.kill('SIGTERM');
  await hasEnded(again);
};

/** The first seeding, killed at any moment: then it is empty and seeded anew, or whole. */
const overSeeding = async (n: number): Promise<void> => {
  const file = join(folder, `seed-${n}`, 'shop.sqlite');
  const server = serve(file, true);
  await wait(800 + random.below(3500));
  counts['kills while it started']++;
  await kill(server);
  if (existsSync(file)) {
    const dockets = (() => {
      try {
        return countOf(file, 'docket');
      } catch {
        return 0;
      }
    })();
    if (dockets !== 0 && dockets !== SEEDED) fail('half seedings', `${dockets} of ${SEEDED} dockets`);
  }
  const again = await open(file, true).catch((error: unknown) => {
    fail('failed openings', `after seeding: ${String(error)}`);
    return null;
  });
  if (again) {
    const { total } = await call<{ total: number }>('GET', '/dockets?state=all');
    if (total !== SEEDED) fail('half seedings', `${total} of ${SEEDED} dockets after a second start`);
    again.kill('SIGTERM');
    await hasEnded(again);
  }
  rmSync(dirname(file), { recursive: true, force: true });
};

/** A database of an older version, killed while it is brought to today’s. */
const OLDER = join(ROOT, 'packages/server/src/tests/databases/before-sensed-ends.sqlite.gz');
const overMigration = async (n: number): Promise<void> => {
  const file = join(folder, `older-${n}`, 'shop.sqlite');
  rmSync(dirname(file), { recursive: true, force: true });
  mkdirSync(dirname(file), { recursive: true });
  writeFileSync(file, gunzipSync(readFileSync(OLDER)));
  const dockets = countOf(file, 'docket');
  const parts = countOf(file, 'part');
  const server = serve(file);
  await wait(800 + random.below(2500));
  counts['kills while it started']++;
  await kill(server);
  examine(file);
  const again = await reopen(file);
  const { total } = await call<{ total: number }>('GET', '/dockets?state=all');
  again.kill('SIGTERM');
  await hasEnded(again);
  if (total !== dockets || countOf(catalogueOf(file), 'part') !== parts)
    fail('failed openings', `after a migration: ${total} of ${dockets} dockets`);
  rmSync(dirname(file), { recursive: true, force: true });
};

const file = join(folder, 'shop.sqlite');
const backups = join(folder, 'kept');
const first = await open(file, true);
const SEEDED = (await call<{ total: number }>('GET', '/dockets?state=all')).total;
first.kill('SIGTERM');
await hasEnded(first);
const most = Number(values.kills);
const began = Date.now();
for (let round = 0; counts.kills < most; round++) {
  await overWrites(file);
  await overImport(file, 70_000 + round);
  await overBackup(file, backups);
  await overRestore(file, backups);
  await overSeeding(round);
  await overMigration(round);
  process.stdout.write(
    `round ${round + 1}: ${counts.kills} kills, ${counts['acknowledged writes']} writes, ${wrong.length} wrong\n`,
  );
}
rmSync(folder, { recursive: true, force: true });
process.stdout.write(
  `seed ${values.seed}, ${Math.round((Date.now() - began) / 1000)} s: ${Object.entries(counts)
    .map(([what, n]) => `${what} ${n}`)
    .join(', ')}\n`,
);
for (const line of wrong) process.stdout.write(`WRONG ${line}\n`);
process.exit(wrong.length === 0 ? 0 : 1);
