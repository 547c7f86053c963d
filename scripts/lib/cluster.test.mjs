import { existsSync, mkdirSync, mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { keepNote } from './cluster.mjs';

let folder = '';
beforeEach(() => {
  folder = mkdtempSync(`${tmpdir()}/aurora-note-`);
});
afterEach(() => rmSync(folder, { recursive: true, force: true }));

const note = () => readFileSync(`${folder}/port`, 'utf8');

test('a note is written whole', () => {
  keepNote(folder, 'port', '4170');
  keepNote(folder, 'port', '4180');
  expect([note(), existsSync(`${folder}/.port.new`)]).toEqual(['4180', false]);
});

test('where it cannot be written the one before stays, and one that says the same needs no room', () => {
  keepNote(folder, 'port', '4170');
  // what is written first cannot be
  mkdirSync(`${folder}/.port.new`);
  expect(() => keepNote(folder, 'port', '4180')).toThrow();
  expect(note()).toBe('4170');
  keepNote(folder, 'port', '4170');
  expect(note()).toBe('4170');
});
