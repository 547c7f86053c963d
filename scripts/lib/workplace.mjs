// @ts-check
import { mkdirSync } from 'node:fs';
import { dirname, resolve } from 'node:path';
import { fileURLToPath } from 'node:url';

/** The checkout this script belongs to. */
export const ROOT = resolve(dirname(fileURLToPath(import.meta.url)), '../..');

const OLDEST_NODE = [20, 19];

/**
 * The folder all data lives in: `AURORA_DATA`, or one in the checkout. Nobody else looks into it.
 * @param {string} name
 */
export function dataFolder(name) {
  const folder = resolve(process.env.AURORA_DATA || `${ROOT}/${name}`);
  mkdirSync(folder, { recursive: true, mode: 0o700 });
  return folder;
}

/** Ends the program with a message for the person who started it. */
export class Halt extends Error {}

/** Refuses a Node.js older than the packages need. */
function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  const [wantedMajor = 0, wantedMinor = 0] = OLDEST_NODE;
  if (major > wantedMajor || (major === wantedMajor && minor >= wantedMinor)) return;
  throw new Halt(`Aurora Ridge needs Node.js ${OLDEST_NODE.join('.')} or newer; this is ${process.versions.node}.`);
}

/**
 * Runs a script's main function: a Halt is printed plainly, anything else with its stack.
 * @param {() => Promise<void>} main
 */
export async function run(main) {
  try {
    checkNode();
    await main();
  } catch (error) {
    console.error(error instanceof Halt ? `\n${error.message}` : error);
    process.exitCode = 1;
  }
}
