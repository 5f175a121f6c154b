import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { parseArgs } from 'node:util';
import { logFault } from './log.ts';
import { start, type Running } from './start.ts';
import { CannotOpen } from './store/cannotOpen.ts';

/** More threads than people at the desks are of no use; of two, one is always free for a desk. */
const MOST_THREADS = 4;
const LEAST_THREADS = 2;

const OPTIONS = {
  database: { type: 'string', default: '.data/hardy.sqlite' },
  port: { type: 'string', default: '4310' },
  web: { type: 'string', default: 'packages/web/dist' },
  scenario: { type: 'string' },
  /** With the scenario’s year of closed dockets. */
  year: { type: 'boolean', default: false },
  /** A folder, or `none`; beside the database when it is not given. */
  backups: { type: 'string' },
  /** Start-up file of devices; none when it is not given. */
  devices: { type: 'string' },
  /** Threads that calculate; by the cores of the machine when it is not given, 0 for none. */
  threads: { type: 'string' },
} as const;

const USAGE = `use: ${Object.keys(OPTIONS)
  .map((name) => `[--${name} ${name.toUpperCase()}]`)
  .join(' ')}`;

const fail = (line: string): never => {
  process.stderr.write(`${line.replace(/\s+/g, ' ')}\n`);
  process.exit(1);
};

const given = () => {
  try {
    return parseArgs({ options: OPTIONS }).values;
  } catch (error) {
    return fail(`${(error as Error).message}; ${USAGE}`);
  }
};

// Whatever is written here is its owner's alone: customers are in it.
process.umask(0o077);

process.on('uncaughtException', (error) => {
  logFault(error);
  process.exit(1);
});
// What nobody waited for broke: it is told, and the shop goes on.
process.on('unhandledRejection', logFault);

// A signal may come before there is anything to end.
let running: Running | null = null;
let isStopping = false;
const stop = () => {
  if (isStopping) return;
  isStopping = true;
  if (running) void running.stop().then(() => process.exit(0));
};
for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, stop);

const values = given();
const port = Number(values.port);
if (!/^\d+$/.test(values.port) || port > 65535) fail(`--port ${values.port} is no port; give 0 to 65535`);
const threads = values.threads === undefined ? null : Number(values.threads);
if (threads !== null && !(Number.isInteger(threads) && threads >= 0 && threads <= 64))
  fail(`--threads ${values.threads} is no number of threads; give 0 to 64`);
try {
  running = await start({
    database: values.database,
    port,
    webFolder: values.web,
    scenario: values.scenario ?? null,
    devices: values.devices ?? null,
    year: values.year,
    backups: values.backups === 'none' ? null : (values.backups ?? join(dirname(values.database), 'backups')),
    // One core is left to whoever answers.
    threads: threads ?? Math.min(MOST_THREADS, Math.max(LEAST_THREADS, availableParallelism() - 1)),
  });
  if (isStopping) {
    await running.stop();
    process.exit(0);
  }
  process.stdout.write(`Hardy Spoke is open at ${running.address}\n`);
} catch (error) {
  if ((error as { code?: string }).code === 'EADDRINUSE')
    fail(`port ${values.port} is taken; choose another with --port`);
  if (error instanceof CannotOpen || (error as { name?: string }).name === 'BadInput')
    fail((error as Error).message);
  logFault(error);
  fail('it could not be started; the line above says where it broke');
}
