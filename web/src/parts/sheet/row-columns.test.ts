import { CONCERT_READER, DEFAULT_NAMING, lensOn, projectChart, readChart } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { barColumns } from './bar-columns.ts';
import { barEms, phoneColumns } from './row-columns.ts';

function row(bars: string) {
  const reading = readChart(`key: C\n${bars}\n`);
  const lens = lensOn(CONCERT_READER, { naming: DEFAULT_NAMING, show: 'both', kind: 'chart', words: true, cuesFor: null }, reading, 0);
  const first = projectChart(reading, lens).sections[0]?.rows[0];
  if (first === undefined) throw new Error('no row');
  return first;
}

describe('bars on a narrow screen', () => {
  test('short bars stand four by four, long or shared ones two by two', () => {
    expect(phoneColumns(row('1 4 5 6-'))).toBe(4);
    expect(phoneColumns(row('1 (4- 5) 5 1'))).toBe(2);
    expect(phoneColumns(row('1maj7add11no5 4 5 1'))).toBe(2);
  });

  test('a shared bar is as wide as its chords and what keeps them apart', () => {
    const [one, both] = row('4 (4 5)').bars;
    expect(barEms(both as never)).toBeGreaterThan(2 * barEms(one as never));
  });

  test('chords stand in columns as wide as their beats', () => {
    expect(barColumns(row('(1 4)').bars[0] as never).gridTemplateColumns).toBe('minmax(min-content, 2fr) minmax(min-content, 2fr)');
    expect(barColumns(row('(1... 4.)').bars[0] as never).gridTemplateColumns).toBe('minmax(min-content, 3fr) minmax(min-content, 1fr)');
  });
});
