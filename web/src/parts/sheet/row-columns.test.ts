import { CONCERT_READER, DEFAULT_NAMING, lensOn, projectChart, readChart } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { barColumns } from './bar-columns.ts';
import { hasMarksOver } from './bar-place.ts';
import { barEms, fitsBar, phoneColumns, sheetColumns } from './row-columns.ts';

function row(bars: string) {
  const reading = readChart(`key: C\n${bars}\n`);
  const lens = lensOn(CONCERT_READER, { naming: DEFAULT_NAMING, show: 'both', kind: 'chart', words: true, cuesFor: null }, reading, 0);
  const first = projectChart(reading, lens).sections[0]?.rows[0];
  if (first === undefined) throw new Error('no row');
  return first;
}

describe('bars on a narrow screen', () => {
  test('short bars stand four by four, long or shared ones two by two, crowded ones alone', () => {
    expect(phoneColumns(row('1 4 5 6-'))).toBe(4);
    expect(phoneColumns(row('1 (4- 5) 5 1'))).toBe(2);
    expect(phoneColumns(row('1maj7add11no5 4 5 1'))).toBe(2);
    expect(phoneColumns(row('1 (2-7b5/b6 5 b7maj7#11 1) 5 1'))).toBe(1);
  });

  test('a shared bar is as wide as its chords and what keeps them apart', () => {
    const [one, both] = row('4 (4 5)').bars;
    expect(barEms(both as never, 0)).toBeGreaterThan(2 * barEms(one as never, 0));
  });

  test('on the sheet a row takes as many lines as its fullest bar needs', () => {
    expect(sheetColumns(row('1 4 5 1'), 860)).toBe(4);
    expect(sheetColumns(row('1 4 5 1'), 370)).toBe(4);
    expect(sheetColumns(row('1 (2-7b5/b6 5 b7maj7#11 1) 5 1'), 1600)).toBe(4);
    expect(sheetColumns(row('1 (2-7b5/b6 5 b7maj7#11 1) 5 1'), 860)).toBe(2);
    expect(sheetColumns(row('1 (2-7b5/b6 5 b7maj7#11 1) 5 1'), 370)).toBe(1);
  });

  test('marks around a chord take room', () => {
    const [plain] = row('1').bars;
    const [marked] = row('>1!').bars;
    expect([fitsBar(plain as never, 42, 62), fitsBar(marked as never, 42, 62)]).toEqual([true, false]);
  });

  test('letters count where they are wider than their number', () => {
    const [bar] = row('#4-7b5/1').bars;
    expect(barEms(bar as never, 1)).toBeGreaterThan(barEms(bar as never, 0));
    expect(barEms(row('1').bars[0] as never, 0.3)).toBe(barEms(row('1').bars[0] as never, 0));
  });

  test('chords stand in columns as wide as their beats', () => {
    expect(barColumns(row('(1 4)').bars[0] as never).gridTemplateColumns).toBe('minmax(min-content, 2fr) minmax(min-content, 2fr)');
    expect(barColumns(row('(1... 4.)').bars[0] as never).gridTemplateColumns).toBe('minmax(min-content, 3fr) minmax(min-content, 1fr)');
  });
});

describe('what stands over the chords of a bar', () => {
  test('beats and diamonds stand over their chords', () => {
    const chord = (over: object) => ({ chords: [{ beats: null, marks: { ring: false }, ...over }] }) as never;
    expect(hasMarksOver(chord({}))).toBe(false);
    expect(hasMarksOver(chord({ beats: 2 }))).toBe(true);
    expect(hasMarksOver(chord({ marks: { ring: true } }))).toBe(true);
  });
});
