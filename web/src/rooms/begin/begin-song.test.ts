import { DEFAULT_NAMING, parseKey, requireValue, symbolText } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { beginChords } from './begin-song.ts';

test.each([
  ['G', ['G', 'Am', 'Bm', 'C', 'D', 'Em', 'F♯dim']],
  ['Eb', ['E♭', 'Fm', 'Gm', 'A♭', 'B♭', 'Cm', 'Ddim']],
])('the seven chords that can be pressed, in %s', (name, letters) => {
  const key = requireValue(parseKey(name));
  const chords = beginChords(DEFAULT_NAMING);
  expect(chords.map(({ text }) => text)).toEqual(['1', '2-', '3-', '4', '5', '6-', '7o']);
  expect(chords.map(({ letterIn }) => symbolText(letterIn(key)))).toEqual(letters);
});
