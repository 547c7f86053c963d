// @ts-check
// Starts Aurora Ridge with its demo band: installs, builds and migrates whatever is missing first.
import { createInterface } from 'node:readline/promises';
import { ensureBuilt } from './lib/build.mjs';
import { emptyDatabase, leaveCluster, otherUsers, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startServer } from './lib/server-process.mjs';
import { untilStopped } from './lib/signals.mjs';
import { dataFolder, Halt, run } from './lib/workplace.mjs';

const DEFAULT_PORT = '4170';

await run(async () => {
  const stopped = untilStopped();
  const fresh = process.argv.includes('--fresh');
  if (fresh) await confirmFresh();
  ensurePackages();
  await ensureInstalled();
  const build = await ensureBuilt();
  const folder = dataFolder();
  const url = await startCluster(folder);
  try {
    if (fresh) startOver(folder);
    const settings = {
      NODE_ENV: 'production',
      DATABASE_URL: url,
      PORT: process.env.PORT || DEFAULT_PORT,
      HOST: process.env.HOST || '127.0.0.1',
      WEB_ROOT: build.web,
      MIGRATIONS: build.migrations,
      LOG_LEVEL: process.env.LOG_LEVEL || 'warn',
      DEMO: '1',
    };
    const server = await startServer(['--enable-source-maps', build.server], settings, folder);
    console.log(`\nAurora Ridge is ready: ${server.url}\nPress Ctrl-C to stop. Everything is kept for next time.\n`);
    const ended = await Promise.race([stopped, server.ended]);
    await server.stop();
    if (typeof ended !== 'string') throw new Halt(`The server ended by itself; see ${folder}/server.log`);
  } finally {
    await leaveCluster(folder);
  }
});

/** @param {string} folder */
function startOver(folder) {
  if (otherUsers(folder) > 0) throw new Halt('Another demo is running on the same data. Stop it first, then start over.');
  emptyDatabase(folder);
}

async function confirmFresh() {
  if (process.argv.includes('--yes')) return;
  const sorry = 'Nothing was changed. To start over without being asked: npm run demo -- --fresh --yes';
  if (!process.stdin.isTTY) throw new Halt(sorry);
  const terminal = createInterface({ input: process.stdin, output: process.stdout });
  const answer = await terminal.question('Start over? Every song and every version in the demo is lost. [y/N] ');
  terminal.close();
  if (!/^y(es)?$/i.test(answer.trim())) throw new Halt(sorry);
}
