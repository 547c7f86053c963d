import { describe, expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { setWarningWords } from '../wording/set-words.ts';
import { clockAfter, type SetEntry, type SetSong, setTimes, setWarnings } from './set-list.ts';

const song = (title: string, key = 'C', more: Partial<SetSong> = {}): SetSong => ({
  kind: 'song',
  title,
  key: requireValue(parseKey(key)),
  seconds: 180,
  capos: {},
  join: { kind: 'gap' },
  atEdge: [],
  ...more,
});
const PAUSE: SetEntry = { kind: 'break', seconds: 900 };
const STRAIGHT = { join: { kind: 'bridge', bridge: 'dominant' } } as const;

describe('times', () => {
  test('songs follow with a gap between, none where they go straight on, none around a break', () => {
    const times = setTimes([song('A'), song('B', 'C', STRAIGHT), song('C'), PAUSE, song('D')], 30);
    expect(times.map(({ at }) => at)).toEqual([0, 210, 390, 570, 1470]);
  });

  test('a song nobody knows the length of leaves what follows uncertain', () => {
    const times = setTimes([song('A'), song('B', 'C', { seconds: null }), song('C')], 0);
    expect(times).toEqual([
      { at: 0, seconds: 180, known: true },
      { at: 180, seconds: 0, known: true },
      { at: 180, seconds: 180, known: false },
    ]);
  });

  test.each([
    ['20:30', 0, '20:30'],
    ['20:30', 59, '20:30'],
    ['20:30', 2100, '21:05'],
    ['23:50', 1200, '00:10'],
    ['9:05', 60, '09:06'],
    ['25:00', 0, null],
    ['8 pm', 0, null],
    ['', 0, null],
  ])('%s and %i s later is %s', (start, seconds, clock) => expect(clockAfter(start, seconds)).toBe(clock));
});

describe('warnings', () => {
  const kinds = (entries: readonly SetEntry[]) => setWarnings(entries).map(({ kind, at }) => `${kind} ${at.join(' ')}`);

  test('three songs in one key, whatever it is called; once for a longer row; not over a break', () => {
    expect(kinds([song('A', 'F#'), song('B', 'Gb'), song('C', 'F#')])).toEqual(['same-key 0 1 2']);
    expect(kinds([song('A'), song('B'), song('C'), song('D')])).toEqual(['same-key 0 1 2']);
    expect(kinds([song('A'), song('B'), PAUSE, song('C')])).toEqual([]);
    expect(kinds([song('A', 'A'), song('B', 'Am'), song('C', 'A')])).toEqual([]);
  });

  test('a capo that moves where nobody waits', () => {
    const first = song('A', 'C', { ...STRAIGHT, capos: { juno: 3 } });
    expect(kinds([first, song('B', 'D', { capos: { juno: 3 } })])).toEqual([]);
    expect(setWarnings([first, song('B', 'D', { capos: { juno: 0, tam: 2 } })])).toEqual([
      { kind: 'capo-no-gap', at: [0, 1], player: 'juno', from: 3, to: 0 },
      { kind: 'capo-no-gap', at: [0, 1], player: 'tam', from: 0, to: 2 },
    ]);
    expect(kinds([{ ...first, join: { kind: 'gap' } }, song('B', 'D')])).toEqual([]);
  });

  test('a capo where a song says nothing is the usual one', () => {
    const first = song('A', 'C', { ...STRAIGHT, capos: { juno: 3 } });
    const then = song('B', 'D', { capos: { tam: 0 } });
    expect(setWarnings([first, then], { juno: 3 })).toEqual([]);
    expect(setWarnings([first, then], { juno: 2, tam: 5 })).toEqual([
      { kind: 'capo-no-gap', at: [0, 1], player: 'juno', from: 3, to: 2 },
      { kind: 'capo-no-gap', at: [0, 1], player: 'tam', from: 5, to: 0 },
    ]);
  });

  test('a singer at the edge twice in a row', () => {
    const [a, b, c] = ['A', 'B', 'C'].map((title, index) => song(title, 'CDE'[index], { atEdge: ['ines'] })) as [SetSong, SetSong, SetSong];
    expect(kinds([a, b, c])).toEqual(['singer-edge 0 1', 'singer-edge 1 2']);
    expect(kinds([a, PAUSE, b])).toEqual([]);
    expect(kinds([a, song('D', 'G'), c])).toEqual([]);
  });

  test('are told in words', () => {
    const titles = ['Harbor Wall', 'Kelp Ladder', 'Emberwick Street'];
    const say = (entries: readonly SetEntry[]) =>
      setWarnings(entries).map((warning) =>
        setWarningWords(
          warning,
          (at) => titles[at] ?? '',
          (id) => id,
          DEFAULT_NAMING,
        ),
      );
    expect(say([song('', 'Bb'), song('', 'Bb'), song('', 'Bb')])).toEqual([
      'Three songs in a row in B♭: Harbor Wall, Kelp Ladder, Emberwick Street.',
    ]);
    expect(say([song('', 'C', { ...STRAIGHT, capos: { Juno: 2 } }), song('', 'D')])).toEqual([
      'Juno moves the capo from fret 2 to off between Harbor Wall and Kelp Ladder, which go straight on.',
    ]);
    expect(say([song('', 'C', { atEdge: ['Ines'] }), song('', 'D', { atEdge: ['Ines'] })])).toEqual([
      'Ines is at the edge of the range twice in a row: Harbor Wall, then Kelp Ladder.',
    ]);
  });
});
