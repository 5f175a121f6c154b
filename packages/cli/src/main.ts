import { BadInput } from '@hardy/core';
import { run } from './run.ts';

const oneLine = (text: string): string => text.replace(/\s+/g, ' ').trim();

// Whoever reads no further has seen enough: `hardy advise docket.json | head`.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  process.exit(error.code === 'EPIPE' ? 0 : 2);
});

try {
  const said = await run(process.argv.slice(2), new Date());
  process.stdout.write(typeof said === 'string' ? `${said}\n` : `${JSON.stringify(said, null, 2)}\n`);
} catch (error) {
  const isTheirs = error instanceof BadInput;
  const message = error instanceof Error ? error.message : String(error);
  process.stderr.write(`${isTheirs ? '' : 'internal fault: '}${oneLine(message)}\n`);
  process.exitCode = isTheirs ? 1 : 2;
}
