// @ts-check
// Runs every check and test, or the parts named: checks, core, server, web, e2e.
// Ends with one line that sums all runners: `N passed, N failed`.
import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { ensureBuilt } from './lib/build.mjs';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { startDemo } from './lib/demo-server.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { untilStopped } from './lib/signals.mjs';
import { Halt, ROOT, run } from './lib/workplace.mjs';

/** @typedef {{ passed: number, failed: number }} Tally */

const stopped = untilStopped();

const PARTS = ['checks', 'core', 'server', 'web', 'e2e'];
const bin = (/** @type {string} */ name) => `${ROOT}/node_modules/.bin/${name}`;

/** @type {readonly (readonly [name: string, command: readonly string[]])[]} */
const CHECKS = [
  ['types', [bin('tsc'), '-b']],
  ['lint and format', [bin('biome'), 'ci', '--error-on-warnings', '.']],
  [
    'import rules',
    [bin('depcruise'), '--config', '.dependency-cruiser.cjs', '--output-type', 'err', 'core/src', 'wire/src', 'server/src', 'web/src'],
  ],
  ['unused code', [bin('knip')]],
  ['notices of what ships', [process.execPath, `${ROOT}/scripts/notices.mjs`, '--check']],
];

await run(async () => {
  const asked = process.argv.slice(2);
  const unknown = asked.filter((part) => !PARTS.includes(part));
  if (unknown.length > 0) throw new Halt(`There is no part “${unknown.join(', ')}”. The parts are: ${PARTS.join(', ')}.`);
  const parts = asked.length === 0 ? PARTS : asked;
  ensurePackages({ chromium: parts.includes('e2e'), readers: parts.includes('core') || parts.includes('server') });
  await ensureInstalled();
  const scratch = mkdtempSync(`${tmpdir()}/aurora-test-`);
  /** @type {Tally[]} */
  const tallies = [];
  try {
    if (parts.includes('checks')) for (const [name, command] of CHECKS) tallies.push(await check(name, command));
    if (parts.includes('core')) tallies.push(await jest('core', scratch, {}));
    if (parts.includes('web')) tallies.push(await jest('web', scratch, {}));
    if (parts.includes('server') || parts.includes('e2e')) tallies.push(...(await withDatabase(parts, scratch)));
  } finally {
    rmSync(scratch, { recursive: true, force: true });
  }
  const passed = tallies.reduce((sum, tally) => sum + tally.passed, 0);
  const failed = tallies.reduce((sum, tally) => sum + tally.failed, 0);
  console.log(`\n${passed} passed, ${failed} failed`);
  if (failed > 0) process.exitCode = 1;
});

/**
 * @param {readonly string[]} parts
 * @param {string} scratch
 */
async function withDatabase(parts, scratch) {
  const folder = `${scratch}/data`;
  const tallies = [];
  const url = await startCluster(folder, { fast: true });
  try {
    if (parts.includes('server')) tallies.push(await jest('server', scratch, { TEST_DATABASE_URL: url }));
    if (parts.includes('e2e')) tallies.push(await endToEnd(url, scratch));
  } finally {
    await leaveCluster(folder);
    removeCluster(folder);
  }
  return tallies;
}

/**
 * @param {string} name
 * @param {readonly string[]} command
 * @returns {Promise<Tally>}
 */
async function check(name, command) {
  console.log(`\n— ${name}`);
  const ok = (await execute(command, {})) === 0;
  return { passed: ok ? 1 : 0, failed: ok ? 0 : 1 };
}

/**
 * @param {string} project
 * @param {string} scratch
 * @param {Record<string, string>} settings
 * @returns {Promise<Tally>}
 */
async function jest(project, scratch, settings) {
  console.log(`\n— ${project}`);
  const report = `${scratch}/${project}.json`;
  const nodeOptions = '--experimental-vm-modules --disable-warning=ExperimentalWarning';
  const status = await execute([bin('jest'), '--selectProjects', project, '--json', '--outputFile', report], {
    NODE_OPTIONS: nodeOptions,
    ...settings,
  });
  const { numPassedTests = 0, numFailedTests = 0, numFailedTestSuites = 0 } = readReport(report);
  // a suite that cannot even be loaded counts as a failure of its own
  return tally(status, numPassedTests, Math.max(numFailedTests, numFailedTestSuites));
}

/**
 * The built application, started for real, in Debian's Chromium.
 * @param {string} databaseUrl
 * @param {string} scratch
 * @returns {Promise<Tally>}
 */
async function endToEnd(databaseUrl, scratch) {
  console.log('\n— e2e');
  const build = await ensureBuilt();
  const { server, settings } = await startDemo(build, databaseUrl, scratch);
  const report = `${scratch}/e2e.json`;
  let status;
  try {
    // tests of a place without a network start and stop a server of their own
    const ownServer = JSON.stringify({ command: [build.server], settings, logFolder: scratch });
    const words = { BASE_URL: server.url, OWN_SERVER: ownServer, PLAYWRIGHT_JSON_OUTPUT_NAME: report };
    status = await execute([bin('playwright'), 'test', '--config', 'e2e/playwright.config.ts'], words);
  } finally {
    await server.stop();
  }
  const { stats = {} } = readReport(report);
  return tally(status, stats.expected ?? 0, (stats.unexpected ?? 0) + (stats.flaky ?? 0));
}

/**
 * A runner that failed without naming a test counts as one failure.
 * @param {number} status
 * @param {number} passed
 * @param {number} failed
 */
function tally(status, passed, failed) {
  return { passed, failed: status !== 0 && failed === 0 ? 1 : failed };
}

/** @param {string} path */
function readReport(path) {
  try {
    return JSON.parse(readFileSync(path, 'utf8'));
  } catch {
    return {};
  }
}

/**
 * Runs a command to its end. When somebody asks us to stop, the command is ended first and
 * everything we started is tidied away after it.
 * @param {readonly string[]} command
 * @param {Record<string, string>} settings
 * @returns {Promise<number>}
 */
async function execute(command, settings) {
  const [program = '', ...words] = command;
  const child = spawn(program, words, { cwd: ROOT, env: { ...process.env, ...settings }, stdio: ['ignore', 'inherit', 'inherit'] });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 1)));
  const first = await Promise.race([ended, stopped]);
  if (typeof first === 'number') return first;
  child.kill('SIGTERM');
  await ended;
  throw new Halt('Stopped.');
}
