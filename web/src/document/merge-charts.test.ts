import { readChart } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { mergeCharts, sectionsToChoose } from './merge-charts.ts';

const MINE = 'title: Weir\nkey: G\n\n[Verse]\n1 4\n~ mine\n\n[Chorus]\n4 5\n\n[Mine]\n1\n';
const THEIRS = 'title: Weir\nkey: A\n\n[Verse]\n1 5\n\n[Chorus]\n4 5\n\n[Theirs]\n6-\n';
const sections = (text: string) => readChart(text).sections.map(({ name }) => name);

describe('two texts become one', () => {
  test('only what differs is asked about', () => {
    expect(sectionsToChoose(MINE, THEIRS)).toEqual(['', 'Verse', 'Mine', 'Theirs']);
    expect(sectionsToChoose(MINE, MINE)).toEqual([]);
  });

  test('without a choice it is mine', () => expect(mergeCharts(MINE, THEIRS, {})).toBe(MINE));

  test('a section of theirs stands in the place of mine, with its words', () => {
    const merged = mergeCharts(MINE, THEIRS, { Verse: 'theirs', '': 'theirs' });
    expect(merged).toContain('key: A');
    expect(merged).toContain('[Verse]\n1 5\n');
    expect(merged).not.toContain('~ mine');
    expect(sections(merged)).toEqual(['Verse', 'Chorus', 'Mine']);
  });

  test('both are kept side by side, under names of their own', () => {
    expect(sections(mergeCharts(MINE, THEIRS, { Verse: 'both', Theirs: 'theirs', Mine: 'theirs' }))).toEqual([
      'Verse',
      'Verse, theirs',
      'Chorus',
      'Theirs',
    ]);
  });
});
