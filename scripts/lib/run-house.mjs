// @ts-check
import { keepCluster } from './cluster.mjs';
import { databaseSettings } from './database.mjs';
import { openLog } from './log-file.mjs';
import { setUp } from './set-up.mjs';
import { keepRunning } from './supervision.mjs';

/**
 * @typedef {object} HouseWish
 * @property {import('./build.mjs').Build} build
 * @property {string} folder of data and logs
 * @property {string} ownerUrl the database as its owner
 * @property {Record<string, string>} settings
 * @property {boolean} ownsDatabase whether the database is ours to keep running
 * @property {string} [appUrl] the database as the application's role, where that is not ours to make
 * @property {number} [servers]
 * @property {number} [workers]
 */

/**
 * Brings the database up to date, then keeps servers, workers and the database running until it is stopped.
 * @param {HouseWish} wish
 */
export async function runHouse({ build, folder, ownerUrl, appUrl, settings, ownsDatabase, servers = 1, workers = 1 }) {
  const log = await openLog(folder, 'house.log');
  const tell = (/** @type {string} */ words) => void log.write(`${JSON.stringify({ level: 40, time: Date.now(), msg: words })}\n`);
  const database = appUrl === undefined ? databaseSettings(ownerUrl, folder) : { OWNER_DATABASE_URL: ownerUrl, DATABASE_URL: appUrl };
  const shared = { ...settings, ...database, WEB_ROOT: build.web, MIGRATIONS: build.migrations, WORKER: 'apart' };
  const first = await setUp(['--enable-source-maps', build.setup], shared, folder);
  // who serves never holds the owner's key
  const served = { ...shared, OWNER_DATABASE_URL: '' };
  /** @type {import('./supervision.mjs').Kept[]} */
  const kept = [];
  const unwatch = ownsDatabase ? keepCluster(folder, tell) : async () => undefined;
  const stop = async () => {
    await Promise.all(kept.map((one) => one.stop()));
    await unwatch();
  };
  try {
    for (let index = 0; index < servers; index += 1) {
      const port = settings.PORT === '0' ? '0' : String(Number(settings.PORT) + index);
      kept.push(
        await keepRunning({
          name: index === 0 ? 'server' : `server-${index + 1}`,
          script: build.server,
          settings: { ...served, PORT: port },
          folder,
        }),
      );
    }
    for (let index = 0; index < workers; index += 1)
      kept.push(
        await keepRunning({ name: index === 0 ? 'worker' : `worker-${index + 1}`, script: build.worker, settings: served, folder }),
      );
  } catch (error) {
    await stop();
    throw error;
  }
  return { url: kept[0]?.url ?? '', urls: kept.slice(0, servers).map(({ url }) => url), first, kept, stop };
}
