import { expect, test } from '@jest/globals';
import type { ChildProcess } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { caller, hasEnded, isOpen, ownServer } from '../../../scripts/ownServer.ts';
import { ROOT } from './tests/openScenario.ts';

const KILLS = 4;
const PORT = 4391;
const ADDRESS = `http://127.0.0.1:${PORT}/api`;

const launch = async (database: string): Promise<ChildProcess> => {
  const server = ownServer({ root: ROOT, port: PORT, database, backups: 'none', threads: 0 });
  await isOpen(server);
  return server;
};

interface View {
  readonly id: string;
  readonly version: number;
  readonly docket: { readonly customer?: { readonly name: string } };
}
const ask = caller(ADDRESS);

test(`nothing acknowledged is lost when the server is killed, ${KILLS} times`, async () => {
  const folder = mkdtempSync(join(tmpdir(), 'hardy-kill-'));
  const database = join(folder, 'kill.sqlite');
  try {
    let server = await launch(database);
    let view = await ask<View>('POST', '/dockets', { words: 'abs light front left' });
    for (let i = 1; i <= KILLS; i++) {
      const name = `customer ${i}`;
      view = await ask<View>('PUT', `/dockets/${view.id}`, {
        version: view.version,
        docket: { ...view.docket, customer: { name } },
        label: name,
      });
      server.kill('SIGKILL');
      await hasEnded(server);
      server = await launch(database);
      const found = await ask<View>('GET', `/dockets/${view.id}`);
      expect(found.docket.customer?.name).toBe(name);
      expect(found.version).toBe(view.version);
      const history = await ask<Array<{ label: string }>>('GET', `/dockets/${view.id}/history`);
      expect(history).toHaveLength(i + 1);
      expect(history.at(-1)?.label).toBe(name);
    }
    server.kill('SIGTERM');
    expect(await hasEnded(server)).toBe(0);
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}, 180_000);
