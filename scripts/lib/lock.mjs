// @ts-check
import { mkdirSync, readFileSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { setTimeout as sleep } from 'node:timers/promises';
import { Halt } from './workplace.mjs';

const WAIT_MS = 200;
const MOST_WAIT_MS = 15 * 60_000;
/** A lock whose owner is not written so long after it was taken is nobody's. */
const UNOWNED_MS = 10_000;

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

/**
 * @param {string} path
 * @param {(file: string, text: string) => void} [write]
 * @returns {boolean} whether the lock is ours now
 * @throws what the disk says, where it has no room for a lock; nothing is left behind then
 */
export function take(path, write = writeFileSync) {
  try {
    mkdirSync(path);
  } catch (error) {
    if (/** @type {NodeJS.ErrnoException} */ (error).code !== 'EEXIST') throw error;
    if (isHeld(path)) return false;
    rmSync(path, { recursive: true, force: true });
    return false;
  }
  try {
    write(`${path}/owner`, processMark(process.pid) ?? '');
  } catch (error) {
    // a lock without an owner would be waited for by everybody
    rmSync(path, { recursive: true, force: true });
    throw error;
  }
  return true;
}

/** @param {string} path */
function isHeld(path) {
  const owner = readOwner(path);
  if (owner !== undefined && owner !== '') return isAlive(owner);
  const takenAt = statSync(path, { throwIfNoEntry: false })?.mtimeMs ?? 0;
  return Date.now() - takenAt < UNOWNED_MS;
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
