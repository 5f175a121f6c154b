import { command } from './command.ts';

// Backups and packed shops are their owner's alone: customers are in them.
process.umask(0o077);

// Whoever reads no further has seen enough: `hardy advise docket.json | head`.
process.stdout.on('error', (error: NodeJS.ErrnoException) => {
  process.exit(error.code === 'EPIPE' ? 0 : 2);
});

process.exitCode = await command(process.argv.slice(2), new Date(), {
  out: (text) => process.stdout.write(text),
  error: (text) => process.stderr.write(text),
});
