import { runner } from 'node-pg-migrate';
import type { Logger } from 'pino';

/** Brings the database to the newest schema; does nothing when it is there already. */
export async function migrate(url: string, folder: string, log: Logger): Promise<void> {
  await runner({
    databaseUrl: url,
    dir: folder,
    direction: 'up',
    migrationsTable: 'migration',
    logger: {
      ...console,
      info: (text: string) => log.debug(text),
      debug: () => {},
      warn: (text: string) => log.warn(text),
      error: (text: string) => log.error(text),
    },
  });
}
