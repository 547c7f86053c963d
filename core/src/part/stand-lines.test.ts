import { describe, expect, test } from '@jest/globals';
import * as fc from 'fast-check';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import { CONCERT_READER } from '../reader/reader.ts';
import { projectChart } from './projection.ts';
import { lensOn } from './reader-part.ts';
import { isFolded, playedLines, standPages, writtenLines } from './stand-lines.ts';

function on(source: string) {
  const reading = readChart(source);
  const lens = lensOn(CONCERT_READER, { naming: DEFAULT_NAMING, show: 'both', kind: 'chart', words: true, cuesFor: null }, reading, 0);
  return { reading, sheet: projectChart(reading, lens) };
}
const bars = (lines: ReturnType<typeof writtenLines>) => lines.map((line) => line.bars.map(({ index }) => index));

describe('a chart on the stand', () => {
  const FORM = 'key: C\n[Verse] x2\n1 4 5 1\n6- 2-\n[Chorus]\n|: 4 5 [1] 1 1 :| [2] 1 4\n';

  test('as written: lines as the text has them, every heading over its first line', () => {
    const { sheet } = on(FORM);
    const lines = writtenLines(sheet);
    expect(lines[0]?.heading).toEqual({ name: 'Verse', beside: '×2' });
    expect(lines[1]?.heading).toBeNull();
    expect(bars(lines).slice(0, 2)).toEqual([
      [0, 1, 2, 3],
      [4, 5],
    ]);
  });

  test('played out: bars in playing order, each time of a section with its number, no sign left to follow', () => {
    const { sheet, reading } = on(FORM);
    const lines = playedLines(sheet, reading);
    expect(bars(lines).flat()).toEqual([...reading.performance.order]);
    expect(lines.filter(({ heading }) => heading !== null).map(({ heading, time }) => [heading?.name, time])).toEqual([
      ['Verse', 1],
      ['Verse', 2],
      ['Chorus', 1],
    ]);
    for (const { bars: cells } of lines)
      for (const bar of cells) expect([bar.opensRepeat, bar.closesRepeat, bar.ending, bar.after]).toEqual([false, null, null, []]);
  });

  test('a jump is played out too, and a long one stops where it is told to', () => {
    const { sheet, reading } = on('key: C\n[A]\n{segno} 1 4 {to coda} 5 1 {ds al coda}\n[B]\n{coda} 1 1\n');
    const order = bars(playedLines(sheet, reading)).flat();
    expect(order).toEqual([...reading.performance.order]);
    expect(order.length).toBeGreaterThan(reading.bars.length);
    expect(playedLines(sheet, reading, 2)).toHaveLength(2);
  });

  test.each([
    ['key: C\n1 4 5 1\n', false],
    ['key: C\n[A] x2\n1 4\n', true],
    ['key: C\n|: 1 4 :|\n', true],
    ['key: C\n[A]\n1 4 {dc}\n', true],
  ])('%j has a form to follow: %s', (source, folded) => expect(isFolded(readChart(source))).toBe(folded));
});

describe('pages of whole lines', () => {
  test('every line is whole on exactly one page, in order, and no page is fuller than it can be', () => {
    fc.assert(
      fc.property(fc.array(fc.integer({ min: 1, max: 40 }), { maxLength: 60 }), fc.integer({ min: 40, max: 200 }), (heights, room) => {
        const pages = standPages(heights, room);
        expect(pages.flat()).toEqual(heights.map((_, line) => line));
        const full = (page: readonly number[]) => page.reduce((sum, line) => sum + (heights[line] as number), 0);
        for (const [place, page] of pages.entries()) {
          expect(full(page)).toBeLessThanOrEqual(room);
          const next = pages[place + 1];
          if (next !== undefined) expect(full(page) + (heights[next[0] as number] as number)).toBeGreaterThan(room);
        }
      }),
      { seed: 15 },
    );
  });

  test('a line that no page can hold stands alone', () => expect(standPages([5, 90, 5], 40)).toEqual([[0], [1], [2]]));
  test('no lines, no pages', () => expect(standPages([], 40)).toEqual([]));
});
