// @ts-check
// Prints benchmark figures; none of them passes or fails, as machines differ and are shared.
import { spawnSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { gzipSync } from 'node:zlib';
import { ensureBuilt } from './lib/build.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { Halt, ROOT, run } from './lib/workplace.mjs';

await run(async () => {
  await ensureInstalled();
  const core = spawnSync(process.execPath, ['--import', 'tsx', 'core/bench/core.bench.ts'], { cwd: ROOT, stdio: 'inherit' });
  if (core.status !== 0) throw new Halt('The benchmark of the core did not run.');
  const { web } = await ensureBuilt();
  const { scripts, bytes } = firstLoad(web);
  console.log(
    `first load of the built page: ${(bytes / 1024).toFixed(0)} KB of compressed script in ${scripts} files (goal: under 200 KB)`,
  );
});

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
  const bytes = files.reduce((sum, file) => sum + gzipSync(readFileSync(`${web}/${file}`)).length, 0);
  return { scripts: files.length, bytes };
}
