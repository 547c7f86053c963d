import { expect, test } from '@jest/globals';
import { readChart } from '../chart/reading.ts';
import { withOwnQualities } from './own-chords.ts';

test.each([
  ['key: G', '1 2 3 4 5 6 7', '1 2- 3- 4 5 6- 7o'],
  ['key: G', '(2.. 5.)', '(2-.. 5.)'],
  ['key: G', '>2 <6>! 3?', '>2- <6->! 3-?'],
  // what says more than a degree is left alone
  ['key: G', '27 2M b2 2/4 NC % Am', '27 2M b2 2/4 NC % Am'],
  ['key: Em', '1 4 5 7', '1- 4- 5- 7'],
  ['key: E harmonic minor', '1 4 5 2', '1- 4- 5 2o'],
  ['key: Em\nnumbering: relative', '6 2 3 1', '6- 2- 3- 1'],
  ['key: D dorian', '1 2 4 5', '1- 2- 4 5-'],
])('%s: %j is %j', (head, typed, own) => expect(withOwnQualities(typed, readChart(`${head}\n\n1`), 0)).toBe(own));

test('in the key in force there', () => {
  const chart = readChart('key: C\n\n1 {key: Am} 1-');
  expect([0, 1, 2].map((bar) => withOwnQualities('1', chart, bar))).toEqual(['1', '1-', '1-']);
});
