import { expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { scaleOnString } from './one-string.ts';

const STRING_6 = 40;
const STRING_5 = 45;
const frets = (key: string, open: number, last: number) => scaleOnString(requireValue(parseKey(key)), open, last).map(({ fret }) => fret);

test.each([
  ['G', STRING_6, 15, [3, 5, 7, 8, 10, 12, 14, 15]],
  ['C', STRING_5, 15, [3, 5, 7, 8, 10, 12, 14, 15]],
  ['A', STRING_5, 15, [0, 2, 4, 5, 7, 9, 11, 12]],
  ['C', STRING_6, 15, [8, 10, 12, 13, 15, 5, 7, 8]],
  ['E harmonic minor', STRING_6, 12, [0, 2, 3, 5, 7, 8, 11, 12]],
])('%s on the string tuned to %i, up to fret %i', (key, open, last, expected) => expect(frets(key, open, last)).toEqual(expected));

test('every fret sounds its note and none lies past the last', () => {
  for (let tonic = -6; tonic <= 6; tonic += 1) {
    for (const { note, fret } of scaleOnString({ tonic, scale: 'melodic minor' }, STRING_5, 14)) {
      expect((STRING_5 + fret) % 12).toBe(chroma(note));
      expect(fret).toBeLessThanOrEqual(14);
    }
  }
});
