import { expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { withHeadLine } from './head-edit.ts';

const kept = (source: string) => withHeadLine(source, readChart(source), 'range', 'B3 D5');

test.each([
  ['in place of its own line', 'title: A\nrange: C4 C5\nkey: G\n\n[A]\n1 4\n', 'title: A\nrange: B3 D5\nkey: G\n\n[A]\n1 4\n'],
  ['in place of one nobody can read', 'range: high\n1 4', 'range: B3 D5\n1 4'],
  [
    'behind the last line of the head',
    'title: A\n// a note\nkey: G\n\n[A]\n1 4\n',
    'title: A\n// a note\nkey: G\nrange: B3 D5\n\n[A]\n1 4\n',
  ],
  ['as a head where there is none', '1 4\n', 'range: B3 D5\n\n1 4\n'],
  ['in an empty chart', '', 'range: B3 D5\n\n'],
])('a head line stands %s', (_, source, text) => {
  expect(kept(source)).toBe(text);
  expect(readChart(text).head.range).toEqual({ low: 59, high: 74 });
});

test('everything else stays as it was typed, letters, spaces and faults', () => {
  const source = 'title:   Rope\nkey: D\n\n[A]  x2\n  D   G  hello\n~ a line\n// kept\n';
  expect(kept(source)).toBe('title:   Rope\nkey: D\nrange: B3 D5\n\n[A]  x2\n  D   G  hello\n~ a line\n// kept\n');
});

test('a title stands before everything else that is said', () => {
  const titled = (source: string) => withHeadLine(source, readChart(source), 'title', 'Rope');
  expect(titled('key: D\ntempo: 90\n\n1 4\n')).toBe('title: Rope\nkey: D\ntempo: 90\n\n1 4\n');
  expect(titled('// ours\nkey: D\n\n1\n')).toBe('// ours\ntitle: Rope\nkey: D\n\n1\n');
  expect(titled('title: Old\nkey: D\n\n1\n')).toBe('title: Rope\nkey: D\n\n1\n');
});

test('a line without a value goes, and one that is not there stays away', () => {
  const without = (source: string) => withHeadLine(source, readChart(source), 'tempo', '');
  expect(without('key: D\ntempo: 90\n\n1\n')).toBe('key: D\n\n1\n');
  expect(without('key: D\n\n1\n')).toBe('key: D\n\n1\n');
});
