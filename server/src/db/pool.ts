import pg from 'pg';
import type { Logger } from 'pino';

export type Pool = pg.Pool;
/** A connection or the pool: whatever a query can be sent to. */
export type Queryable = Pick<pg.PoolClient, 'query'>;

const CONNECT_MS = 3000;
const MOST_CONNECTIONS = 10;

/** A pool of connections that survives the database going away and coming back. */
export function createPool(url: string, log: Logger): Pool {
  const pool = new pg.Pool({ connectionString: url, connectionTimeoutMillis: CONNECT_MS, max: MOST_CONNECTIONS });
  // an idle connection that breaks is dropped by the pool; without a listener it would end the process
  pool.on('error', (error) => log.warn({ error: error.message }, 'an idle database connection broke'));
  // and one in use tells whoever waits for its answer, but says it once more by itself
  pool.on('connect', (client) => client.on('error', (error) => log.warn({ error: error.message }, 'a database connection broke')));
  return pool;
}

/** Runs `work` in one transaction: all of it happens, or none. */
export async function inTransaction<T>(pool: Pool, work: (client: Queryable) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query('begin');
    const result = await work(client);
    await client.query('commit');
    client.release();
    return result;
  } catch (error) {
    await client.query('rollback').then(
      () => client.release(),
      // a connection that cannot roll back is broken: it must not go back into the pool
      () => client.release(true),
    );
    throw error;
  }
}
