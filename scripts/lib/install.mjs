// @ts-check
import { spawnSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { withLock } from './lock.mjs';
import { ensureStaffGlyphs } from './staff-glyphs.mjs';
import { Halt, ROOT } from './workplace.mjs';

const STAMP = `${ROOT}/node_modules/.aurora-installed`;

/** Installs the npm packages of the lock file, unless they are there already. */
export async function ensureInstalled() {
  if (!isInstalled()) await withLock(`${ROOT}/build`, 'install', install);
  ensureStaffGlyphs();
}

async function install() {
  if (isInstalled()) return;
  console.log('Installing the npm packages, a minute or two the first time …');
  const done = spawnSync('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: ROOT, stdio: ['ignore', 'ignore', 'pipe'] });
  if (done.status !== 0) throw new Halt(`npm could not install the packages:\n\n${done.stderr}`);
  writeFileSync(STAMP, lockHash());
}

function isInstalled() {
  return existsSync(STAMP) && readFileSync(STAMP, 'utf8') === lockHash();
}

function lockHash() {
  return createHash('sha256')
    .update(readFileSync(`${ROOT}/package-lock.json`))
    .digest('hex');
}
