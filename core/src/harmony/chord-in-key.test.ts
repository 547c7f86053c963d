import { expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { parseKey } from '../key/key-text.ts';
import { printNote } from '../pitch/note-text.ts';
import { chordInKey } from './chord-in-key.ts';

test.each([
  ['Em7', 'D', 'E=2 G=4 B=6 D=1'],
  ['Eb7', 'Bb', 'Eb=4 G=6 Bb=1 Db=b3(D)'],
  ['E', 'Am', 'E=5 G#=7(G) B=2'],
  ['D/C', 'G', 'C=4 D=5 F#=7 A=2'],
  ['D/F#', 'G', 'D=5 F#=7 A=2'],
  ['Db', 'C', 'Db=b2(D) F=4 Ab=b6(A)'],
])('%s in %s', (chord, key, expected) => {
  const tones = chordInKey(requireValue(parseChord(chord)), requireValue(parseKey(key)));
  const shown = tones.map(
    ({ note, degree, keyHas }) => `${printNote(note)}=${printScaleNumber(degree)}${keyHas === null ? '' : `(${printNote(keyHas)})`}`,
  );
  expect(shown.join(' ')).toBe(expected);
});
