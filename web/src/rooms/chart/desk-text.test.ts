import { describe, expect, test } from '@jest/globals';
import { freeSectionName, within } from './desk-text.ts';

describe('the text under the desk', () => {
  test('new sections get names that are free', () => {
    expect(freeSectionName([])).toBe('Intro');
    expect(freeSectionName(['intro', 'Verse'])).toBe('Chorus');
    expect(freeSectionName(['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro'])).toBe('Section 6');
    expect(freeSectionName(['Intro', 'Verse', 'Chorus', 'Bridge', 'Outro', 'Section 7'])).toBe('Section 8');
  });

  test('a bar is kept inside the chart', () => expect([within(-2, 4), within(2, 4), within(9, 4)]).toEqual([0, 2, 3]));
});
