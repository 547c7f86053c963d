import { expect, test } from '@jest/globals';
import { parseNumberOrLetters } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { numberInWords, setText } from './in-words.ts';

test.each([
  ['1', '1'],
  ['1-', '1–'],
  ['57', '5⁷'],
  ['2-7', '2–⁷'],
  ['b7maj7', '♭7ᵐᵃʲ⁷'],
  ['7-7b5', '7–⁷♭⁵'],
  ['57b9', '5⁷♭⁹'],
  ['#1o7', '♯1°⁷'],
  ['5sus4', '5ˢᵘˢ⁴'],
  ['5/7', '5/7'],
  ['4/b6', '4/♭6'],
])('%s is %s in a sentence', (typed, words) => expect(numberInWords(requireValue(parseNumberOrLetters(typed, 0)))).toBe(words));

test('a sentence is cut where letters are raised, and says the same', () => {
  expect(setText('The 7–⁷♭⁵ leads to 1ᵐᵃʲ⁷.')).toEqual([
    { text: 'The 7–', raised: false },
    { text: '7♭5', raised: true },
    { text: ' leads to 1', raised: false },
    { text: 'maj7', raised: true },
    { text: '.', raised: false },
  ]);
  expect(setText('E♭ is home.')).toEqual([{ text: 'E♭ is home.', raised: false }]);
  expect(setText('')).toEqual([]);
});
