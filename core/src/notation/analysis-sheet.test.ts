import { describe, expect, test } from '@jest/globals';
import { type AnalysisSheetContent, analysisPages, type SheetRowLines } from './analysis-sheet.ts';

const bar = (...numbers: string[]) => ({
  chords: numbers.map((number) => ({ number, raised: '', letter: 'C', below: ['I', 'at home'], bracket: null })),
});
const row: SheetRowLines = { section: 'Verse', bars: [bar('1'), bar('2-7', '57'), bar('1'), bar('4')] };
const content = (rows: readonly SheetRowLines[], remarks: readonly string[] = []): AnalysisSheetContent => ({
  title: 'Gull Street',
  facts: 'In C major',
  rows,
  remarks,
  foot: 'foot',
});
const textsOf = (page: ReturnType<typeof analysisPages>[number]) =>
  page.shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : []));

describe('the analysis on paper', () => {
  test('has a title, and every chord with its lines', () => {
    const [page, ...more] = analysisPages(content([row]), 'A4');
    expect(more).toEqual([]);
    expect(page === undefined ? [] : textsOf(page)).toEqual(
      expect.arrayContaining(['Gull Street', 'In C major', 'Verse', '2-7', '57', 'at home', 'foot']),
    );
  });

  test('takes more pages for a long song, breaks no row, and prints the title once', () => {
    const pages = analysisPages(content(Array.from({ length: 30 }, () => row)), 'Letter');
    expect(pages.length).toBeGreaterThan(1);
    expect(pages.filter((page) => textsOf(page).includes('Gull Street'))).toHaveLength(1);
    expect(pages.flatMap(textsOf).filter((words) => words === '2-7')).toHaveLength(30);
    for (const { shapes, width, height } of pages) {
      for (const shape of shapes)
        if (shape.kind === 'text')
          expect([shape.x >= 0, shape.x <= width, shape.y >= 0, shape.y <= height]).toEqual([true, true, true, true]);
    }
  });

  test('crowded bars stand two a row, long words are broken between words and none is cut', () => {
    const chords = Array.from({ length: 4 }, () => ({
      number: '1',
      raised: '7',
      letter: 'C',
      below: ['secondary dominant, unresolved'],
      bracket: null,
    }));
    const wide: SheetRowLines = { section: 'Verse', bars: [{ chords }, { chords }, { chords }] };
    const [page] = analysisPages(content([wide], ['word '.repeat(80).trim()]), 'A4');
    const texts = page?.shapes.flatMap((shape) => (shape.kind === 'text' ? [shape] : [])) ?? [];
    const share = (595 - 88) / 8;
    const under = texts.filter((shape) => ['secondary', 'dominant,', 'unresolved'].includes(shape.text));
    expect(under).toHaveLength(36);
    for (const { text: words, size } of under) expect(size * words.length * 0.52).toBeLessThanOrEqual(share);
    expect(new Set(texts.filter((shape) => shape.text === '1').map(({ y }) => y)).size).toBe(2);
    expect(texts.filter((shape) => shape.text.startsWith('word')).length).toBeGreaterThan(1);
  });

  test('no letter is smaller than nine points, however many chords a bar has', () => {
    const chord = { number: '♯4', raised: 'maj7♯11', letter: 'F♯maj7♯11/A♯', below: ['♯IVmaj7', 'chromatic'], bracket: null };
    const rows = [1, 2, 3, 4].map((count) => ({ section: null, bars: [{ chords: Array.from({ length: count }, () => chord) }] }));
    const sizes = analysisPages(content(rows), 'A4').flatMap(({ shapes }) =>
      shapes.flatMap((one) => (one.kind === 'text' ? [one.size] : [])),
    );
    expect(Math.min(...sizes)).toBeGreaterThanOrEqual(9);
  });

  test('a bracket that arrives is one line, a broken one many', () => {
    const over = (complete: boolean) => {
      const chords = [{ number: '2-', raised: '7', letter: 'Dm', below: [], bracket: { begins: true, ends: true, complete } }];
      return (
        analysisPages(content([{ section: null, bars: [{ chords }] }]), 'A4')[0]?.shapes.filter(({ kind }) => kind === 'line').length ?? 0
      );
    };
    expect(over(true)).toBe(5);
    expect(over(false)).toBeGreaterThan(7);
  });

  test('nothing to show is a page with its title', () => expect(analysisPages(content([]), 'A4')).toHaveLength(1));
});
