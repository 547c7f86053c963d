// @ts-check
// Puts a backup of every band into a folder: `npm run backup -- FOLDER`, of the house that runs on this machine.
import { spawnSync } from 'node:child_process';
import { resolve } from 'node:path';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, startCluster } from './lib/cluster.mjs';
import { databaseSettings } from './lib/database.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { dataFolder, Halt, ROOT, run } from './lib/workplace.mjs';

await run(async () => {
  const [folder] = process.argv.slice(2);
  if (folder === undefined) throw new Halt('Name the folder: npm run backup -- FOLDER');
  await ensureInstalled();
  const build = await ensureBuilt();
  const data = dataFolder('.house');
  const given = process.env.DATABASE_URL;
  const url = given === undefined ? databaseSettings(await startCluster(data), data).DATABASE_URL : given;
  try {
    const settings = { DATABASE_URL: url, MIGRATIONS: build.migrations, BACKUP_FOLDER: resolve(folder), LOG_LEVEL: 'warn' };
    const done = spawnSync(process.execPath, [build.backup], {
      cwd: ROOT,
      env: { ...process.env, ...settings },
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    if (done.status !== 0) throw new Halt('The backup was not made; the message stands above.');
  } finally {
    if (given === undefined) await leaveCluster(data);
  }
});
