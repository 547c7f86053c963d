import { existsSync, mkdirSync, mkdtempSync, rmSync, utimesSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { processMark, take, withLock } from './lock.mjs';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(`${tmpdir()}/aurora-lock-`);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const full = () => {
  throw Object.assign(new Error('no space left on device'), { code: 'ENOSPC' });
};

test('a disk without room for the owner leaves no lock behind, so that it can be taken once there is room', () => {
  const path = `${folder}/cluster.lock`;
  expect(() => take(path, full)).toThrow('no space left');
  expect(existsSync(path)).toBe(false);
  expect(take(path)).toBe(true);
});

test('a disk without room for the lock itself is told at once, not waited for', () => {
  expect(() => take(`${folder}/missing/cluster.lock`)).toThrow(/ENOENT/);
});

test('a lock whose owner was never written is nobody\u2019s after a while, and somebody\u2019s before', async () => {
  const path = `${folder}/cluster.lock`;
  mkdirSync(path);
  expect(take(path)).toBe(false);
  expect(existsSync(path)).toBe(true);
  const before = new Date(Date.now() - 60_000);
  utimesSync(path, before, before);
  expect(await withLock(folder, 'cluster', async () => 'done')).toBe('done');
});

test('one of a living process holds, one of a dead process does not', () => {
  const path = `${folder}/cluster.lock`;
  mkdirSync(path);
  writeFileSync(`${path}/owner`, processMark(process.pid) ?? '');
  expect([take(path), existsSync(path)]).toEqual([false, true]);
  writeFileSync(`${path}/owner`, '999999999 1');
  expect([take(path), take(path)]).toEqual([false, true]);
});
