import { describe, expect, test } from '@jest/globals';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { eveningOf, NEW_SET_SONG, type StoredSet, type StoredSetSong } from '../setlist/evening.ts';
import { lengthWords, setSheet } from '../wording/set-sheet.ts';
import type { Drawing } from './drawing.ts';
import { setPages } from './set-sheet.ts';

const SONGS = [
  { id: 'a', title: 'Rope Walk', source: 'title: Rope Walk\nkey: Eb\ntempo: 120\n\n[A] x4\n1 4 5 1\n' },
  { id: 'b', title: 'A Song with a Title That Goes on and on', source: 'title: B\nkey: Am\ntempo: 60\n\n[A]\n1- 4-\n' },
];
const song = (id: string, more: Partial<StoredSetSong> = {}): StoredSetSong => ({
  ...NEW_SET_SONG,
  id: `e-${id}`,
  songId: id,
  ...more,
});
const SET: StoredSet = {
  name: 'Friday',
  place: 'The Slip',
  startsAt: '20:30',
  gapSeconds: 30,
  entries: [
    song('a', { key: 'D', capos: { tam: 2, juno: 0 }, starts: 'Rosa', notes: 'slow', join: { kind: 'bridge', bridge: 'dominant' } }),
    song('b'),
    { kind: 'break', id: 'c', name: 'Tea', seconds: 600 },
    song('a', { tempo: 96 }),
  ],
};
const sheet = (set = SET) => setSheet(eveningOf(set, SONGS), (id) => id.toUpperCase(), DEFAULT_NAMING);
const words = (pages: readonly Drawing[]) =>
  pages.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : [])));

describe('a set sheet', () => {
  test('says what is played, in which key, when, and what is said about it', () => {
    const { title, facts, lines } = sheet();
    expect([title, facts]).toEqual(['Friday', 'The Slip  ·  begins 20:30  ·  11 minutes']);
    expect(lines.map(({ number, key, time, joins }) => [number, key, time, joins])).toEqual([
      ['1', 'D', '20:30', true],
      ['2', 'Am', '20:30', false],
      ['', '', '20:30', false],
      ['3', 'E♭', '20:40', false],
    ]);
    expect(lines[0]?.details).toEqual(['TAM capo 2  ·  120 bpm  ·  Rosa counts in', 'slow']);
    expect(lines[2]?.title).toBe('Tea, 10 min');
    expect(lines[3]?.details).toEqual(['96 bpm']);
  });

  test('says nothing of a capo of somebody who has left', () => {
    const left = setSheet(eveningOf(SET, SONGS), () => undefined, DEFAULT_NAMING);
    expect(left.lines[0]?.details).toEqual(['120 bpm  ·  Rosa counts in', 'slow']);
  });

  test('a song of unknown length makes what follows uncertain', () => {
    const unsure = sheet({ ...SET, entries: [song('a'), { ...song('b'), songId: 'none' }, song('a')] });
    expect(unsure.lines.map(({ time }) => time)).toEqual(['20:30', '20:31']);
    const noTempo = [{ id: 'a', title: 'A', source: 'key: C\n1 4\n' }];
    const evening = eveningOf({ ...SET, entries: [song('a'), song('a')] }, noTempo);
    expect(setSheet(evening, (id) => id, DEFAULT_NAMING).lines.map(({ time }) => time)).toEqual(['20:30', 'after 20:30']);
  });

  test.each([
    [[], ''],
    [[{ at: 0, seconds: 60, known: true }], '1 minute'],
    [[{ at: 3000, seconds: 240, known: false }], 'at least 54 minutes'],
  ])('%j lasts %j', (times, length) => expect(lengthWords(times)).toBe(length));
});

describe('on paper', () => {
  test('everything for the stand; titles and keys alone for the floor, all in one size', () => {
    expect(words(setPages(sheet(), 'A4', 'list'))).toEqual(expect.arrayContaining(['Rope Walk', 'D', '20:30', 'slow', '– Tea, 10 min –']));
    const floor = setPages(sheet(), 'A4', 'floor');
    expect(words(floor)).not.toContain('slow');
    const titles =
      floor[0]?.shapes.flatMap((shape) => (shape.kind === 'text' && /^(Rope|A Song)/.test(shape.text) ? [shape.size] : [])) ?? [];
    expect(new Set(titles).size).toBe(1);
  });

  test.each(['list', 'floor'] as const)('a title is never smaller than its key, and no letter than nine points: %s', (kind) => {
    for (const entries of [SET.entries, Array.from({ length: 40 }, (_, at) => ({ ...song(at % 2 === 0 ? 'a' : 'b'), id: String(at) }))])
      for (const { shapes } of setPages(sheet({ ...SET, entries }), 'A4', kind)) {
        const sizes = (pattern: RegExp) =>
          shapes.flatMap((shape) => (shape.kind === 'text' && pattern.test(shape.text) ? [shape.size] : []));
        expect(Math.max(...sizes(/^(D|E♭|Am)$/))).toBeLessThan(Math.min(...sizes(/^(Rope|A Song)/)));
        expect(Math.min(...sizes(/./))).toBeGreaterThanOrEqual(9);
      }
  });

  test.each(['list', 'floor'] as const)('a song that goes straight into the next has an arrow down to it: %s', (kind) => {
    const arrows = (set: StoredSet) =>
      setPages(sheet(set), 'A4', kind).flatMap(({ shapes }) => shapes.filter((one) => one.kind === 'path'));
    expect(arrows(SET)).toHaveLength(1);
    expect(arrows({ ...SET, entries: SET.entries.slice(1) })).toHaveLength(0);
  });

  test.each(['list', 'floor'] as const)('a long set takes more pages and nothing leaves the paper: %s', (kind) => {
    const long = {
      ...SET,
      entries: Array.from({ length: 60 }, (_, at) => ({ ...song(at % 2 === 0 ? 'a' : 'b'), id: String(at), notes: 'a note' })),
    };
    const pages = setPages(sheet(long), 'A4', kind);
    expect(pages.length).toBeGreaterThan(1);
    for (const { width, height, shapes } of pages)
      for (const shape of shapes)
        if (shape.kind === 'text') {
          expect(shape.y).toBeLessThan(height - 20);
          expect(shape.x).toBeGreaterThanOrEqual(20);
          expect(shape.x).toBeLessThan(width);
        }
    expect(words(pages).filter((text) => text === 'Rope Walk')).toHaveLength(30);
  });
});
