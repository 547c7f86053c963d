// @ts-check
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { openLog } from './log-file.mjs';
import { Halt, ROOT } from './workplace.mjs';

/**
 * Brings the database up to date before anything serves it. Answers the address the first band begins at,
 * undefined where there is a band.
 * @param {readonly string[]} setup words after `node`
 * @param {Record<string, string>} settings
 * @param {string} folder of the log
 * @returns {Promise<string | undefined>}
 */
export async function setUp(setup, settings, folder) {
  const log = await openLog(folder, 'setup.log');
  const child = spawn(process.execPath, [...setup], {
    cwd: ROOT,
    env: { ...process.env, ...settings },
    stdio: ['ignore', 'pipe', 'pipe'],
  });
  child.stderr.on('data', (part) => log.write(part));
  /** @type {string | undefined} */
  let first;
  createInterface({ input: child.stdout }).on('line', (line) => {
    if (line.startsWith('{"firstBand"')) first = JSON.parse(line).firstBand;
    else log.write(`${line}\n`);
  });
  const code = await new Promise((resolve) => child.once('close', resolve));
  if (code !== 0) throw new Halt(`The database could not be brought up to date; see ${folder}/setup.log`);
  return first;
}
