import { expect, test } from '@jest/globals';
import { parseChange, printChange } from './change-text.ts';
import type { Change } from './chart.ts';

test.each([
  ['key: A', 'key: A'],
  ['key:F#m', 'key: F#m'],
  ['Key: Bb dorian', 'key: Bb dorian'],
  ['key: +2', 'key: +2'],
  ['key: −3', 'key: -3'],
  ['3/4', '3/4'],
  [' 12/8 ', '12/8'],
  ['tempo: 132', 'tempo: 132'],
  ['tempo: 92.5', 'tempo: 92.5'],
  ['pickup: 1.5', 'pickup: 1.5'],
])('{%s} is written {%s} and reads back', (text, tidy) => {
  const change = parseChange(text) as Change;
  expect(printChange(change)).toBe(tidy);
  expect(parseChange(tidy)).toEqual(change);
});

test.each([
  ['key: Z', 'note-letter'],
  ['key: +0', 'head-value'],
  ['key: +12', 'head-value'],
  ['key: C sideways', 'scale-unknown'],
  ['tempo: 5', 'head-value'],
  ['tempo: quick', 'head-value'],
  ['pickup: 0', 'head-value'],
  ['pickup: one', 'head-value'],
])('{%s} is refused as %s', (text, code) => expect(parseChange(text)).toMatchObject({ code }));

test.each(['swing', '5/3', '', '0/4', 'key', '4/4 and more'])('{%s} is no change', (text) => expect(parseChange(text)).toBeUndefined());
