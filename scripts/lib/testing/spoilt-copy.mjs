// @ts-check
// A copy of the checkout in which a file may be spoilt, and the tests that are asked there.
import { spawn } from 'node:child_process';
import { cpSync, existsSync, mkdirSync, readdirSync, symlinkSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { STAFF_GLYPHS } from '../staff-glyphs.mjs';
import { trackedFiles } from '../tracked-files.mjs';
import { ROOT } from '../workplace.mjs';

/** The wings that are packages of each other. */
const OWN_PACKAGES = '@aurora';
/** What runs longer than this is taken for an endless loop. */
const LONGEST_MS = 240_000;

/**
 * Copies the project's own files and what is made of them into a folder; packages are those of the checkout, but the wings are the copy's.
 * @param {string} folder
 */
export function copyCheckout(folder) {
  for (const path of [...trackedFiles(), STAFF_GLYPHS]) cpSync(`${ROOT}/${path}`, `${folder}/${path}`);
  mkdirSync(`${folder}/node_modules/${OWN_PACKAGES}`, { recursive: true });
  for (const name of readdirSync(`${ROOT}/node_modules`))
    if (name !== OWN_PACKAGES) symlinkSync(`${ROOT}/node_modules/${name}`, `${folder}/node_modules/${name}`);
  const wings = readdirSync(`${ROOT}/node_modules/${OWN_PACKAGES}`);
  for (const wing of wings) symlinkSync(`../../${wing}`, `${folder}/node_modules/${OWN_PACKAGES}/${wing}`);
  // packages of one wing alone
  for (const wing of wings)
    if (existsSync(`${ROOT}/${wing}/node_modules`)) symlinkSync(`${ROOT}/${wing}/node_modules`, `${folder}/${wing}/node_modules`);
}

/**
 * Whether some test fails with this fault in: the tests beside the module first, then all that load it.
 * @param {string} folder a copy of the checkout
 * @param {import('./mutants.mjs').Mutant} mutant
 * @param {string} whole the module as it is
 * @param {Record<string, string>} settings
 */
export async function isKilled(folder, mutant, whole, settings) {
  writeFileSync(`${folder}/${mutant.path}`, mutant.text);
  try {
    const beside = readdirSync(`${folder}/${dirname(mutant.path)}`).filter((name) => /\.test\.tsx?$/.test(name));
    const near = beside.map((name) => `${folder}/${dirname(mutant.path)}/${name}`);
    if (near.length > 0 && !(await passes(folder, ['--runTestsByPath', ...near], settings))) return true;
    return !(await passes(folder, ['--findRelatedTests', mutant.path], settings));
  } finally {
    writeFileSync(`${folder}/${mutant.path}`, whole);
  }
}

/**
 * @param {string} folder
 * @param {readonly string[]} words
 * @param {Record<string, string>} settings
 * @returns {Promise<boolean>}
 */
function passes(folder, words, settings) {
  const child = spawn(`${folder}/node_modules/.bin/jest`, ['--bail', '--runInBand', '--silent', '--passWithNoTests', ...words], {
    cwd: folder,
    env: { ...process.env, NODE_OPTIONS: '--experimental-vm-modules --disable-warning=ExperimentalWarning', ...settings },
    stdio: 'ignore',
  });
  const limit = setTimeout(() => child.kill('SIGKILL'), LONGEST_MS);
  return new Promise((resolve) =>
    child.once('close', (code) => {
      clearTimeout(limit);
      resolve(code === 0);
    }),
  );
}
