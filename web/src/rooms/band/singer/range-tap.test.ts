import { expect, test } from '@jest/globals';
import { tapped } from './range-tap.ts';

test.each([
  [null, 60, 60, 60],
  [{ low: 60, high: 60 }, 72, 60, 72],
  [{ low: 60, high: 72 }, 55, 55, 72],
  [{ low: 60, high: 72 }, 62, 62, 72],
  [{ low: 60, high: 72 }, 70, 60, 70],
])('tapping in %j on %i gives %i to %i', (range, midi, low, high) => expect(tapped(range, midi)).toEqual({ low, high }));
