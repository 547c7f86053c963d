import { expect, test } from '@jest/globals';
import { easeWord, smoothnessWord } from './score-words.ts';

test.each([
  [100, 'easy', 'smooth'],
  [75, 'easy', 'smooth'],
  [60, 'fine', 'clear'],
  [30, 'a stretch', 'bumpy'],
  [0, 'hard', 'a jolt'],
])('%i of 100 is %s to play, or %s to go over', (score, ease, join) => {
  expect([easeWord(score), smoothnessWord(score)]).toEqual([ease, join]);
});
