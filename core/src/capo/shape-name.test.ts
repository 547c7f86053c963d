import { expect, test } from '@jest/globals';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { shapeOverCapo } from './shape-name.ts';

test.each([
  ['D', 2, 'C'],
  ['Eb', 1, 'D'],
  ['F#m7', 2, 'Em7'],
  ['Bb/D', 3, 'G/B'],
  ['G#m', 4, 'Em'],
  ['A', 1, 'Ab'],
  ['Bm', 3, 'G#m'],
  ['C', 0, 'C'],
  ['Dbmaj7', 12, 'Dbmaj7'],
])('%s over a capo at %i is the %s shape', (sounding, capo, shape) => {
  expect(printChord(shapeOverCapo(requireValue(parseChord(sounding)), capo))).toBe(shape);
});
