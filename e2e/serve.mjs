import { spawn } from 'node:child_process';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { startStandIns } from '../scripts/standIns.mjs';

/** The server on a database of its own that is gone afterwards. */
const folder = mkdtempSync(join(tmpdir(), 'hardy-e2e-'));
const standIns = await startStandIns(join(folder, 'devices.json'));
const server = spawn(
  process.execPath,
  [
    '--import',
    'tsx',
    'packages/server/src/main.ts',
    '--port',
    process.argv[2] ?? '4377',
    '--scenario',
    'demo',
    ...(process.env.HARDY_YEAR ? ['--year'] : []),
    '--database',
    join(folder, 'e2e.sqlite'),
    '--devices',
    standIns.file,
  ],
  { stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  standIns.stop();
  rmSync(folder, { recursive: true, force: true });
  process.exit(code ?? 0);
});
