import { describe, expect, test } from '@jest/globals';
import { freeSectionName, within } from './desk-text.ts';

describe('a name for a new section', () => {
  test.each([
    [[], 'Intro'],
    [['Intro'], 'Verse'],
    [['intro', 'VERSE'], 'Chorus'],
    [['Verse', 'Chorus'], 'Intro'],
    [['Intro', 'Verse', 'Chorus', 'Bridge'], 'Outro'],
  ])('beside %j it is %s', (names, free) => expect(freeSectionName(names)).toBe(free));

  test('is never one that is there, however many there are', () => {
    const names: string[] = [];
    for (let count = 0; count < 30; count += 1) names.push(freeSectionName(names));
    expect(new Set(names.map((name) => name.toLowerCase())).size).toBe(30);
  });
});

test.each([
  [-1, 4, 0],
  [0, 4, 0],
  [3, 4, 3],
  [9, 4, 3],
])('bar %i of %i is bar %i', (bar, bars, kept) => expect(within(bar, bars)).toBe(kept));
