// @ts-check
// Works on Aurora Ridge with hot reload: the server restarts, the page refreshes itself.
import { spawn } from 'node:child_process';
import { freePort, leaveCluster, startCluster } from './lib/cluster.mjs';
import { databaseSettings } from './lib/database.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { setUp } from './lib/set-up.mjs';
import { untilStopped } from './lib/signals.mjs';
import { startServer } from './lib/supervision.mjs';
import { dataFolder, ROOT, run } from './lib/workplace.mjs';

await run(async () => {
  const stopped = untilStopped();
  ensurePackages();
  await ensureInstalled();
  const folder = dataFolder('.data');
  const url = await startCluster(folder);
  try {
    const port = String(await freePort(0));
    const settings = {
      ...databaseSettings(url, folder),
      PORT: port,
      MIGRATIONS: `${ROOT}/server/src/db/migrations`,
      DEMO: '1',
      MAILBOX: '1',
      LOG_LEVEL: 'info',
    };
    await setUp(['--import', 'tsx', 'server/src/setup.ts'], settings, folder);
    const server = await startServer(
      [`${ROOT}/node_modules/tsx/dist/cli.mjs`, 'watch', '--clear-screen=false', 'server/src/main.ts'],
      settings,
      folder,
    );
    const vite = spawn(process.execPath, [`${ROOT}/node_modules/vite/bin/vite.js`], {
      cwd: `${ROOT}/web`,
      env: { ...process.env, API_URL: server.url },
      stdio: ['ignore', 'inherit', 'inherit'],
    });
    const closed = new Promise((resolve) => vite.once('exit', resolve));
    await Promise.race([stopped, server.ended, closed]);
    vite.kill('SIGTERM');
    await server.stop();
  } finally {
    await leaveCluster(folder);
  }
});
