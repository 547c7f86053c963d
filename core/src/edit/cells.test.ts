import { describe, expect, test } from '@jest/globals';
import { printBarToken } from '../chart/bars.ts';
import { readChart } from '../chart/reading.ts';
import { linesOf } from '../chart/text-lines.ts';
import { cellsOf, insertCells, openChart } from './bar-edits.ts';
import { insertSection, leadText, replaceSection, sectionText } from './section-edits.ts';

const tokens = (text: string) => readChart(text).bars.map((bar) => printBarToken(bar));

describe('bars of one chart put into another', () => {
  const from = openChart('key: D\n\n[Verse]\n1 % (2-7 57) "slow" 4\n');
  const into = openChart('key: G\n\n[A]\n6- 3-\n// a thought\n5 5\n');

  test('a sign is written out, remarks come along', () => {
    const text = insertCells(into, 1, cellsOf(from, { from: 1, to: 2 }));
    expect(tokens(text)).toEqual(['6-', '1', '(2-7 57)', '3-', '5', '5']);
    expect(text).toContain('"slow"');
    expect(text).toContain('// a thought');
  });

  test('they count from the other chart’s key: the numbers stay', () => {
    const text = insertCells(into, 4, cellsOf(from, { from: 0, to: 0 }));
    expect(tokens(text).at(-1)).toBe('1');
    expect(readChart(text).head.key.tonic).toBe(readChart('key: G\n').head.key.tonic);
  });

  test('nothing put in changes nothing, and the chart they come from is left alone', () => {
    expect(tokens(insertCells(into, 2, []))).toEqual(tokens(into.source));
    expect(from.source).toContain('1 % (2-7 57)');
  });

  test('into an empty chart', () => {
    const text = insertCells(openChart('key: G\n'), 0, cellsOf(from, { from: 0, to: 3 }));
    expect(readChart(text).bars.map(({ chords }) => chords.length)).toEqual([1, 1, 2, 1]);
    expect(readChart(text).problems).toEqual([]);
  });
});

describe('sections of one chart put into another', () => {
  const mine = openChart('title: Weir\nkey: G\n\n1 4\n\n[Verse]\n1 4 5 1\n~ words\n\n[Chorus]\n4 5\n');
  const theirs = openChart('key: G\n\n[Chorus] x2 -- loud\n4 5 1 1\n~ la la\n');

  test('the lead is the head with the music before the first section', () => {
    expect(leadText(mine)).toBe('title: Weir\nkey: G\n\n1 4');
    expect(leadText(openChart('1 4 5\n'))).toBe('1 4 5');
    expect(leadText(openChart('[A]\n1\n'))).toBe('');
  });

  test('a section comes with its count, remark and lyrics, and takes the place of another', () => {
    const text = replaceSection(mine, 1, sectionText(theirs, 0));
    const { sections, bars } = readChart(text);
    expect(sections.map(({ name, times, remark }) => [name, times, remark])).toEqual([
      ['Verse', 1, null],
      ['Chorus', 2, 'loud'],
    ]);
    expect(bars).toHaveLength(2 + 4 + 4);
    expect(text).toContain('~ la la');
    expect(text).toContain('~ words');
  });

  test('or stands before one, or at the end', () => {
    const names = (before: number) => readChart(insertSection(mine, before, '[Tag]\n1 1')).sections.map(({ name }) => name);
    expect(names(0)).toEqual(['Tag', 'Verse', 'Chorus']);
    expect(names(1)).toEqual(['Verse', 'Tag', 'Chorus']);
    expect(names(2)).toEqual(['Verse', 'Chorus', 'Tag']);
  });
});

test.each([
  ['a\nb\r\nc\rd', ['a', 'b', 'c', 'd']],
  ['', ['']],
  ['a\n', ['a', '']],
  ['\r\n\n\r', ['', '', '', '']],
])('the lines of %j', (text, lines) => expect(linesOf(text)).toEqual(lines));
