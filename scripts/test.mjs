// @ts-check
// Runs every check and test, a quick selection, the parts named, or what has a word in its path or name.
// Ends with one line that sums all runners: `N passed, N failed`.
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { untilStopped } from './lib/signals.mjs';
import { runChecks, runFlows, runJest } from './lib/testing/runners.mjs';
import { planOf } from './lib/testing/test-plan.mjs';
import { run } from './lib/workplace.mjs';

const stopped = untilStopped();

await run(async () => {
  const since = Date.now();
  const plan = planOf(process.argv.slice(2));
  ensurePackages({ headless: plan.flows, readers: plan.wings.includes('core') || plan.wings.includes('server') });
  await ensureInstalled();
  const scratch = mkdtempSync(`${tmpdir()}/aurora-test-`);
  /** @type {import('./lib/testing/runners.mjs').Tally[]} */
  const tallies = [];
  try {
    // the build goes on beside the checks
    const building = plan.flows ? ensureBuilt() : undefined;
    if (plan.checks) tallies.push(...(await runChecks(stopped)));
    const build = await building;
    // beside each other: a browser waits as often as it works
    const work = async (/** @type {string | undefined} */ url) => {
      const jest = plan.wings.length > 0 ? runJest(plan, scratch, url === undefined ? {} : { TEST_DATABASE_URL: url }, stopped) : [];
      const flows = build !== undefined && url !== undefined ? runFlows(plan, build, url, scratch, stopped) : null;
      // what one of them stands on is not taken away before the other has ended
      const done = await Promise.allSettled([jest, flows]);
      for (const one of done) if (one.status === 'rejected') throw one.reason;
      tallies.push(...done.flatMap((one) => (one.status === 'fulfilled' ? (one.value ?? []) : [])));
    };
    if (plan.flows || plan.wings.includes('server')) await withDatabase(scratch, work);
    else await work(undefined);
  } finally {
    rmSync(scratch, { recursive: true, force: true });
  }
  if (plan.watch) return;
  console.log('');
  for (const { name, passed, failed, seconds } of tallies)
    console.log(`${name}: ${passed} passed${failed > 0 ? `, ${failed} failed` : ''}, ${seconds.toFixed(0)} s`);
  const passed = tallies.reduce((sum, tally) => sum + tally.passed, 0);
  const failed = tallies.reduce((sum, tally) => sum + tally.failed, 0);
  console.log(`all of it: ${((Date.now() - since) / 60_000).toFixed(1)} min\n\n${passed} passed, ${failed} failed`);
  if (failed > 0) process.exitCode = 1;
});

/**
 * @param {string} scratch
 * @param {(url: string) => Promise<void>} work
 */
async function withDatabase(scratch, work) {
  const folder = `${scratch}/data`;
  const url = await startCluster(folder, { fast: true });
  try {
    await work(url);
  } finally {
    await leaveCluster(folder);
    removeCluster(folder);
  }
}
