import { analyzeText, CONCERT_READER, DEFAULT_NAMING, songProfile, symbolText } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { type GridLook, gridRows, MOST_BARS, readingLabel, ridgeList, ridgeNames, ridgeWords } from './analysis-view.ts';

const LOOK: GridLook = { naming: DEFAULT_NAMING, reader: CONCERT_READER, beside: null };
const rows = (source: string, look: Partial<GridLook> = {}) => gridRows(analyzeText(source), { ...LOOK, ...look });
const chords = (source: string, look: Partial<GridLook> = {}) => rows(source, look).flatMap((row) => row.bars.flatMap((bar) => bar.chords));

describe('the grid of chords', () => {
  test('rows follow the lines of the text, four bars at most; a section is named once', () => {
    const found = rows('key: G\n[A]\n1 4 5 1 6- 2-\n5 1\n[B]\n4 4\n');
    expect(found.map(({ section, bars }) => [section, bars.length])).toEqual([
      ['A', 4],
      [null, 2],
      [null, 2],
      ['B', 2],
    ]);
  });

  test('chords that share a bar stand in it together', () => {
    expect(rows('key: G\n1 (4 5) 1\n')[0]?.bars.map(({ chords: shared }) => shared.length)).toEqual([1, 2, 1]);
  });

  test('numbers, letters and Romans of the same chord', () => {
    const [first, second] = chords('key: G\n1 2-7 57 1\n');
    expect([first, second].map((chord) => symbolText(chord?.letter as never))).toEqual(['G', 'Am7']);
    expect([first?.romans, second?.romans]).toEqual([['I'], ['ii7']]);
  });

  test('a capo player reads shapes and is told what sounds; a player at pitch is not', () => {
    const [first] = chords('key: Bb\n1 4 5 1\n', { reader: { ...CONCERT_READER, capo: 3 } });
    expect(symbolText(first?.letter as never)).toBe('G');
    expect(symbolText(first?.sounding as never)).toBe('B♭');
    expect(chords('key: Bb\n1 4 5 1\n')[0]?.sounding).toBeNull();
  });

  test('both hearings stand under a chord when both are wanted', () => {
    const source = 'key: C\n1 2-7 57 1 5-7 17 4 1\n';
    const [, , , , two, five] = chords(source, { beside: analyzeText(source, { hearing: 'home' }) });
    expect(two?.romans).toEqual(['ii7/IV', 'v7']);
    expect(five?.romans).toEqual(['V7/IV', 'I7']);
  });

  test('a ii–V that arrives has a whole bracket, one that does not a broken one', () => {
    const whole = chords('key: C\n1 2-7 57 1\n').map(({ bracket }) => bracket);
    expect(whole.map((bracket) => bracket?.complete ?? null)).toEqual([null, true, true, true]);
    expect(whole[1]).toMatchObject({ begins: true, ends: false });
    expect(whole[3]).toMatchObject({ begins: false, ends: true });
    expect(chords('key: C\n1 2-7 57 4 1\n')[1]?.bracket?.complete).toBe(false);
  });

  test('what a chord outside the key is stands beside its name, for eyes and ears', () => {
    const [, borrowed] = chords('key: C\n1 4- 1 5 1\n');
    expect(borrowed).toMatchObject({ role: 'outside', reading: 'borrowed', yours: false });
    expect(borrowed?.label).toBe('4 minor, F minor, borrowed');
    expect(chords('key: C\n1 4 1\n')[1]).toMatchObject({ role: 'subdominant', reading: null });
  });

  test('the player’s own word is shown as theirs, with the note', () => {
    const [, said] = chords('key: C\nreading 2-1: 1 [4-] 1 = chromatic-mediant -- like at home\n\n1 4- 1\n');
    expect(said).toMatchObject({ yours: true, note: 'like at home', reading: 'chromatic mediant' });
  });

  test('a key that begins is named at its first chord', () => {
    const keys = chords('key: C\n[A]\n1 4 57 1\n[B]\n{key: Eb} 1 4 57 1\n').map(({ newKey }) => newKey);
    expect(keys).toEqual([null, null, null, null, 'E♭', null, null, null]);
  });

  test('of a very long song the first bars are drawn', () => {
    const drawn = rows(`key: C\n${'1 4 5 1\n'.repeat(150)}`).flatMap(({ bars }) => bars);
    expect(drawn).toHaveLength(MOST_BARS);
  });

  test('nothing gives nothing', () => expect(rows('')).toEqual([]));
});

test.each([
  ['key: C\n1 4 5 1\n', 1, null],
  ['key: C\n1 17 4 1\n', 1, 'secondary dominant'],
  ['key: C\n1 67 4 1\n', 1, 'secondary dominant, deceptive'],
])('%j, chord %i reads: %s', (source, index, label) => {
  const chord = analyzeText(source).chords[index];
  expect(chord === undefined ? 'no such chord' : readingLabel(chord)).toBe(label);
});

describe('the ridge as it is drawn', () => {
  const ridge = (source: string) => {
    const analysis = analyzeText(source);
    return [songProfile(analysis), ridgeNames(analysis, DEFAULT_NAMING)] as const;
  };

  test('every summit has its number and its letters', () => {
    const [{ spans }, names] = ridge('key: C\n[A]\n1 4 57 1\n[B]\n{key: D} 1 4 57 1\n');
    expect(names.numbers).toEqual(['1', '4', '5', '1', '1', '4', '5', '1']);
    expect(spans.map(({ ground }) => ground)).toEqual([0, 0, 0, 0, 1, 1, 1, 1]);
    expect(names.letters).toEqual(['C', 'F', 'G7', 'C', 'D', 'G', 'A7', 'D']);
    for (const { top, ground } of spans) expect(top).toBeGreaterThanOrEqual(ground);
  });

  test('in words: the bar where it is highest, and every chord in turn', () => {
    expect(ridgeWords(...ridge('key: C\n(1 4) 57 1\n'))).toBe('Furthest from home: G7, bar 2.');
    expect(ridgeWords(...ridge('key: C\n1 1\n'))).toBe('The song never leaves home.');
    expect(ridgeWords(...ridge(''))).toBe('No chords yet.');
    expect(ridgeList(...ridge('key: C\n1 4 57 1\n'))).toBe('C 0, F 1, G7 2, C 0');
  });
});
