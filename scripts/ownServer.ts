import { spawn, type ChildProcess } from 'node:child_process';
import { readFileSync } from 'node:fs';

export interface OwnServer {
  /** The folder of the project. */
  readonly root: string;
  readonly port: number;
  readonly database: string;
  /** Whether an empty database is filled with the demo. */
  readonly demo?: boolean;
  /** Where backups go; beside the database when absent, `none` for none. */
  readonly backups?: string;
  /** Start-up file of devices; none when absent. */
  readonly devices?: string;
  /** Threads that calculate; as many as the server chooses when absent. */
  readonly threads?: number;
}

/** A server as a process of its own, to be measured, attacked or killed. */
export const ownServer = ({
  root,
  port,
  database,
  demo,
  backups,
  devices,
  threads,
}: OwnServer): ChildProcess =>
  spawn(
    process.execPath,
    [
      ...['--import', 'tsx', 'packages/server/src/main.ts', '--port', String(port), '--database', database],
      ...(demo ? ['--scenario', 'demo'] : []),
      ...(backups ? ['--backups', backups] : []),
      ...(devices ? ['--devices', devices] : []),
      ...(threads === undefined ? [] : ['--threads', String(threads)]),
    ],
    { cwd: root, stdio: ['ignore', 'pipe', 'pipe'] },
  );

/** When it is open. @throws Error with what it said, where it ends before that. */
export const isOpen = (server: ChildProcess): Promise<void> =>
  new Promise((go, fail) => {
    let said = '';
    server.stderr?.on('data', (text: Buffer) => (said += text.toString()));
    server.stdout?.on('data', (text: Buffer) => text.toString().includes('open at') && go());
    server.once('exit', (code) => fail(new Error(said || `the server ended with ${String(code)}`)));
  });

/** How it ended: its code, or the signal that ended it. */
export const hasEnded = (server: ChildProcess): Promise<number | string | null> =>
  new Promise((go) => {
    if (server.exitCode !== null || server.signalCode) go(server.exitCode ?? server.signalCode);
    else server.once('exit', (code, signal) => go(code ?? signal));
  });

/** The memory a server takes, in megabytes. */
export const memoryOf = (server: ChildProcess): number =>
  Number(/VmRSS:\s+(\d+)/.exec(readFileSync(`/proc/${server.pid}/status`, 'utf8'))?.[1]) / 1000;

/** Calls the API at an address. @throws Error with status and words for an answer that is an error. */
export const caller =
  (api: string) =>
  async <T>(method: string, path: string, body?: unknown): Promise<T> => {
    const answer = await fetch(api + path, {
      method,
      ...(body === undefined
        ? {}
        : { body: JSON.stringify(body), headers: { 'content-type': 'application/json' } }),
    });
    if (!answer.ok) throw new Error(`${method} ${path}: ${answer.status} ${await answer.text()}`);
    return (answer.status === 204 ? null : await answer.json()) as T;
  };
