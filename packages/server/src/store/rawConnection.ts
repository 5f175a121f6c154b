import type { MikroORM } from '@mikro-orm/better-sqlite';
import type { Database } from 'better-sqlite3';

interface Pooled {
  acquireConnection(): Promise<Database>;
  releaseConnection(connection: Database): Promise<void>;
}

/**
 * Does something on the one connection of the database with nobody in between: what may not stand in a transaction, such
 * as exchanging an attached file.
 */
export const withConnection = async <T>(orm: MikroORM, act: (connection: Database) => T): Promise<T> => {
  const pool = orm.em.getConnection().getKnex().client as Pooled;
  const connection = await pool.acquireConnection();
  try {
    return act(connection);
  } finally {
    await pool.releaseConnection(connection);
  }
};
