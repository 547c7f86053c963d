import { describe, expect, test } from '@jest/globals';
import { analyzeText, homeWords, printKey } from '../src/index.ts';
import { KEYS_IN_SONGS } from './keys-in-songs-table.ts';

const LEAD_IN = 2;

const nameOf = (key: Parameters<typeof printKey>[0]) => printKey(key);

function regionsOf(source: string) {
  const { regions } = analyzeText(source);
  return regions.map(({ key, from }) => ({ key: nameOf(key), from }));
}

test('the table is as long as it should be', () => expect(KEYS_IN_SONGS.length).toBeGreaterThanOrEqual(120));

describe('keys in songs', () => {
  test.each(KEYS_IN_SONGS)('%s', (row) => {
    const cut = row.lastIndexOf('|');
    const [source, expected] = [row.slice(0, cut).trim(), row.slice(cut + 1).trim()];
    const regions = regionsOf(source);
    if (expected.includes('@')) {
      const wanted = expected.split(' ').map((part) => part.split('@') as [string, string]);
      expect(regions.map(({ key }) => key)).toEqual(wanted.map(([key]) => key));
      wanted.forEach(([, from], index) => {
        const begins = regions[index]?.from ?? -1;
        expect([begins >= Number(from) - LEAD_IN, begins <= Number(from)]).toEqual([true, true]);
      });
      return;
    }
    const keys = analyzeText(source).keys.map(({ key }) => nameOf(key));
    expect(regions).toHaveLength(1);
    if (expected.includes('/')) expect(keys.slice(0, 2).sort()).toEqual(expected.split('/').sort());
    else expect(keys[0]).toBe(expected);
  });
});

// ------------------------------------------------------------------------------------ moved loops

/** Rounds of two to eight chords in C or A minor, as half steps above the tonic with their suffix. */
const ROUNDS: readonly (readonly [mode: '' | 'm', round: string])[] = [
  ['', '0 5'],
  ['m', '0m 8'],
  ['', '0 7 5'],
  ['', '0 9m 5 7'],
  ['', '0 7 9m 5'],
  ['', '0 4m 5 7'],
  ['m', '0m 10 8 7'],
  ['', '0 5 9m 7 5'],
  ['', '0 4m 9m 5 2m 7'],
  ['', '0 7 9m 4m 5 0 7'],
  ['', '0 7 9m 4m 5 0 5 7'],
  ['', '0 9 2 7'],
  ['m', '0m 5m 7 0m 8 5m 7 0m'],
];
const NAMES = ['C', 'Db', 'D', 'Eb', 'E', 'F', 'Gb', 'G', 'Ab', 'A', 'Bb', 'B'];

const chordsOf = (round: string, tonic: number) =>
  round.split(' ').map((chord) => {
    const [, step = '0', suffix = ''] = /^(\d+)(\D*)$/.exec(chord) ?? [];
    return `${NAMES[(Number(step) + tonic) % 12]}${suffix}`;
  });

const homesOf = (source: readonly string[]) =>
  analyzeText(source.join(' ')).regions.map(({ key, from, to }) => ({ home: homeWords(key), from, to, pitch: (key.tonic * 7 + 84) % 12 }));

describe('a round moved as a whole', () => {
  const shifts = [1, 2, 3, 4, 5, 7, 8, 10, 11];
  // a round of fourths and fifths moved by one more is still made of its own chords: that is one key as well
  const sharing = (round: string, shift: number) => (round === '0 5' && shift === 7) || (round === '0 9 2 7' && [5, 7, 10].includes(shift));
  const rows = ROUNDS.flatMap(([mode, round]) =>
    shifts.filter((shift) => !sharing(round, shift)).map((shift) => [mode, round, shift] as const),
  );
  test.each(rows)('%s %s, up %i half steps, is in the key moved as far', (mode, round, shift) => {
    const once = chordsOf(round, 0);
    const times = Math.max(2, Math.ceil(8 / once.length));
    const played = (tonic: number) => Array.from({ length: times }, () => chordsOf(round, tonic)).flat();
    const regions = homesOf([...played(0), ...played(shift)]);
    expect(regions.map(({ pitch }) => pitch)).toEqual([0, shift]);
    expect(regions[1]?.from).toBe(times * once.length);
    expect(regions.map(({ home }) => home.endsWith('minor'))).toEqual([mode === 'm', mode === 'm']);
  });

  test.each(ROUNDS)('%s %s comes back from a whole step up, and its numbers stay', (_, round) => {
    const times = Math.max(2, Math.ceil(8 / round.split(' ').length));
    const played = (tonic: number) => Array.from({ length: times }, () => chordsOf(round, tonic)).flat();
    const { regions, chords } = analyzeText([...played(0), ...played(2), ...played(0)].join(' '));
    expect(regions.map(({ key }) => (key.tonic * 7 + 84) % 12)).toEqual([0, 2, 0]);
    const numbers = chords.map(({ number }) => `${number.degree} ${number.formula}`);
    const length = numbers.length / 3;
    expect(numbers.slice(length, 2 * length)).toEqual(numbers.slice(0, length));
    expect(numbers.slice(2 * length)).toEqual(numbers.slice(0, length));
  });
});
