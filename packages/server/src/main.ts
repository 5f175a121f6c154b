import { availableParallelism } from 'node:os';
import { parseArgs } from 'node:util';
import { start } from './start.ts';

/** More threads than people at the desks are of no use. */
const MOST_THREADS = 4;

const { values } = parseArgs({
  options: {
    database: { type: 'string', default: '.data/hardy.sqlite' },
    port: { type: 'string', default: '4310' },
    web: { type: 'string', default: 'packages/web/dist' },
    scenario: { type: 'string' },
  },
});

try {
  const running = await start({
    database: values.database,
    port: Number(values.port),
    webFolder: values.web,
    scenario: values.scenario ?? null,
    threads: Math.min(MOST_THREADS, availableParallelism()),
  });
  process.stdout.write(`Hardy Spoke is open at ${running.address}\n`);
  let stopping = false;
  for (const signal of ['SIGINT', 'SIGTERM'] as const)
    process.on(signal, () => {
      if (stopping) return;
      stopping = true;
      void running.stop().then(() => process.exit(0));
    });
} catch (error) {
  const busy = (error as { code?: string }).code === 'EADDRINUSE';
  process.stderr.write(
    busy
      ? `port ${values.port} is taken; choose another with --port\n`
      : `${error instanceof Error ? error.message : String(error)}\n`,
  );
  process.exit(1);
}
