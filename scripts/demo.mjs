import { spawn } from 'node:child_process';
import { existsSync, mkdirSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { digest, installPackages, once, ROOT, run } from './install.mjs';
import { filesBelow } from './sources.mjs';
import { startStandIns } from './standIns.mjs';

const { values } = parseArgs({ options: { port: { type: 'string', default: process.env.PORT ?? '4310' } } });

installPackages();
const sources = [
  'package-lock.json',
  ...filesBelow('packages/core/src'),
  ...filesBelow('packages/web').filter((file) => !file.endsWith('.tsbuildinfo')),
];
const built = existsSync(join(ROOT, 'packages/web/dist/index.html'));
once('web', digest(sources) + built, () => {
  process.stdout.write('Building the pages\n');
  if (
    run('npm', ['run', '--silent', 'build', '-w', '@hardy/web'], {
      stdio: ['ignore', 'ignore', 'inherit'],
    }) !== 0
  )
    process.exit(1);
});
once('web', digest(sources) + true, () => undefined);

// Devices that stand in are a help to try the rest: without them the counter opens all the same.
mkdirSync(join(ROOT, '.data'), { recursive: true });
const standIns = await startStandIns(join(ROOT, '.data/devices.json')).catch((error) => {
  process.stderr.write(`The devices that stand in could not be started: ${error.message}\n`);
  return null;
});
const server = spawn(
  process.execPath,
  [
    '--import',
    'tsx',
    'packages/server/src/main.ts',
    '--port',
    values.port,
    '--scenario',
    'demo',
    '--year',
    '--database',
    '.data/demo.sqlite',
    ...(standIns ? ['--devices', standIns.file] : []),
  ],
  { cwd: ROOT, stdio: 'inherit' },
);
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => server.kill(signal));
server.on('exit', (code) => {
  standIns?.stop();
  process.exit(code ?? 0);
});
