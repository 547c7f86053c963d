// @ts-check
import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { Halt } from './workplace.mjs';

const WAIT_MS = 200;
const MOST_WAIT_MS = 15 * 60_000;

/**
 * A process as it can be told apart from a later one with the same number: its id and start time.
 * @param {number} pid
 */
export function processMark(pid) {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]?.split(' ') ?? [];
    // a zombie is as good as gone
    return fields[0] === 'Z' ? undefined : `${pid} ${fields[19]}`;
  } catch {
    return undefined;
  }
}

/**
 * Whether the process that left this mark still runs.
 * @param {string} mark
 */
export function isAlive(mark) {
  return mark !== '' && processMark(Number(mark.split(' ')[0])) === mark;
}

/**
 * Runs `work` while no other process holds the lock; a lock left by a dead process is taken over.
 * @template T
 * @param {string} folder parent of the lock
 * @param {string} name
 * @param {() => Promise<T>} work
 * @returns {Promise<T>}
 */
export async function withLock(folder, name, work) {
  const path = `${folder}/${name}.lock`;
  const deadline = Date.now() + MOST_WAIT_MS;
  mkdirSync(folder, { recursive: true });
  while (!take(path)) {
    if (Date.now() > deadline) throw new Halt(`Another process has been holding ${path} for too long. Remove it if nothing runs.`);
    await sleep(WAIT_MS);
  }
  try {
    return await work();
  } finally {
    rmSync(path, { recursive: true, force: true });
  }
}

/** @param {string} path */
function take(path) {
  try {
    mkdirSync(path);
  } catch {
    const owner = readOwner(path);
    if (owner === undefined || isAlive(owner)) return false;
    rmSync(path, { recursive: true, force: true });
    return false;
  }
  writeFileSync(`${path}/owner`, processMark(process.pid) ?? '');
  return true;
}

/** @param {string} path */
function readOwner(path) {
  try {
    return readFileSync(`${path}/owner`, 'utf8');
  } catch {
    // taken this very moment, its owner not yet written
    return undefined;
  }
}
