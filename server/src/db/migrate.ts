import { readdirSync } from 'node:fs';
import { runner } from 'node-pg-migrate';
import pg from 'pg';
import type { Logger } from 'pino';
import { grantAppRole, provideAppRole } from './app-role.ts';
import type { Queryable } from './pool.ts';

/** Any number: those who migrate the same database wait for one another by it. */
const TURN = 41_704_170;

/**
 * Brings the database to the newest schema, as its owner, and gives the application's role what it needs.
 * Does nothing when all is so already; several at once take turns, and `afterwards` is part of the turn.
 */
export async function migrate(
  { ownerUrl, appUrl, folder }: { readonly ownerUrl: string; readonly appUrl: string; readonly folder: string },
  log: Logger,
  afterwards: () => Promise<void> = async () => undefined,
): Promise<void> {
  await provideAppRole(ownerUrl, appUrl);
  const client = new pg.Client({ connectionString: ownerUrl });
  await client.connect();
  try {
    await client.query('select pg_advisory_lock($1)', [TURN]);
    await runner({
      dbClient: client,
      dir: folder,
      direction: 'up',
      migrationsTable: 'migration',
      // its own lock does not wait but gives up
      noLock: true,
      logger: {
        ...console,
        info: (text: string) => log.debug(text),
        debug: () => {},
        warn: (text: string) => log.warn(text),
        error: (text: string) => log.error(text),
      },
    });
    await grantAppRole(client, appUrl);
    await afterwards();
  } finally {
    await client.end();
  }
}

/** Whether the database is at this program's schema: every migration it knows has run. */
export async function isMigrated(db: Queryable, known: readonly string[]): Promise<boolean> {
  const { rows } = await db.query<{ name: string }>('select name from migration');
  const run = new Set(rows.map(({ name }) => name));
  return known.every((name) => run.has(name));
}

/** The names of the migrations in a folder. */
export function migrationsIn(folder: string): readonly string[] {
  return readdirSync(folder)
    .filter((file) => file.endsWith('.sql'))
    .map((file) => file.slice(0, -'.sql'.length))
    .sort();
}
