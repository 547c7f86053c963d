import { GLOSSARY } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { findTerms } from './glossary-view.ts';

const found = (text: string) => findTerms(GLOSSARY, text).map(({ term }) => term);

test.each([
  ['modal interchange', 'borrowed chord'],
  ['m7♭5', 'half-diminished'],
  ['DIM', 'diminished'],
  ['quartal', 'fourth chord'],
  ['triad', 'triad'],
])('%s leads to %s', (text, term) => expect(found(text)[0]).toBe(term));

test('nothing typed shows everything', () => expect(found('')).toHaveLength(GLOSSARY.length));
test('nonsense finds nothing', () => expect(found('zzzz')).toEqual([]));
