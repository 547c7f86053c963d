import pg from 'pg';
import type { Logger } from 'pino';

export type Pool = pg.Pool;
/** Whatever a statement can be sent to. */
export type Queryable = Pick<pg.PoolClient, 'query'>;

/** Where a store's rows are: single statements, or several that happen together. */
export interface Db extends Queryable {
  /** Runs `work` in one transaction: all of it happens, or none. */
  readonly transaction: <T>(work: (client: Queryable) => Promise<T>) => Promise<T>;
}

const CONNECT_MS = 3000;
/** An answer that has not come by then does not come: the database hangs. The database itself gives up a little earlier. */
const ANSWER_MS = 8000;
const MOST_CONNECTIONS = 10;

/** A pool of connections that survives the database going away and coming back. */
export function createPool(url: string, log: Logger): Pool {
  const pool = new pg.Pool({
    connectionString: url,
    connectionTimeoutMillis: CONNECT_MS,
    query_timeout: ANSWER_MS,
    max: MOST_CONNECTIONS,
    application_name: 'aurora-ridge',
  });
  // an idle connection that breaks is dropped by the pool; without a listener it would end the process
  pool.on('error', (error) => log.warn({ error: error.message }, 'an idle database connection broke'));
  // and one in use tells whoever waits for its answer, but says it once more by itself
  pool.on('connect', (client) => client.on('error', (error) => log.warn({ error: error.message }, 'a database connection broke')));
  return pool;
}

/** Rows as whoever opened the transaction may see them; `opening` begins it. */
export function dbOf(pool: Pool, opening: string): Db {
  const transaction: Db['transaction'] = (work) => inTransaction(pool, opening, work);
  return {
    query: ((text: string, values?: unknown[]) => transaction((client) => client.query(text, values))) as Db['query'],
    transaction,
  };
}

const HANGS = 'Query read timeout';

async function inTransaction<T>(pool: Pool, opening: string, work: (client: Queryable) => Promise<T>): Promise<T> {
  const client = await pool.connect();
  try {
    await client.query(opening);
    const result = await work(client);
    await client.query('commit');
    client.release();
    return result;
  } catch (error) {
    // one that hangs would let the way back wait as well
    if ((error as Error).message === HANGS) client.release(true);
    else
      await client.query('rollback').then(
        () => client.release(),
        // a connection that cannot roll back is broken: it must not go back into the pool
        () => client.release(true),
      );
    throw error;
  }
}
