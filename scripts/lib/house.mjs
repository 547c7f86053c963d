// @ts-check
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { openLog } from './log-file.mjs';
import { failureWords, saidOf } from './server-process.mjs';
import { Halt, ROOT } from './workplace.mjs';

const START_MS = 60_000;
/** A process that is asked to end has so long; what is under way ends sooner. */
const STOP_MS = 12_000;
const FIRST_PAUSE_MS = 250;
const MOST_PAUSE_MS = 8000;
/** Whoever ran so long ran well: the next pause is short again. */
const WELL_MS = 30_000;

/** @typedef {Record<string, string>} Settings */

/**
 * Brings the database up to date before anything serves it. Answers the address the first band begins at,
 * undefined where there is a band.
 * @param {readonly string[]} setup words after `node`
 * @param {Settings} settings
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
  child.stderr.pipe(log);
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

/**
 * A process that is started again whenever it ends by itself, each time after a longer pause, until it is stopped.
 * @typedef {object} Kept
 * @property {string} url where it listens; empty for one that does not
 * @property {() => number | undefined} pid
 * @property {() => Promise<void>} stop
 */

/**
 * @param {object} wish
 * @param {string} wish.name of its log
 * @param {string} wish.script
 * @param {Settings} wish.settings
 * @param {string} wish.folder of the log
 * @returns {Promise<Kept>} once it runs
 */
export async function keepRunning({ name, script, settings, folder }) {
  const log = await openLog(folder, `${name}.log`);
  let stopping = false;
  let pause = FIRST_PAUSE_MS;
  let port = settings.PORT ?? '';
  /** @type {import('node:child_process').ChildProcess | undefined} */
  let child;
  /** @type {NodeJS.Timeout | undefined} */
  let timer;
  /** @type {(line: string) => void} */
  let heard = () => undefined;
  /** @type {() => void} */
  let ended = () => undefined;

  const start = () => {
    const began = Date.now();
    const running = spawn(process.execPath, ['--enable-source-maps', script], {
      cwd: ROOT,
      env: { ...process.env, ...settings, PORT: port, STOP_WITH_PARENT: '1' },
      stdio: ['pipe', 'pipe', 'pipe'],
    });
    child = running;
    running.stderr.on('data', (part) => void log.write(part));
    createInterface({ input: running.stdout }).on('line', (line) => {
      log.write(`${line}\n`);
      heard(line);
    });
    running.once('exit', (code, signal) => {
      child = undefined;
      ended();
      if (stopping) return;
      pause = Date.now() - began > WELL_MS ? FIRST_PAUSE_MS : Math.min(MOST_PAUSE_MS, pause * 2);
      log.write(
        `${JSON.stringify({ level: 50, time: Date.now(), msg: `${name} ended by itself and is started again`, code, signal, pause })}\n`,
      );
      timer = setTimeout(start, pause);
    });
  };

  const stop = async () => {
    stopping = true;
    clearTimeout(timer);
    const running = child;
    if (running === undefined) return;
    const gone = new Promise((resolve) => running.once('exit', resolve));
    running.kill('SIGTERM');
    const late = setTimeout(() => running.kill('SIGKILL'), STOP_MS);
    await gone;
    clearTimeout(late);
  };

  /** @type {Promise<string>} */
  const ready = new Promise((resolve, reject) => {
    const late = setTimeout(() => reject(new Halt(`The ${name} did not start within a minute; see ${folder}/${name}.log`)), START_MS);
    heard = (line) => {
      const said = saidOf(line);
      if (said === undefined) return;
      clearTimeout(late);
      if (said.failed !== undefined) reject(new Halt(failureWords(said.failed)));
      // started again it is found where it was
      else if (said.listening !== undefined) port = new URL(said.listening).port;
      resolve(said.listening ?? '');
    };
    ended = () => {
      clearTimeout(late);
      reject(new Halt(`The ${name} ended while starting; see ${folder}/${name}.log`));
    };
  });
  start();
  try {
    const url = await ready;
    return { url, pid: () => child?.pid, stop };
  } catch (error) {
    await stop();
    throw error;
  }
}
