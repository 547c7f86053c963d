// @ts-check
// What `npm test` is asked for, as a plan: which checks, which Jest files, which flows.
import { readdirSync, readFileSync } from 'node:fs';
import { relative } from 'node:path';
import { Halt, ROOT } from '../workplace.mjs';

const PARTS = ['checks', 'core', 'server', 'web', 'scripts', 'e2e'];
/** The parts that Jest runs. */
export const WINGS = ['core', 'server', 'web', 'scripts'];

/** Suites of the server that start processes, restore whole bands or set packs of parts: left out of a quick run. */
export const SLOW_SUITES = ['house', 'people', 'files', 'walls', 'packs', 'threads', 'http', 'calls', 'demo-rows'];

/**
 * @typedef {object} TestPlan
 * @property {boolean} checks
 * @property {readonly string[]} wings what Jest runs
 * @property {readonly string[]} files only these of Jest's; empty for all of the wings
 * @property {boolean} flows whether the built application is run
 * @property {readonly string[]} specs only these files of flows; empty for all
 * @property {string | null} title only tests whose names hold it
 * @property {boolean} quick
 * @property {boolean} watch
 */

/**
 * Reads the words after `npm test --`: nothing for everything, names of parts, or words of which any part of a
 * path, or else of a test's name, is looked for in every wing.
 * @param {readonly string[]} words
 * @returns {TestPlan}
 */
export function planOf(words) {
  const quick = words.includes('--quick');
  const watch = words.includes('--watch');
  const unknown = words.filter((word) => word.startsWith('-') && word !== '--quick' && word !== '--watch');
  if (unknown.length > 0) throw new Halt(`“${unknown.join(' ')}” is not known here; there are --quick and --watch.`);
  const asked = words.filter((word) => !word.startsWith('-'));
  const plan = asked.every((word) => PARTS.includes(word)) ? ofParts(asked.length === 0 ? PARTS : asked) : ofWords(asked);
  return { ...plan, quick, watch, ...(watch ? { checks: false, flows: false } : {}) };
}

/** @param {readonly string[]} parts */
function ofParts(parts) {
  return {
    checks: parts.includes('checks'),
    wings: WINGS.filter((wing) => parts.includes(wing)),
    files: [],
    flows: parts.includes('e2e'),
    specs: [],
    title: null,
  };
}

/** @param {readonly string[]} words */
function ofWords(words) {
  const all = testFiles();
  const byPath = all.filter((path) => words.some((word) => path.includes(word)));
  const title = byPath.length > 0 ? null : words.join(' ');
  const found = title === null ? byPath : all.filter((path) => readFileSync(`${ROOT}/${path}`, 'utf8').includes(title));
  if (found.length === 0) throw new Halt(`No test has “${words.join(' ')}” in its path or its name. The parts are: ${PARTS.join(', ')}.`);
  const specs = found.filter((path) => path.startsWith('e2e/'));
  const files = found.filter((path) => !path.startsWith('e2e/'));
  const wings = WINGS.filter((wing) => files.some((path) => path.startsWith(`${wing}/`)));
  return { checks: false, wings, files, flows: specs.length > 0, specs, title };
}

/** Every test file of the project, by its path in it. */
export function testFiles() {
  return [...WINGS, 'e2e'].flatMap((wing) =>
    readdirSync(`${ROOT}/${wing}`, { recursive: true, withFileTypes: true })
      .filter((entry) => entry.isFile() && /\.(test|spec)\.tsx?$|\.test\.mjs$/.test(entry.name))
      .map((entry) => relative(ROOT, `${entry.parentPath}/${entry.name}`))
      .filter((path) => !path.includes('node_modules/')),
  );
}
