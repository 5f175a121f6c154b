import { spawn, spawnSync } from 'node:child_process';
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { parseArgs } from 'node:util';
import { ROOT } from './install.mjs';

/*
 * Runs tests on a machine that is busy with other things: nothing in them may depend on speed. Those that touch time,
 * sockets, processes or threads run five times beside 16 busy processes, then all unit tests run once beside 4.
 * `npm run stress-tests -- --rounds 5 --busy 16 --all-busy 4`; `--rounds 0` or `--all-busy 0` leaves a part out.
 */
const { values } = parseArgs({
  options: {
    rounds: { type: 'string', default: '5' },
    busy: { type: 'string', default: '16' },
    'all-busy': { type: 'string', default: '4' },
  },
});

/** What a test that depends on the machine has in its text. */
const TOUCHES =
  /setTimeout|node:(net|http|child_process|worker_threads|timers)|openScenario|ownServer|createWorkerPool|start\(\{/;
const tests = readdirSync(join(ROOT, 'packages'), { recursive: true })
  .map((name) => join('packages', String(name)))
  .filter((name) => name.endsWith('.test.ts') && !name.includes('node_modules'));
const touching = tests.filter((name) => TOUCHES.test(readFileSync(join(ROOT, name), 'utf8')));

/** Runs jest beside so many busy processes; returns how many tests failed. */
const beside = (busy, files, what) => {
  const others = Array.from({ length: busy }, () =>
    spawn(process.execPath, ['-e', 'for (;;);'], { stdio: 'ignore' }),
  );
  const began = Date.now();
  try {
    const { stdout, stderr, status } = spawnSync(
      'npx',
      ['--no-install', 'jest', '--json', '--silent', '--forceExit', '--testTimeout', '600000', ...files],
      { cwd: ROOT, encoding: 'utf8', maxBuffer: 1 << 28 },
    );
    const counts = JSON.parse(stdout.slice(stdout.indexOf('{')) || '{}');
    const failed = counts.testResults.flatMap((suite) => [
      ...(suite.assertionResults.length === 0 && suite.status === 'failed'
        ? [`${suite.name}: did not run`]
        : []),
      ...suite.assertionResults
        .filter((each) => each.status === 'failed')
        .map((each) => `${suite.name.slice(ROOT.length)}: ${each.fullName}`),
    ]);
    process.stdout.write(
      `${what}, ${busy} busy processes: ${counts.numPassedTests} passed, ${failed.length} failed, ${Math.round((Date.now() - began) / 1000)} s\n`,
    );
    for (const each of failed) process.stdout.write(`failed: ${each}\n`);
    if (status !== 0 && failed.length === 0) process.stderr.write(stderr.slice(-2000));
    return failed.length + (status !== 0 && failed.length === 0 ? 1 : 0);
  } finally {
    for (const other of others) other.kill('SIGKILL');
  }
};

let failures = 0;
for (let round = 1; round <= Number(values.rounds); round++)
  failures += beside(Number(values.busy), touching, `round ${round}, ${touching.length} files`);
if (Number(values['all-busy']) > 0) failures += beside(Number(values['all-busy']), [], 'all unit tests');
process.exit(failures > 0 ? 1 : 0);
