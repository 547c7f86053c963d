// @ts-check
// Hurts a house of its own on purpose and counts what was lost: `npm run torture -- faults 40`, `npm run torture -- fuzz`.
// A seed (SEED=…) makes the same run again. docs/operations.md has the figures.
import { spawnSync } from 'node:child_process';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { startProxy } from './lib/proxy.mjs';
import { runHouse } from './lib/run-house.mjs';
import { untilStopped } from './lib/signals.mjs';
import { tortureFaults } from './lib/torture-faults.mjs';
import { tortureFuzz } from './lib/torture-fuzz.mjs';
import { tortureReaders } from './lib/torture-readers.mjs';
import { Halt, run } from './lib/workplace.mjs';

/** @type {Readonly<Record<string, (house: import('./lib/torture-faults.mjs').Tortured, rounds: number, seed: number) => Promise<boolean>>>} */
const PARTS = { faults: tortureFaults, fuzz: tortureFuzz, readers: tortureReaders };
const ROUNDS = /** @type {Record<string, number>} */ ({ faults: 40, fuzz: 20_000, readers: 200 });

/** A small disk in memory for the database alone, that can be filled. @param {string} path */
function mountDisk(path) {
  mkdirSync(path, { recursive: true, mode: 0o700 });
  return spawnSync('mount', ['-t', 'tmpfs', '-o', 'size=700m,mode=0700', 'tmpfs', path], { stdio: 'ignore' }).status === 0;
}

/** @param {string} path */
function removeDisk(path) {
  spawnSync('umount', [path], { stdio: 'ignore' });
}

await run(async () => {
  const [asked, count] = process.argv.slice(2);
  const names = asked === undefined ? Object.keys(PARTS) : [asked];
  const unknown = names.find((name) => !(name in PARTS));
  if (unknown !== undefined) throw new Halt(`There is no part “${unknown}”. The parts are: ${Object.keys(PARTS).join(', ')}.`);
  const seed = Number(process.env.SEED || 19);
  ensurePackages();
  await ensureInstalled();
  const build = await ensureBuilt();
  const folder = mkdtempSync(`${tmpdir()}/aurora-torture-`);
  const stopped = untilStopped();
  console.log(`seed ${seed}`);
  try {
    const hasOwnDisk = mountDisk(`${folder}/postgres`);
    if (!hasOwnDisk) console.log('No small disk can be mounted here: the fault of a full disk is left out.');
    // as durable as for a band: no setting of tests
    const ownerUrl = await startCluster(folder);
    const settings = {
      PORT: '0',
      HOST: '127.0.0.1',
      LOG_LEVEL: 'warn',
      DEMO: '1',
      MAILBOX: '1',
      TRUST_PROXY: '1',
      TRIES_LIMIT: '1000000',
      RATE_LIMIT: '1000000',
      DEVICE_LIMIT: '1000000',
      BAND_LIMIT: '1000000',
    };
    const house = await runHouse({ build, folder, ownerUrl, settings, ownsDatabase: true, servers: 2, workers: 1 });
    const proxy = await startProxy(folder, house.urls);
    console.log(proxy === undefined ? 'nginx is not installed: the servers are asked themselves.' : 'nginx stands before the two servers.');
    const urls = proxy === undefined ? house.urls : [proxy.url, ...house.urls];
    const work = (async () => {
      for (const name of names) {
        const ok = await PARTS[name]?.({ house, urls, folder, ownerUrl, hasOwnDisk }, Number(count || ROUNDS[name]), seed);
        if (!ok) process.exitCode = 1;
      }
    })();
    await Promise.race([work, stopped]);
    await proxy?.stop();
    await house.stop();
  } finally {
    await leaveCluster(folder);
    removeDisk(`${folder}/postgres`);
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
});
