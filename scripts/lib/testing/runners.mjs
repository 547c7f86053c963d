// @ts-check
// Runs one kind of test each, and answers how many passed and failed.
import { spawn } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { startDemo } from '../demo-server.mjs';
import { Halt, ROOT } from '../workplace.mjs';
import { SLOW_SUITES, WINGS } from './test-plan.mjs';

/** @typedef {{ name: string, passed: number, failed: number, seconds: number }} Tally */
/** @typedef {import('./test-plan.mjs').TestPlan} TestPlan */

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
  ['what the documents say', [process.execPath, `${ROOT}/scripts/documents.mjs`]],
  ['sizes', [process.execPath, `${ROOT}/scripts/sizes.mjs`, '--check']],
];

/**
 * All checks beside each other; what each says comes in one piece.
 * @param {Promise<unknown>} stopped
 * @returns {Promise<readonly Tally[]>}
 */
export function runChecks(stopped) {
  return Promise.all(
    CHECKS.map(async ([name, command]) => {
      const since = Date.now();
      const { status, said } = await execute(command, {}, stopped, true);
      console.log(`\n— ${name}: ${status === 0 ? 'in order' : 'not in order'}${said.trim() === '' ? '' : `\n${said.trim()}`}`);
      return { name, passed: status === 0 ? 1 : 0, failed: status === 0 ? 0 : 1, seconds: (Date.now() - since) / 1000 };
    }),
  );
}

/**
 * All wings in one run of Jest, so that both processors have work to the end.
 * @param {TestPlan} plan
 * @param {string} scratch
 * @param {Record<string, string>} settings
 * @param {Promise<unknown>} stopped
 * @returns {Promise<readonly Tally[]>}
 */
export async function runJest(plan, scratch, settings, stopped) {
  const report = `${scratch}/jest.json`;
  const words = [bin('jest'), '--selectProjects', ...plan.wings, '--maxWorkers', '2'];
  if (plan.quick) words.push('--testPathIgnorePatterns', '/node_modules/', `server/.*/(${SLOW_SUITES.join('|')})\\.test\\.ts$`);
  if (plan.title !== null) words.push('--testNamePattern', escaped(plan.title));
  if (plan.files.length > 0) words.push('--runTestsByPath', ...plan.files);
  words.push(...(plan.watch ? ['--watch'] : ['--json', '--outputFile', report]));
  const nodeOptions = '--experimental-vm-modules --disable-warning=ExperimentalWarning';
  const { status } = await execute(words, { NODE_OPTIONS: nodeOptions, ...settings }, stopped, false, plan.watch);
  const { testResults = [] } = readReport(report);
  const tallies = WINGS.filter((wing) => plan.wings.includes(wing)).map((wing) => ofWing(wing, testResults));
  if (status !== 0 && !plan.watch && tallies.every(({ failed }) => failed === 0))
    tallies.push({ name: 'Jest itself', passed: 0, failed: 1, seconds: 0 });
  return tallies;
}

/**
 * @param {string} wing
 * @param {readonly { name: string, status: string, startTime: number, endTime: number, assertionResults: readonly { status: string }[] }[]} results
 * @returns {Tally}
 */
function ofWing(wing, results) {
  const own = results.filter(({ name }) => name.startsWith(`${ROOT}/${wing}/`));
  const count = (/** @type {string} */ status) =>
    own.flatMap((suite) => suite.assertionResults).filter((one) => one.status === status).length;
  // a suite that cannot even be loaded counts as a failure of its own
  const unread = own.filter(
    ({ status, assertionResults }) => status === 'failed' && assertionResults.every((one) => one.status !== 'failed'),
  );
  const seconds = own.reduce((sum, { startTime, endTime }) => sum + (endTime - startTime) / 1000, 0);
  return { name: wing, passed: count('passed'), failed: count('failed') + unread.length, seconds };
}

/**
 * The built application, started for real, in Debian's Chromium.
 * @param {TestPlan} plan
 * @param {import('../build.mjs').Build} build
 * @param {string} databaseUrl
 * @param {string} scratch
 * @param {Promise<unknown>} stopped
 * @returns {Promise<Tally>}
 */
export async function runFlows(plan, build, databaseUrl, scratch, stopped) {
  const since = Date.now();
  const { server, settings } = await startDemo(build, databaseUrl, scratch);
  const report = `${scratch}/e2e.json`;
  let status;
  try {
    // tests of a place without a network start and stop a server of their own
    const ownServer = JSON.stringify({ command: [build.server], settings, logFolder: scratch });
    const env = { BASE_URL: server.url, OWN_SERVER: ownServer, PLAYWRIGHT_JSON_OUTPUT_NAME: report };
    const words = [bin('playwright'), 'test', '--config', 'e2e/playwright.config.ts', ...plan.specs];
    if (plan.quick) words.push('--grep', '@quick');
    if (plan.title !== null) words.push('--grep', escaped(plan.title));
    ({ status } = await execute(words, env, stopped));
  } finally {
    await server.stop();
  }
  const { stats = {} } = readReport(report);
  const failed = (stats.unexpected ?? 0) + (stats.flaky ?? 0);
  // a runner that failed without naming a test counts as one failure
  return {
    name: 'e2e',
    passed: stats.expected ?? 0,
    failed: status !== 0 && failed === 0 ? 1 : failed,
    seconds: (Date.now() - since) / 1000,
  };
}

/** @param {string} text */
function escaped(text) {
  return text.replace(/[.*+?^${}()|[\]\\]/g, '\\$&');
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
 * @param {Promise<unknown>} stopped
 * @param {boolean} [kept] whether what it says is kept for later instead of shown at once
 * @param {boolean} [asked] whether it may ask at the terminal
 * @returns {Promise<{ status: number, said: string }>}
 */
async function execute(command, settings, stopped, kept = false, asked = false) {
  const [program = '', ...words] = command;
  const out = kept ? 'pipe' : 'inherit';
  const child = spawn(program, words, {
    cwd: ROOT,
    env: { ...process.env, ...settings },
    stdio: [asked ? 'inherit' : 'ignore', out, out],
  });
  let said = '';
  for (const stream of [child.stdout, child.stderr]) stream?.on('data', (part) => (said += part));
  const ended = new Promise((resolve) => child.once('close', (code) => resolve(code ?? 1)));
  const first = await Promise.race([ended, stopped]);
  if (typeof first === 'number') return { status: first, said };
  child.kill('SIGTERM');
  await ended;
  throw new Halt('Stopped.');
}
