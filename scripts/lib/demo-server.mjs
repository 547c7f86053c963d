// @ts-check
import { databaseSettings } from './database.mjs';
import { setUp } from './set-up.mjs';
import { startServer } from './supervision.mjs';

/**
 * One server with the demo band, or with `DEMO: '0'` an empty one that begins at `first`, for tests, pictures and figures: nobody keeps it running.
 * @param {import('./build.mjs').Build} build
 * @param {string} ownerUrl
 * @param {string} folder
 * @param {Record<string, string>} [more] settings beside the usual ones
 */
export async function startDemo(build, ownerUrl, folder, more = {}) {
  const settings = {
    ...databaseSettings(ownerUrl, folder),
    PORT: '0',
    WEB_ROOT: build.web,
    MIGRATIONS: build.migrations,
    DEMO: '1',
    MAILBOX: '1',
    LOG_LEVEL: 'warn',
    ...more,
  };
  const first = await setUp(['--enable-source-maps', build.setup], settings, folder);
  return { server: await startServer(['--enable-source-maps', build.server], settings, folder), settings, first };
}
