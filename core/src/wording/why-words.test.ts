import { expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { parseKey } from '../key/key-text.ts';
import { whyWords } from './why-words.ts';

test.each([
  ['Em7', 'D', ['Em7 is the 2–⁷: every note of it is in D major.', 'It takes the scale numbers 2–4–6–1.']],
  ['Eb7', 'Bb', ['E♭7 is the 4⁷ of B♭ major, with one note from outside the key.', 'D♭ stands where the key has D.']],
  ['Fm', 'C', ['Fm is the 4– of C major, with one note from outside the key.', 'A♭ stands where the key has A.']],
  [
    'Db',
    'C',
    ['D♭ is the ♭2 of C major, with two notes from outside the key.', 'D♭ stands where the key has D; A♭ stands where the key has A.'],
  ],
])('%s in %s', (chord, key, sentences) => {
  expect(whyWords(requireValue(parseChord(chord)), requireValue(parseKey(key)))).toEqual(sentences);
});
