import { describe, expect, test } from '@jest/globals';
import { tablePages } from './table-sheet.ts';

const table = (rows: number, cell = 'E♭maj7') => ({
  name: 'A table',
  head: ['1', '2', '3', '4', '5', '6', '7'],
  rows: Array.from({ length: rows }, (_, at) => ({ name: `Row ${at + 1}`, cells: Array.from({ length: 7 }, () => cell) })),
  isWritten: false,
});
const content = (rows: number, cell?: string) => ({
  title: 'Worksheet',
  facts: 'E♭ major',
  tables: [table(rows, cell)],
  notes: ['A note.'],
});

describe('tables on paper', () => {
  test.each(['A4', 'Letter'] as const)('on %s nothing leaves the page, and no letter is under nine points', (paper) => {
    const cells = ['C', 'A♭m(maj7)', 'a cell with far too many words for its place'];
    const pages = cells.flatMap((cell) => tablePages(content(80, cell), paper));
    const { width, height } = pages[0] as (typeof pages)[number];
    const shapes = pages.flatMap((page) => page.shapes);
    const letters = shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : []));
    expect(letters.filter(({ size, x, y }) => size < 9 || x < 0 || x > width || y > height)).toEqual([]);
    expect(shapes.filter((shape) => shape.kind === 'line' && (shape.x2 > width || shape.y2 > height))).toEqual([]);
  });

  test('what does not fit one page goes on on the next, and no row is lost', () => {
    const pages = tablePages(content(80), 'A4');
    expect(pages.length).toBeGreaterThan(1);
    const names = pages.flatMap(({ shapes }) =>
      shapes.flatMap((shape) => (shape.kind === 'text' && /^Row/.test(shape.text) ? [shape.text] : [])),
    );
    expect(names).toHaveLength(80);
    expect(tablePages(content(6), 'A4')).toHaveLength(1);
  });
});
