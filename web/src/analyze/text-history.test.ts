import { expect, test } from '@jest/globals';
import { doneAgain, NO_HISTORY, takenBack, written } from './text-history.ts';

test('what was written is taken back and done again, step by step', () => {
  const history = written(written(NO_HISTORY, 'C'), 'C F');
  const once = takenBack(history, 'C F G');
  expect(once?.text).toBe('C F');
  const twice = takenBack(once?.history ?? NO_HISTORY, once?.text ?? '');
  expect(twice?.text).toBe('C');
  expect(takenBack(twice?.history ?? NO_HISTORY, 'C')).toBeNull();
  const again = doneAgain(twice?.history ?? NO_HISTORY, 'C');
  expect(again?.text).toBe('C F');
  expect(doneAgain(again?.history ?? NO_HISTORY, 'C F')?.text).toBe('C F G');
});

test('writing on from an earlier text forgets what came after it', () => {
  const back = takenBack(written(NO_HISTORY, 'C'), 'C F');
  expect(doneAgain(written(back?.history ?? NO_HISTORY, 'C'), 'C G')).toBeNull();
});
