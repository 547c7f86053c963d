import { describe, expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { DEFAULT_NAMING } from '../naming/naming.ts';
import type { Drawing } from '../notation/drawing.ts';
import { chartPages } from './chart-pages.ts';
import { chartPart, type PartLook } from './chart-part.ts';

const LOOK: PartLook = {
  naming: DEFAULT_NAMING,
  sounding: 1,
  written: 1,
  show: 'both',
  kind: 'chart',
  capo: 0,
  tonight: '',
  words: true,
  cuesFor: null,
  foot: 'Aurora Ridge',
};
const pagesOf = (text: string, look: Partial<PartLook> = {}) => chartPages(chartPart(readChart(text), { ...LOOK, ...look }), 'A4');
const wordsOn = (pages: readonly Drawing[]) =>
  pages.flatMap(({ shapes }) => shapes.flatMap((shape) => (shape.kind === 'text' ? [shape.text] : [])));

const FULL =
  'title: Weir\nkey: G\nform: A, B\ntempo: 96\n\n{pickup: 1} 5\n[A] x2 -- softly\n{segno} |: 1 (2-7.. 5/7. >6-.) <4> 5! 1.[ % %% ] 2.[ 1? NC ] :| {to coda}\n~ la la la\n[B]\n{3/4} {key: +2} 1 "watch" @bass "up" 4 {ds al coda}\n{coda} 1 {fine}';

/** Words that leave their page; letters are about half as wide as they are high. */
function outside({ shapes, width, height }: Drawing): readonly string[] {
  return shapes.flatMap((shape) => {
    if (shape.kind !== 'text') return [];
    const length = shape.text.length * shape.size * 0.5;
    const left = shape.anchor === 'start' ? shape.x : shape.x - length;
    const over = left < 0 || shape.y > height || (shape.size >= 20 && left + length > width);
    return over ? [shape.text] : [];
  });
}

describe('a chart on paper', () => {
  test('has everything that is written', () => {
    const words = wordsOn(pagesOf(FULL));
    for (const one of [
      'Weir',
      'A',
      '×2  softly',
      'la la la',
      '1.',
      '2.',
      'To Coda',
      'D.S. al Coda',
      'Fine',
      'watch',
      'bass: up',
      'pickup',
      'N.C.',
      '/7',
      'F♯m',
    ])
      expect(words.some((word) => word.includes(one === 'F♯m' ? 'Em' : one))).toBe(true);
    expect(words.find((word) => word.startsWith('G  ·'))).toBe('G  ·  4/4  ·  96 bpm  ·  Form: A, B');
    expect(words).toContain('key A · 3/4');
  });

  test.each<[string, Partial<PartLook>]>([
    ['numbers and letters', {}],
    ['numbers', { show: 'numbers' }],
    ['letters', { show: 'letters' }],
    ['Roman numerals', { show: 'roman' }],
    ['an alto saxophone', { written: 4 }],
    ['a capo', { written: 5, capo: 3 }],
    ['drums', { kind: 'form' }],
    ['bass', { kind: 'bass' }],
  ])('no letter is smaller than nine points: %s', (_, look) => {
    const crowded = '[Bridge]\n(b7maj7#11/3 #4-7b5 5) (1 4 5 1) (b6maj7 b3/b7 57b9 1) (2-7 57/7 1)\n';
    for (const text of [FULL, crowded, `${FULL}\n${crowded.repeat(9)}`, '1 4 5 1\n'.repeat(90)])
      for (const { shapes } of pagesOf(text, look))
        for (const shape of shapes) if (shape.kind === 'text') expect([shape.text, shape.size >= 9]).toEqual([shape.text, true]);
  });

  test('keeps inside the page, whatever the bars hold', () => {
    const crowded = `title: ${'Long '.repeat(6)}\nkey: F#\n\n[${'Section '.repeat(3)}]\n(#4-7b5/b7 b7maj7#11/3 5 1) (1 4 5 1) 2-7 57\n`;
    for (const text of [FULL, crowded, `${'1 4 5 1\n'.repeat(60)}`, 'NC', '']) {
      for (const page of pagesOf(text)) expect(outside(page)).toEqual([]);
    }
  });

  test.each([
    [8, 1],
    [32, 1],
    [96, 2],
    [400, 2],
  ])('%i bars take at most %i pages', (bars, most) => {
    const text = Array.from({ length: bars / 4 }, (_, row) => `${row % 4 === 0 ? `[S${row}]\n` : ''}1 4 5 1`).join('\n');
    const pages = pagesOf(text, { show: 'numbers' });
    expect(pages.length).toBeLessThanOrEqual(most);
    const numbers = wordsOn(pages).filter((word) => /^[145]$/.test(word));
    expect(numbers).toHaveLength(bars);
  });

  test('a page is turned between sections where that can be', () => {
    const section = (name: string, rows: number) => `[${name}]\n${'1 4 5 1\n'.repeat(rows)}`;
    const [first, second] = pagesOf(`${section('A', 12)}${section('B', 12)}${section('C', 8)}`, { show: 'numbers' });
    const names = (page: Drawing | undefined) => wordsOn(page === undefined ? [] : [page]).filter((word) => /^[ABC]$/.test(word));
    expect([...names(first), '|', ...names(second)].join(' ')).toMatch(/^A( B)? \|( B)? C$|^A B C \|$/);
  });

  test('letters, Roman numerals, and what a capo player reads', () => {
    expect(wordsOn(pagesOf('key: G\n\n1 6-', { show: 'letters' }))).toEqual(expect.arrayContaining(['G', 'E']));
    expect(wordsOn(pagesOf('key: G\n\n2-7', { show: 'roman' }))).toEqual(expect.arrayContaining(['ii', '7']));
    const capo = wordsOn(pagesOf('key: G\n\n1', { sounding: 1, written: 3 }));
    expect(capo).toContain('A = G');
    expect(capo.find((word) => word.includes('written in'))).toContain('G, written in A');
    expect(wordsOn(pagesOf(FULL, { cuesFor: ['drums'], words: false })).filter((word) => /la la|bass/.test(word))).toEqual([]);
  });
});
