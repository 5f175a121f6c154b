import { BadInput } from '@hardy/core';
import { run } from './run.ts';

try {
  process.stdout.write(`${JSON.stringify(await run(process.argv.slice(2), new Date()), null, 2)}\n`);
} catch (error) {
  if (error instanceof BadInput) {
    process.stderr.write(`${error.message.replace(/\s+/g, ' ')}\n`);
    process.exitCode = 1;
  } else {
    process.stderr.write(
      `internal fault: ${error instanceof Error ? error.message.replace(/\s+/g, ' ') : String(error)}\n`,
    );
    process.exitCode = 2;
  }
}
