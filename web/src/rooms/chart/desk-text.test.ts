import { readChart } from '@aurora/core';
import { describe, expect, test } from '@jest/globals';
import { choose } from './bar-selection.ts';
import { barText, freeSectionName, within, withPasted } from './desk-text.ts';

describe('the text under the desk', () => {
  test.each([
    ['key: G\n\n1 (2-7 57) 4', 1, '2-7 57'],
    ['1 >4 5!', 1, '>4'],
    ['1 % 4', 1, '%'],
    ['| 1 5 | 4 |', 0, '1 5'],
    ['1 4', 7, ''],
  ])('%j, bar %i, is typed as %j', (text, bar, typed) => expect(barText(text, bar)).toBe(typed));

  test('pasted lines land behind the chosen bars, or at the end', () => {
    expect(withPasted('[A]\n1 4\n[B]\n5', choose(1), '6- 5\n~ la')).toBe('[A]\n1 4\n6- 5\n~ la\n[B]\n5');
    expect(withPasted('[A]\n1 4\n\n', null, '5 1')).toBe('[A]\n1 4\n5 1\n');
    expect(withPasted('', null, '5 1')).toBe('5 1\n');
    expect(readChart(withPasted('1 4', choose(0), 'G C')).bars).toHaveLength(4);
  });

  test('new sections get names that are free', () => {
    expect(freeSectionName([])).toBe('Intro');
    expect(freeSectionName(['intro', 'Verse'])).toBe('Chorus');
    expect(freeSectionName(['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro'])).toBe('Section 6');
    expect(freeSectionName(['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro', 'Section 7'])).toBe('Section 8');
  });

  test('a bar is kept inside the chart', () => expect([within(-2, 4), within(2, 4), within(9, 4)]).toEqual([0, 2, 3]));
});
