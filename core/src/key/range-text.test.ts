import { expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseRange } from '../pitch/pitch-text.ts';
import { parseKey } from './key-text.ts';
import { printRange } from './range-text.ts';

const key = (text: string) => requireValue(parseKey(text));

test.each([
  [58, 73, 'D', 'Bb3 C#5'],
  [58, 73, 'Ab', 'Bb3 Db5'],
  [59, 71, 'Gb', 'Cb4 Cb5'],
  [60, 72, 'C#', 'B#3 B#4'],
  [56, 68, 'Am', 'Ab3 Ab4'],
])('%i to %i in %s is %s', (low, high, name, text) => expect(printRange({ low, high }, key(name))).toBe(text));

test('what is printed is read back, in every key', () => {
  for (const tonic of ['C', 'Db', 'C#', 'D', 'Eb', 'E', 'F', 'F#', 'Gb', 'G', 'Ab', 'A', 'Bb', 'B', 'Cb', 'G#m', 'Ebm'])
    for (let low = 24; low < 84; low += 1) {
      const range = { low, high: low + 13 };
      expect(requireValue(parseRange(printRange(range, key(tonic))))).toEqual(range);
    }
});
