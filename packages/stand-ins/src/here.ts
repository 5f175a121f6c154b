import { createServer, type IncomingMessage, type ServerResponse } from 'node:http';
import type { AddressInfo, Server } from 'node:net';

/** Longer than whoever asks keeps a connection that is idle, ms: of two that close at one time, one loses its question. */
const KEEP_ALIVE_MS = 75_000;

/** Listens on this machine alone, on a port that is free. */
export const listenHere = (
  what: Server | ((req: IncomingMessage, res: ServerResponse) => unknown),
): Promise<{ server: Server; port: number }> =>
  new Promise((resolve, reject) => {
    const server =
      typeof what === 'function'
        ? createServer({ keepAliveTimeout: KEEP_ALIVE_MS }, (req, res) => void what(req, res))
        : what;
    server.once('error', reject);
    server.listen(0, '127.0.0.1', () => resolve({ server, port: (server.address() as AddressInfo).port }));
  });

/** Says in one line of JSON where it listens, for whoever started it: a piece of a start-up file of devices. */
export const sayWhere = (where: Readonly<Record<string, unknown>>): void => {
  process.stdout.write(`${JSON.stringify(where)}\n`);
};

/** Ends when it is told to, or when whoever started it is gone. */
export const untilStopped = (servers: readonly Server[]): void => {
  const end = () => {
    for (const server of servers) server.close();
    process.exit(0);
  };
  for (const signal of ['SIGINT', 'SIGTERM'] as const) process.on(signal, end);
  process.stdin.on('end', end);
  process.stdin.resume();
};
