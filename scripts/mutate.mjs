// @ts-check
// Puts small faults into modules, one at a time, and counts those that no test notices:
// `npm run mutate -- web/src/document wire/src`, `npm run mutate -- core/src --sample 60 --seed 25`.
import { mkdtempSync, rmSync } from 'node:fs';
import { readFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { parseArgs } from 'node:util';
import { leaveCluster, removeCluster, startCluster } from './lib/cluster.mjs';
import { ensureInstalled } from './lib/install.mjs';
import { ensurePackages } from './lib/packages.mjs';
import { randomFrom } from './lib/random.mjs';
import { untilStopped } from './lib/signals.mjs';
import { mutantsOf } from './lib/testing/mutants.mjs';
import { copyCheckout, isKilled } from './lib/testing/spoilt-copy.mjs';
import { trackedFiles } from './lib/tracked-files.mjs';
import { Halt, ROOT, run } from './lib/workplace.mjs';

/** The folders that guard a player's work and who may see it. */
const GUARDED = ['web/src/document', 'web/src/session', 'server/src/context', 'wire/src'];
/** Mutants that are asked about beside each other. */
const COPIES = 2;

/** @typedef {import('./lib/testing/mutants.mjs').Mutant} Mutant */

await run(async () => {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: { sample: { type: 'string' }, seed: { type: 'string', default: '25' } },
  });
  ensurePackages({ readers: true });
  await ensureInstalled();
  const wanted = positionals.length > 0 ? positionals : GUARDED;
  const paths = trackedFiles().filter(
    (path) => wanted.some((one) => path.startsWith(one)) && /\.tsx?$/.test(path) && !/\.test\./.test(path),
  );
  if (paths.length === 0) throw new Halt(`There is no module under ${wanted.join(', ')}.`);
  const wholes = new Map(
    await Promise.all(paths.map(async (path) => /** @type {const} */ ([path, await readFile(`${ROOT}/${path}`, 'utf8')]))),
  );
  const all = [...wholes].flatMap(([path, whole]) => mutantsOf(path, whole));
  const mutants = values.sample === undefined ? all : sampleOf(all, Number(values.sample), Number(values.seed));
  console.log(`${mutants.length} of ${all.length} mutants in ${paths.length} modules`);
  const stopped = untilStopped();
  const scratch = mkdtempSync(`${tmpdir()}/aurora-mutants-`);
  const settings = { TEST_DATABASE_URL: await startCluster(`${scratch}/data`, { fast: true }) };
  try {
    const survivors = await Promise.race([
      askAll(mutants, wholes, scratch, settings),
      stopped.then(() => Promise.reject(new Halt('Stopped.'))),
    ]);
    const share = (100 * (mutants.length - survivors.length)) / mutants.length;
    console.log(`\n${mutants.length - survivors.length} of ${mutants.length} killed, ${share.toFixed(1)}%`);
  } finally {
    await leaveCluster(`${scratch}/data`);
    removeCluster(`${scratch}/data`);
    rmSync(scratch, { recursive: true, force: true });
  }
});

/**
 * Asks about every mutant in turn, in as many copies of the checkout as work beside each other.
 * @param {readonly Mutant[]} mutants
 * @param {ReadonlyMap<string, string>} wholes
 * @param {string} scratch
 * @param {Record<string, string>} settings
 */
async function askAll(mutants, wholes, scratch, settings) {
  /** @type {Mutant[]} */
  const survivors = [];
  const left = mutants.entries();
  const work = async (/** @type {number} */ copy) => {
    const folder = `${scratch}/copy-${copy}`;
    copyCheckout(folder);
    for (const [index, mutant] of left) {
      const killed = await isKilled(folder, mutant, wholes.get(mutant.path) ?? '', settings);
      if (!killed) survivors.push(mutant);
      const { path, line, was, becomes } = mutant;
      console.log(`${index + 1} ${killed ? 'killed' : 'LIVES '} ${path}:${line}  ${oneLine(was)}  →  ${oneLine(becomes)}`);
    }
  };
  await Promise.all(Array.from({ length: COPIES }, (_, copy) => work(copy)));
  return survivors;
}

/**
 * @param {readonly Mutant[]} all
 * @param {number} size
 * @param {number} seed
 */
function sampleOf(all, size, seed) {
  const random = randomFrom(seed);
  const left = [...all];
  return Array.from({ length: Math.min(size, all.length) }, () => left.splice(Math.floor(random() * left.length), 1)).flat();
}

/** @param {string} text */
function oneLine(text) {
  const line = text.replace(/\s+/g, ' ');
  return line.length > 60 ? `${line.slice(0, 57)}…` : line;
}
