// @ts-check
// Runs Aurora Ridge for bands, without demo data: on a database of its own, or on the one named by
// OWNER_DATABASE_URL (migrations) and DATABASE_URL (everything else). docs/operations.md tells the settings.
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { runHouse } from './lib/run-house.mjs';
import { untilStopped } from './lib/signals.mjs';
import { dataFolder, Halt, run } from './lib/workplace.mjs';

const DEFAULT_PORT = '4170';

/** @param {string} name */
function countOf(name) {
  const count = Number(process.env[name] || 1);
  if (Number.isInteger(count) && count >= 0 && count <= 64) return count;
  throw new Halt(`${name} is a number of processes, not “${process.env[name]}”.`);
}

await run(async () => {
  const stopped = untilStopped();
  const [ownerUrl, appUrl] = [process.env.OWNER_DATABASE_URL, process.env.DATABASE_URL];
  if ((ownerUrl === undefined) !== (appUrl === undefined))
    throw new Halt('Set both OWNER_DATABASE_URL and DATABASE_URL, or neither for a database of our own.');
  const [servers, workers] = [countOf('SERVERS'), countOf('WORKERS')];
  const owns = ownerUrl === undefined;
  if (owns) ensurePackages();
  await ensureInstalled();
  const build = await ensureBuilt();
  const folder = dataFolder('.house');
  const settings = {
    NODE_ENV: 'production',
    PORT: process.env.PORT || DEFAULT_PORT,
    HOST: process.env.HOST || '127.0.0.1',
    LOG_LEVEL: process.env.LOG_LEVEL || 'info',
    DEMO: '0',
  };
  const url = ownerUrl ?? (await startCluster(folder));
  try {
    const house = await runHouse({
      build,
      folder,
      ownerUrl: url,
      settings,
      ownsDatabase: owns,
      servers,
      workers,
      ...(appUrl === undefined ? {} : { appUrl }),
    });
    const address = process.env.PUBLIC_URL || house.url;
    console.log(`\nAurora Ridge runs: ${address}\nLogs are in ${folder}. Press Ctrl-C to stop.\n`);
    if (house.first !== undefined)
      console.log(`There is no band yet. Open this link once, within a week, to begin the first one:\n\n  ${address}${house.first}\n`);
    await stopped;
    await house.stop();
  } finally {
    if (owns) await leaveCluster(folder);
  }
});
