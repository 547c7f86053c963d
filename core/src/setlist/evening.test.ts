import { describe, expect, test } from '@jest/globals';
import { printChord } from '../chord/chord-text.ts';
import type { Key } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { eveningOf, NEW_SET_SONG, type StoredSet, type StoredSetSong } from './evening.ts';
import { nextUp, playedTexts } from './medley.ts';

const SONGS = [
  { id: 'a', title: 'Rope Walk', source: 'title: Rope Walk\nkey: Eb\ntempo: 100\n\n[A]\n1 4 {tempo: 150} 5 1\n' },
  { id: 'b', title: '', source: 'key: Am\n\n[A]\n1- 4-\n' },
];
const song = (songId: string, more: Partial<StoredSetSong> = {}): StoredSetSong => ({ ...NEW_SET_SONG, id: songId, songId, ...more });
const evening = (...entries: StoredSet['entries']) =>
  eveningOf({ name: 'Friday', place: '', startsAt: '', gapSeconds: 30, entries }, SONGS);

const textsOf = (one: ReturnType<typeof evening>) => playedTexts(one).map(({ text }) => text);

describe('tonight’s tempo', () => {
  const slow = evening(song('a', { tempo: 50 }), song('b', { tempo: 90 }));

  test('is in the chart text that is played, changes in proportion', () => {
    expect(textsOf(slow)).toEqual([
      'title: Rope Walk\nkey: Eb\ntempo: 50\n\n[A]\n1 4 {tempo: 75} 5 1\n',
      'key: Am\ntempo: 90\n\n[A]\n1- 4-\n',
    ]);
    expect(slow.entries.map(({ song: one }) => one?.reading.bars.map(({ tempo }) => tempo))).toEqual([
      [50, 50, 75, 75],
      [90, 90],
    ]);
  });

  test('decides how long a song lasts: eight beats at 50 and eight at 75', () => {
    expect(slow.entries[0]?.entry.seconds).toBeCloseTo((8 * 60) / 50 + (8 * 60) / 75, 9);
    expect(slow.entries[1]?.entry.seconds).toBeCloseTo((8 * 60) / 90, 9);
  });

  test('is told with a bridge behind it', () => {
    const [text = ''] = textsOf(evening(song('a', { tempo: 50, join: { kind: 'bridge', bridge: 'dominant' } }), song('b')));
    expect(text).toMatch(/^title: Rope Walk\nkey: Eb\ntempo: 50\n/);
    expect(text).toContain('{tempo: 75}');
    expect(text).toMatch(/\[To Song without a title\]/);
  });

  test('that is the chart’s own, or not told, leaves the text as it is', () => {
    expect(textsOf(evening(song('a', { tempo: 100 }), song('a')))).toEqual([SONGS[0]?.source, SONGS[0]?.source]);
  });
});

describe('tonight’s key', () => {
  test.each([
    ['a', 'D', 'D'],
    ['a', null, 'Eb'],
    ['b', 'C#m', 'C#m'],
    // only the tonic is tonight's: the song stays minor
    ['b', 'C', 'Cm'],
    ['b', 'nonsense', 'Am'],
  ])('%s in %s is played in %s', (id, key, sounds) =>
    expect(printKey(evening(song(id, { key })).entries[0]?.song?.key as Key)).toBe(sounds),
  );

  test('a bridge leads from where tonight’s keys are', () => {
    const join = { kind: 'bridge', bridge: 'dominant' } as const;
    const [text = ''] = textsOf(evening(song('a', { key: 'C', join }), song('b', { key: 'Dm' })));
    // A7 leads to D minor as its 5; in the text, which is in E♭, everything lies a minor third higher
    expect(text.trimEnd().split('\n').at(-1)).toBe('{key: Fm} 57');
  });
});

describe('what comes next', () => {
  const straight = (bridge: 'dominant' | 'two-five' | 'direct') => ({ join: { kind: 'bridge' as const, bridge } });
  const pause = { kind: 'break' as const, id: 'x', name: 'Tea', seconds: 600 };

  test.each([
    ['a stop', {}, null],
    // into Am: its dominant E7, before it the half-diminished chord on B
    ['over the dominant', straight('dominant'), ['E7']],
    ['over two and five', straight('two-five'), ['Bm7b5', 'E7']],
    ['straight on', straight('direct'), []],
  ])('%s', (_, more, chords) => {
    const next = nextUp(evening(song('a', more), song('b', { starts: 'Tam' })), 0);
    expect(next?.entry).toMatchObject({ name: 'Song without a title', starts: 'Tam' });
    expect(next?.segue?.map((chord) => printChord(chord)) ?? null).toEqual(chords);
  });

  test('nothing leads over a break, and after the last there is nothing', () => {
    const paused = evening(song('a', straight('dominant')), pause, song('b'));
    expect(nextUp(paused, 0)).toMatchObject({ entry: { name: 'Tea', song: null }, segue: null });
    expect(nextUp(paused, 1)).toMatchObject({ segue: null });
    expect(nextUp(paused, 2)).toBeNull();
    expect(nextUp(evening(), 0)).toBeNull();
  });
});
