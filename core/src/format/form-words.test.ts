import { expect, test } from '@jest/globals';
import { formWord } from './form-words.ts';

test.each([
  ['Fine', 'fine'],
  [' fine ', 'fine'],
  ['To Coda', 'to-coda'],
  ['to coda 2', 'to-coda'],
  ['D.C.', 'start either'],
  ['DC', 'start either'],
  ['D. C. al Fine', 'start fine'],
  ['D.C. al Coda', 'start coda'],
  ['da capo al fine', 'start fine'],
  ['D.S. al Coda', 'segno coda'],
  ['D.S.', 'segno either'],
  ['dal segno', 'segno either'],
  ['then D.S. al Fine', 'segno fine'],
])('“%s” says how to go on: %s', (words, expected) => {
  const mark = formWord(words);
  expect(typeof mark === 'string' || mark === null ? mark : `${mark.to} ${mark.until}`).toBe(expected);
});

test.each(['to the D section', 'D sus', 'finer than before', 'kids sing', 'D, C, then G', 'coda is soft', 'add congas', ''])(
  '“%s” says nothing of the kind',
  (words) => expect(formWord(words)).toBeNull(),
);
