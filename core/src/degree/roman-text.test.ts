import { expect, test } from '@jest/globals';
import { requireValue } from '../fault.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { parseKey } from '../key/key-text.ts';
import { printRoman } from './roman-text.ts';

test.each([
  ['C', 'triad', 'I ii iii IV V vi vii°'],
  ['C', 'seventh', 'Imaj7 ii7 iii7 IVmaj7 V7 vi7 viiø7'],
  ['Am', 'triad', 'i ii° bIII iv v bVI bVII'],
  ['A harmonic minor', 'triad', 'i ii° bIII+ iv V bVI vii°'],
  ['A harmonic minor', 'seventh', 'imaj7 iiø7 bIII+maj7 iv7 V7 bVImaj7 vii°7'],
  ['D dorian', 'triad', 'i ii bIII IV v vi° bVII'],
  ['G mixolydian', 'seventh', 'I7 ii7 iiiø7 IVmaj7 v7 vi7 bVIImaj7'],
] as const)('%s, %s: %s', (key, depth, romans) => {
  const chords = harmonize(requireValue(parseKey(key)), depth);
  expect(chords.map(({ number }) => printRoman(number)).join(' ')).toBe(romans);
});
