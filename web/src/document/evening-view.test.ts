import { printChord } from '@aurora/core';
import { DEFAULT_READS, type Member, type SetListBody, type Song } from '@aurora/wire';
import { describe, expect, test } from '@jest/globals';
import { caposWith, endsOf, movedEntry, newSetSong, viewEvening, withEntry, withPlannedCapos } from './evening-view.ts';

const song = (id: string, source: string): Song => ({
  id,
  title: /^title: (.*)$/m.exec(source)?.[1] ?? '',
  by: '',
  key: '',
  tempo: null,
  bars: 0,
  opening: [],
  ridge: [],
  tags: [],
  archived: false,
  revision: 1,
  savedAt: '',
  source,
});
const SONGS = [
  song('a', 'title: Rope\nkey: D\ntempo: 120\nrange: A3 D5\n\n[A] x2\n1 4 5 1\n'),
  song('b', 'title: Tide\nkey: Em\n\n[A]\n1- 4- 57 1-\n'),
];
const entry = (id: string, songId: string, more: object = {}) => ({ ...newSetSong(songId), id, ...more });
const body = (entries: SetListBody['entries']): SetListBody => ({
  name: 'Friday',
  place: '',
  startsAt: '20:00',
  date: '',
  gapSeconds: 30,
  entries,
});
const ines: Member = {
  id: 'ines',
  name: 'Ines',
  plays: 'voice',
  instrument: null,
  isIn: false,
  reads: { ...DEFAULT_READS, voice: { comfortable: { low: 57, high: 74 }, possible: { low: 50, high: 80 } } },
};

describe('an evening', () => {
  test('has tonight’s keys and tempos, and lengths as the charts say', () => {
    const { evening, times } = viewEvening(body([entry('1', 'a', { key: 'C', tempo: 60 }), entry('2', 'b')]), SONGS, []);
    expect(evening.entries.map(({ name, tempo }) => [name, tempo])).toEqual([
      ['Rope', 60],
      ['Tide', null],
    ]);
    // eight bars of four beats at 60, then a gap
    expect(times).toEqual([
      { at: 0, seconds: 32, known: true },
      { at: 62, seconds: 0, known: true },
    ]);
    expect(evening.entries[0]?.song?.key).toEqual({ tonic: 0, scale: 'major' });
  });

  test('knows who is at the edge in tonight’s key, and leaves songs out that are gone', () => {
    const atEdge = (key: string | null) =>
      viewEvening(body([entry('1', 'a', { key }), entry('2', 'a', { key }), entry('3', 'gone')]), SONGS, [ines]).warnings.map(
        ({ kind }) => kind,
      );
    expect(atEdge(null)).toEqual(['singer-edge']);
    expect(viewEvening(body([entry('3', 'gone')]), SONGS, []).evening.entries).toEqual([]);
  });

  test('a join goes from the last chord as it sounds to the next first one', () => {
    const { evening } = viewEvening(body([entry('1', 'a', { key: 'C' }), entry('2', 'b', { key: 'Dm' })]), SONGS, []);
    const ends = endsOf(evening, 0);
    expect([printChord(ends?.from.chord as never), printChord(ends?.to.chord as never)]).toEqual(['C', 'Dm']);
    expect(endsOf(evening, 1)).toBeNull();
  });
});

describe('entries', () => {
  const entries = ['1', '2', '3'].map((id) => entry(id, 'a'));
  test.each([
    [0, 2, '2 3 1'],
    [2, 0, '3 1 2'],
    [1, 1, '1 2 3'],
    [0, -1, '1 2 3'],
    [2, 3, '1 2 3'],
  ])('moved from %i to %i: %s', (from, to, order) =>
    expect(
      movedEntry(entries, from, to)
        .map(({ id }) => id)
        .join(' '),
    ).toBe(order),
  );

  test('one is changed, the others stay the same things', () => {
    const before = body(entries);
    const after = withEntry(before, '2', (one) => ({ ...one, notes: 'slow' }) as typeof one);
    expect(after.entries[0]).toBe(before.entries[0]);
    expect(after.entries[1]).toMatchObject({ notes: 'slow' });
  });

  test('a planned capo goes to its entry by name, whatever has become of the order meanwhile', () => {
    const moved = body([...movedEntry(entries, 0, 2), entry('new', 'a')]);
    const planned = withPlannedCapos(
      moved,
      'juno',
      new Map([
        ['1', 3],
        ['3', null],
        ['gone', 5],
      ]),
    );
    const frets = planned.entries.map((one) => [one.id, one.kind === 'song' ? one.capos.juno : undefined]);
    expect(frets).toEqual([
      ['2', undefined],
      ['3', undefined],
      ['1', 3],
      ['new', undefined],
    ]);
  });

  test('a capo of null lets the player play as usual', () => {
    expect(caposWith({ juno: 3, tam: 2 }, 'juno', null)).toEqual({ tam: 2 });
    expect(caposWith({ tam: 2 }, 'juno', 0)).toEqual({ tam: 2, juno: 0 });
  });
});
