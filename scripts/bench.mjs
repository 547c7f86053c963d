// @ts-check
// Prints benchmark figures; none of them passes or fails, as machines differ and are shared.
import { spawnSync } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { gzipSync } from 'node:zlib';
import { keyChangeMs } from './lib/bench-browser.mjs';
import { changeFigures } from './lib/bench-changes.mjs';
import { roomVitals } from './lib/bench-vitals.mjs';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { startDemo } from './lib/demo-server.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { Halt, ROOT, run } from './lib/workplace.mjs';

await run(async () => {
  await ensureInstalled();
  const core = spawnSync(process.execPath, ['--import', 'tsx', 'core/bench/core.bench.ts'], { cwd: ROOT, stdio: 'inherit' });
  if (core.status !== 0) throw new Halt('The benchmark of the core did not run.');
  const pack = spawnSync(process.execPath, ['--import', 'tsx', 'server/bench/pack.bench.ts'], { cwd: ROOT, stdio: 'inherit' });
  if (pack.status !== 0) throw new Halt('The benchmark of the parts did not run.');
  const build = await ensureBuilt();
  await withServer(build);
  const { scripts, bytes, entry } = firstLoad(build.web);
  console.log(
    `first load of the built page: ${(bytes / 1024).toFixed(0)} KB of compressed script in ${scripts} files (goal: under 200 KB), the entry ${(entry / 1024).toFixed(0)} KB (goal: under 150 KB)`,
  );
});

/**
 * What needs a database or a browser: a large shelf, and a long sheet that changes its key.
 * @param {import('./lib/build.mjs').Build} build
 */
async function withServer(build) {
  ensurePackages({ chromium: true });
  const folder = mkdtempSync(`${tmpdir()}/aurora-bench-`);
  const url = await startCluster(folder, { fast: true });
  try {
    for (const name of ['shelf', 'practice']) {
      const env = { ...process.env, TEST_DATABASE_URL: url };
      const bench = spawnSync(process.execPath, ['--import', 'tsx', `server/bench/${name}.bench.ts`], { cwd: ROOT, stdio: 'inherit', env });
      if (bench.status !== 0) throw new Halt(`The benchmark of the ${name} did not run.`);
    }
    const { seenMs, backMs, allHeardMs, perBrowserKb, silentBytes } = await changeFigures(build, url);
    console.log(`a change saved at one server is seen in a browser at another after ${seenMs.toFixed(0)} ms (goal: 300 ms)`);
    console.log(`with that server killed and back, after ${backMs.toFixed(0)} ms (goal: 3000 ms)`);
    console.log(
      `200 browsers at one server: all have heard after ${allHeardMs.toFixed(0)} ms, ${perBrowserKb.toFixed(0)} KB each; a minute of silence is ${silentBytes} bytes (goal: under 1024)`,
    );
    const { server: running } = await startDemo(build, url, folder);
    try {
      console.log(
        `a sheet of 200 bars painted in another key: ${(await keyChangeMs(running.url)).toFixed(0)} ms after the press (goal: 50 ms)`,
      );
      console.log('rooms opened cold on a phone, the processor slowed four times (goals: 1500 ms, 0.05, 200 ms, 25 requests for a chart):');
      for (const { room, lcp, cls, blocked, requests, kilobytes } of await roomVitals(running.url))
        console.log(
          `  ${room}: largest paint ${lcp.toFixed(0)} ms, moved ${cls.toFixed(3)}, blocked ${blocked.toFixed(0)} ms, ${requests} requests, ${kilobytes.toFixed(0)} KB`,
        );
    } finally {
      await running.stop();
    }
  } finally {
    await leaveCluster(folder);
    removeCluster(folder);
    rmSync(folder, { recursive: true, force: true });
  }
}

/**
 * The scripts a browser fetches before a song is open: the entry and everything it imports at once.
 * @param {string} web
 */
function firstLoad(web) {
  /** @type {Record<string, { file: string, isEntry?: boolean, imports?: string[] }>} */
  const manifest = JSON.parse(readFileSync(`${web}/.vite/manifest.json`, 'utf8'));
  const wanted = Object.keys(manifest).filter((name) => manifest[name]?.isEntry);
  for (const name of wanted) for (const imported of manifest[name]?.imports ?? []) if (!wanted.includes(imported)) wanted.push(imported);
  const files = wanted.map((name) => manifest[name]?.file ?? '').filter((file) => file.endsWith('.js'));
  const sizes = files.map((file) => gzipSync(readFileSync(`${web}/${file}`)).length);
  return { scripts: files.length, bytes: sizes.reduce((sum, size) => sum + size, 0), entry: sizes[0] ?? 0 };
}
