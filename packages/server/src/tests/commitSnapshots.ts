import Sqlite from 'better-sqlite3';
import { copyFileSync, mkdirSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';

/** Statements that make something durable: the end of a transaction, or a write outside of one. */
const COMMIT = /^\s*commit\b/i;
const WRITE = /^\s*(insert|update|delete|replace)\b/i;

type Prepared = { run: (...args: unknown[]) => unknown; all: (...args: unknown[]) => unknown };

let atCommit: (() => void) | null = null;

/**
 * Watches the commits of every connection of this process. To be called before a database is opened: connections keep
 * the functions they are made with.
 */
export const watchCommits = (): void => {
  const proto = Sqlite.prototype as unknown as { prepare: (this: Sqlite.Database, sql: string) => Prepared };
  const { prepare } = proto;
  proto.prepare = function (sql) {
    const statement = prepare.call(this, sql);
    const isCommit = COMMIT.test(sql);
    if (!isCommit && !WRITE.test(sql)) return statement;
    for (const method of ['run', 'all'] as const) {
      const plain = statement[method].bind(statement);
      Object.defineProperty(statement, method, {
        value: (...args: unknown[]) => {
          if (isCommit || !this.inTransaction) atCommit?.();
          return plain(...args);
        },
      });
    }
    return statement;
  };
};

/**
 * Keeps the files of a server as they are just before each of its commits: what a server that is killed there leaves
 * behind.
 *
 * @param folder of the server's files
 * @param into a folder for the copies
 * @returns the folders of the copies, in the order of the commits, and the last one as it is at the end
 */
export const commitSnapshots = async (
  folder: string,
  into: string,
  act: () => Promise<unknown>,
): Promise<string[]> => {
  const made: string[] = [];
  const keep = () => {
    const to = join(into, String(made.length));
    mkdirSync(to, { recursive: true });
    for (const name of readdirSync(folder))
      if (statSync(join(folder, name)).isFile() && !name.endsWith('-shm'))
        copyFileSync(join(folder, name), join(to, name));
    made.push(to);
  };
  atCommit = keep;
  try {
    await act();
  } finally {
    atCommit = null;
  }
  keep();
  return made;
};
