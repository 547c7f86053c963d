// @ts-check
// Starts Aurora Ridge with its demo band: installs, builds and migrates whatever is missing first.
import { createInterface } from 'node:readline/promises';
import { ensureBuilt } from './lib/build.mjs';
import { emptyDatabase, leaveCluster, otherUsers, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { runHouse } from './lib/run-house.mjs';
import { untilStopped } from './lib/signals.mjs';
import { steps } from './lib/steps.mjs';
import { dataFolder, Halt, run } from './lib/workplace.mjs';

const DEFAULT_PORT = '4170';

await run(async () => {
  const stopped = untilStopped();
  const fresh = process.argv.includes('--fresh');
  if (fresh) await confirmFresh();
  const step = steps(5);
  await step('Debian’s packages', () => ensurePackages());
  await step('npm’s packages', ensureInstalled);
  const build = await step('the application', ensureBuilt);
  const folder = dataFolder('.data');
  const ownerUrl = await step('the database', () => startCluster(folder));
  try {
    if (fresh) startOver(folder);
    const settings = {
      NODE_ENV: 'production',
      PORT: process.env.PORT || DEFAULT_PORT,
      HOST: process.env.HOST || '127.0.0.1',
      LOG_LEVEL: process.env.LOG_LEVEL || 'warn',
      DEMO: '1',
      MAILBOX: '1',
    };
    const house = await step('the demo band and its house', () => runHouse({ build, folder, ownerUrl, settings, ownsDatabase: true }));
    console.log(`\nAurora Ridge is ready: ${house.url}\nPress Ctrl-C to stop. Everything is kept for next time.\n`);
    await stopped;
    await house.stop();
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
