// @ts-check
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { cpSync, existsSync, mkdirSync, readdirSync, readFileSync, renameSync, rmSync, statSync, utimesSync } from 'node:fs';
import { join, relative } from 'node:path';
import { withLock } from './lock.mjs';
import { Halt, ROOT } from './workplace.mjs';

const SOURCES = [
  'core/src',
  'wire/src',
  'server/src',
  'web/src',
  'web/keeper',
  'web/public',
  'web/index.html',
  'web/vite.config.ts',
  'package-lock.json',
  'scripts/lib/build.mjs',
];
const BUILDS = `${ROOT}/build`;
/** Older builds stay for a while: a running demo may still serve one of them. */
const KEPT = 4;

/** @typedef {{ server: string, worker: string, setup: string, backup: string, web: string, migrations: string }} Build paths of what was built */

/**
 * Builds server and web application into a folder named by their sources; does nothing when that
 * folder is there. A running demo keeps its own build.
 * @returns {Promise<Build>}
 */
export async function ensureBuilt() {
  const folder = `${BUILDS}/${sourceHash()}`;
  if (!existsSync(folder)) {
    await withLock(BUILDS, 'build', async () => {
      if (!existsSync(folder)) await build(folder);
    });
  }
  const now = new Date();
  utimesSync(folder, now, now);
  prune();
  return {
    server: `${folder}/server/main.js`,
    worker: `${folder}/server/worker.js`,
    setup: `${folder}/server/setup.js`,
    backup: `${folder}/server/backup-now.js`,
    web: `${folder}/web`,
    migrations: `${folder}/server/migrations`,
  };
}

/** @param {string} folder */
async function build(folder) {
  console.log('Building the application, about half a minute …');
  const unfinished = `${folder}.unfinished`;
  rmSync(unfinished, { recursive: true, force: true });
  mkdirSync(unfinished, { recursive: true });
  await buildServer(`${unfinished}/server`);
  const vite = spawnSync(
    process.execPath,
    [`${ROOT}/node_modules/vite/bin/vite.js`, 'build', '--logLevel', 'warn', '--outDir', `${unfinished}/web`, '--emptyOutDir'],
    {
      cwd: `${ROOT}/web`,
      // what a tool says of itself is shown only where the build fails
      stdio: ['ignore', 'pipe', 'pipe'],
      encoding: 'utf8',
    },
  );
  if (vite.status !== 0) throw new Halt(`The web application could not be built:\n\n${vite.stdout}${vite.stderr}`);
  renameSync(unfinished, folder);
}

/** @param {string} folder */
async function buildServer(folder) {
  const esbuild = await import('esbuild');
  const packages = ['server', 'core'].flatMap((wing) =>
    Object.keys(JSON.parse(readFileSync(`${ROOT}/${wing}/package.json`, 'utf8')).dependencies),
  );
  await esbuild.build({
    entryPoints: {
      ...Object.fromEntries(['main', 'worker', 'setup', 'backup-now'].map((name) => [name, `${ROOT}/server/src/${name}.ts`])),
      'work-thread': `${ROOT}/server/src/compute/work-thread.ts`,
    },
    outdir: folder,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    sourcemap: true,
    logLevel: 'warning',
    // our own packages are TypeScript and go into the bundle; the others are loaded by Node
    external: packages.filter((name) => !name.startsWith('@aurora/')),
  });
  cpSync(`${ROOT}/server/src/sheet/fonts`, `${folder}/fonts`, { recursive: true });
  cpSync(`${ROOT}/server/src/db/migrations`, `${folder}/migrations`, { recursive: true });
}

/** A short name for the state of all sources. */
function sourceHash() {
  const hash = createHash('sha256');
  for (const file of SOURCES.flatMap((source) => filesBelow(join(ROOT, source)))) {
    hash.update(relative(ROOT, file)).update(readFileSync(file));
  }
  return hash.digest('hex').slice(0, 16);
}

/**
 * @param {string} path
 * @returns {string[]}
 */
function filesBelow(path) {
  if (!existsSync(path)) return [];
  if (statSync(path).isFile()) return [path];
  return readdirSync(path)
    .sort()
    .flatMap((name) => filesBelow(join(path, name)));
}

function prune() {
  const builds = readdirSync(BUILDS)
    .filter((name) => /^[0-9a-f]{16}$/.test(name))
    .map((name) => ({ path: join(BUILDS, name), used: statSync(join(BUILDS, name)).mtimeMs }))
    .sort((a, b) => b.used - a.used);
  for (const { path } of builds.slice(KEPT)) rmSync(path, { recursive: true, force: true });
}
