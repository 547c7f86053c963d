import { expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { parseNumberOrLetters } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { letterView, numberView, symbolText } from './symbol-view.ts';

test.each([
  ['1', '1', '1'],
  ['6-', '6–', '6 minor'],
  ['b77', '♭77', 'flat 7 7'],
  ['2-7', '2–7', '2 minor 7'],
  ['7-7b5', '7–7♭5', '7 minor 7 flat 5'],
  ['#1o7', '♯1°7', 'sharp 1 diminished 7'],
  ['4maj7', '4maj7', '4 major 7'],
  ['5/7', '5/7', '5 over 7'],
  ['1/b3', '1/♭3', '1 over flat 3'],
])('number %s is set %s and said “%s”', (text, set, said) => {
  const view = numberView(requireValue(parseNumberOrLetters(text, 0)));
  expect(symbolText(view)).toBe(set);
  expect(view.label).toBe(said);
});

test.each([
  ['Ebm7', 'E♭m7', 'E flat minor 7'],
  ['F#m7b5', 'F♯m7♭5', 'F sharp minor 7 flat 5'],
  ['Bbmaj7', 'B♭maj7', 'B flat major 7'],
  ['Cm(maj7)', 'Cm(maj7)', 'C minor major 7'],
  ['D/F#', 'D/F♯', 'D over F sharp'],
  ['Caug', 'Caug', 'C augmented'],
])('letters %s are set %s and said “%s”', (text, set, said) => {
  const view = letterView(requireValue(parseChord(text)));
  expect(symbolText(view)).toBe(set);
  expect(view.label).toBe(said);
});
