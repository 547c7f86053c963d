// @ts-check
// The one place where processes are started, heard, kept running and ended.
import { spawn } from 'node:child_process';
import { createInterface } from 'node:readline';
import { openLog } from './log-file.mjs';
import { Halt, ROOT } from './workplace.mjs';

const START_MS = 60_000;
/** A process that is asked to end has so long; what is under way ends sooner. */
const STOP_MS = 12_000;
const FIRST_PAUSE_MS = 250;
const MOST_PAUSE_MS = 8000;
/** Whoever ran so long ran well: the next pause is short again. */
const WELL_MS = 30_000;

/** @typedef {Record<string, string>} Settings */
/** @typedef {Awaited<ReturnType<typeof openLog>>} Log */

/**
 * @typedef {object} Running
 * @property {import('node:child_process').ChildProcess} child
 * @property {Promise<string>} url where it listens, empty for one that only works; rejected when it fails or ends before
 * @property {Promise<number | null>} ended with its exit code
 */

/**
 * Starts a process of ours, which ends when this one does. What it writes goes to the log; what it says of itself is heard.
 * @param {{ name: string, words: readonly string[], settings: Settings, log: Log, folder: string }} wish `words` come after `node`
 * @returns {Running}
 */
function startProcess({ name, words, settings, log, folder }) {
  const child = spawn(process.execPath, [...words], {
    cwd: ROOT,
    env: { ...process.env, ...settings, STOP_WITH_PARENT: '1' },
    stdio: ['pipe', 'pipe', 'pipe'],
  });
  /** @type {Promise<number | null>} */
  const ended = new Promise((resolve) => child.once('exit', resolve));
  child.stderr.on('data', (part) => void log.write(part));
  /** @type {Promise<string>} */
  const url = new Promise((resolve, reject) => {
    const where = `see ${folder}/${name}.log`;
    const late = setTimeout(() => reject(new Halt(`The ${name} did not start within a minute; ${where}`)), START_MS);
    createInterface({ input: child.stdout }).on('line', (line) => {
      log.write(`${line}\n`);
      const said = saidOf(line);
      if (said?.failed !== undefined) reject(new Halt(failureWords(said.failed)));
      else if (said !== undefined) resolve(said.listening ?? '');
    });
    void ended.then(() => reject(new Halt(`The ${name} ended while starting; ${where}`))).finally(() => clearTimeout(late));
  });
  // who only waits for the end need not ask for the address
  url.catch(() => undefined);
  return { child, url, ended };
}

/** Whether a process has ended, by itself or by a signal. @param {Running['child']} child */
function isOver({ exitCode, signalCode }) {
  return exitCode !== null || signalCode !== null;
}

/** @param {Running} running */
async function endProcess({ child, ended }) {
  if (isOver(child)) return;
  child.kill('SIGTERM');
  const late = setTimeout(() => child.kill('SIGKILL'), STOP_MS);
  await ended;
  clearTimeout(late);
}

/**
 * @typedef {object} RunningServer
 * @property {string} url
 * @property {() => Promise<void>} stop
 * @property {Promise<number | null>} ended resolves with the exit code
 */

/**
 * Starts a server once and waits until it listens; nobody starts it again.
 * @param {readonly string[]} words after `node`
 * @param {Settings} settings its environment beside ours
 * @param {string} folder of the log
 * @returns {Promise<RunningServer>}
 */
export async function startServer(words, settings, folder) {
  const log = await openLog(folder, 'server.log');
  const running = startProcess({ name: 'server', words, settings, log, folder });
  try {
    return { url: await running.url, ended: running.ended, stop: () => endProcess(running) };
  } catch (error) {
    running.child.kill('SIGKILL');
    throw error;
  }
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
  const words = ['--enable-source-maps', script];
  let stopping = false;
  let pause = FIRST_PAUSE_MS;
  let port = settings.PORT ?? '';
  /** @type {NodeJS.Timeout | undefined} */
  let timer;
  const start = () => {
    const began = Date.now();
    const next = startProcess({ name, words, settings: { ...settings, PORT: port }, log, folder });
    void next.ended.then((code) => {
      if (stopping || running !== next) return;
      pause = Date.now() - began > WELL_MS ? FIRST_PAUSE_MS : Math.min(MOST_PAUSE_MS, pause * 2);
      const msg = `${name} ended by itself and is started again`;
      log.write(`${JSON.stringify({ level: 50, time: Date.now(), msg, code, signal: next.child.signalCode, pause })}\n`);
      timer = setTimeout(() => {
        running = start();
      }, pause);
    });
    return next;
  };
  let running = start();
  const stop = async () => {
    stopping = true;
    clearTimeout(timer);
    await endProcess(running);
  };
  try {
    const url = await running.url;
    // started again it is found where it was
    if (url !== '') port = new URL(url).port;
    return { url, pid: () => (isOver(running.child) ? undefined : running.child.pid), stop };
  } catch (error) {
    await stop();
    throw error;
  }
}

/**
 * Looks after something again and again, until it is told to end. Whatever goes wrong in a look, a full disk among it,
 * is told and looked at again after a longer pause: a watch never ends by a fault.
 * @param {() => Promise<void>} look
 * @param {(words: string) => void} tell
 * @param {{ everyMs: number, mostMs: number }} pauses
 * @returns {() => Promise<void>} ends the watch
 */
export function keepWatch(look, tell, { everyMs, mostMs }) {
  let isOver = false;
  /** @type {() => void} */
  let wake = () => undefined;
  const watch = async () => {
    for (let pause = everyMs; !isOver; ) {
      await new Promise((resolve) => {
        const timer = setTimeout(resolve, pause);
        wake = () => {
          clearTimeout(timer);
          resolve(undefined);
        };
      });
      if (isOver) return;
      try {
        await look();
        pause = everyMs;
      } catch (error) {
        pause = Math.min(mostMs, 2 * pause);
        tell(error instanceof Error ? error.message : String(error));
      }
    }
  };
  const watching = watch();
  return async () => {
    isOver = true;
    wake();
    await watching;
  };
}

/**
 * What a process says of itself for whoever started it; undefined for a line of its log.
 * @param {string} line
 * @returns {{ listening?: string, failed?: string, working?: boolean } | undefined}
 */
function saidOf(line) {
  return /^\{"(listening|failed|working)"/.test(line) ? JSON.parse(line) : undefined;
}

/** @param {string} message */
function failureWords(message) {
  const taken = /EADDRINUSE.*?:(\d+)$/.exec(message);
  if (taken === null) return `The server cannot start: ${message}`;
  return `Port ${taken[1]} is taken on this machine. Choose another one:\n\n  PORT=${Number(taken[1]) + 10} npm run demo    (or npm start)\n`;
}
