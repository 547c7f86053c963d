// @ts-check
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { openLog } from './log-file.mjs';
import { Halt, ROOT } from './workplace.mjs';

const START_MS = 60_000;
const STOP_MS = 12_000;

/**
 * @typedef {object} RunningServer
 * @property {string} url
 * @property {() => Promise<void>} stop
 * @property {Promise<number | null>} ended resolves with the exit code
 */

/**
 * Starts a server process and waits until it listens. It ends by itself when this process ends.
 * @param {readonly string[]} command words after `node`
 * @param {Record<string, string>} settings its environment beside ours
 * @param {string} logFolder
 * @returns {Promise<RunningServer>}
 */
export async function startServer(command, settings, logFolder) {
  const log = await openLog(logFolder, 'server.log');
  const child = spawn(process.execPath, [...command], {
    cwd: ROOT,
    env: { ...process.env, ...settings, STOP_WITH_PARENT: '1' },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  child.stderr.pipe(log);
  /** @type {Promise<number | null>} */
  const ended = new Promise((resolve) => child.once('exit', resolve));
  const url = await new Promise((resolve, reject) => {
    const timer = setTimeout(() => reject(new Halt(`The server did not start within a minute; see ${logFolder}/server.log`)), START_MS);
    createInterface({ input: child.stdout }).on('line', (line) => {
      log.write(`${line}\n`);
      const said = saidOf(line);
      if (said?.listening !== undefined) resolve(said.listening);
      if (said?.failed !== undefined) reject(new Halt(failureWords(said.failed)));
    });
    void ended
      .then(() => reject(new Halt(`The server ended while starting; see ${logFolder}/server.log`)))
      .finally(() => clearTimeout(timer));
  }).catch((error) => {
    child.kill('SIGKILL');
    throw error;
  });
  return { url, ended, stop: () => stopChild(child, ended) };
}

/**
 * @param {import('node:child_process').ChildProcess} child
 * @param {Promise<unknown>} ended
 */
async function stopChild(child, ended) {
  if (child.exitCode !== null || child.signalCode !== null) return;
  child.kill('SIGTERM');
  const timer = setTimeout(() => child.kill('SIGKILL'), STOP_MS);
  await ended;
  clearTimeout(timer);
}

/**
 * What a process says of itself for whoever started it; undefined for a line of its log.
 * @param {string} line
 * @returns {{ listening?: string, failed?: string, working?: boolean } | undefined}
 */
export function saidOf(line) {
  return /^\{"(listening|failed|working)"/.test(line) ? JSON.parse(line) : undefined;
}

/** @param {string} message */
export function failureWords(message) {
  const taken = /EADDRINUSE.*?:(\d+)$/.exec(message);
  if (taken === null) return `The server cannot start: ${message}`;
  return `Port ${taken[1]} is taken on this machine. Choose another one:\n\n  PORT=${Number(taken[1]) + 10} npm run demo    (or npm start)\n`;
}
