import { describe, expect, test } from '@jest/globals';
import { lineAfter, pageOf, sectionAt, turnedTo } from './stand-walk.ts';

const heading = (name: string) => ({ name }) as never;
/** Intro of a line, verse of two, played twice, chorus of one. */
const LINES = [
  { heading: heading('Intro'), time: null },
  { heading: heading('Verse'), time: 1 },
  { heading: null, time: null },
  { heading: heading('Verse'), time: 2 },
  { heading: null, time: null },
  { heading: heading('Chorus'), time: null },
] as const;

describe('where one is', () => {
  test.each([
    [0, 'Intro'],
    [1, 'Verse'],
    [2, 'Verse'],
    [3, 'Verse 2'],
    [4, 'Verse 2'],
    [5, 'Chorus'],
  ])('line %i is of %s', (line, name) => expect(sectionAt(LINES, line)).toBe(name));

  test('of no lines nothing is said', () => expect(sectionAt([], 0)).toBe(''));
});

describe('to the next section and back', () => {
  test.each([
    [0, 1, 1],
    [1, 1, 3],
    [2, 1, 3],
    [3, 1, 5],
    [5, 1, 5],
    [5, -1, 3],
    [4, -1, 3],
    [3, -1, 1],
    [1, -1, 0],
    [0, -1, 0],
  ] as const)('from line %i by %i: line %i', (from, way, to) => expect(lineAfter(LINES, from, way)).toBe(to));
});

describe('pages', () => {
  const PAGES = [[0, 1], [2], [3, 4], [5]];
  test.each([
    [0, 0],
    [1, 0],
    [2, 1],
    [4, 2],
    [5, 3],
    [9, 0],
  ])('line %i lies on page %i', (line, page) => expect(pageOf(PAGES, line)).toBe(page));

  test.each([
    ['one on', 0, 1, 2],
    ['one back', 2, -1, 2],
    ['past the end', 3, 1, -1],
    ['before the beginning', 0, -1, -1],
    ['two at once, from the second of a pair', 1, 2, 3],
    ['two at once, back', 2, -2, 0],
  ])('%s', (_, page, by, line) => expect(turnedTo(PAGES, page, by)).toBe(line));

  test('without pages there is nowhere to turn', () => {
    expect(pageOf([], 3)).toBe(0);
    expect(turnedTo([], 0, 1)).toBe(-1);
  });
});
