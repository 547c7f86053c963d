import { expect, test } from '@jest/globals';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { DEFAULT_NAMING, letterSchool, type Naming, nameChord, numberSchool } from './naming.ts';

const chord = (symbol: string) => requireValue(parseChord(symbol));

test('a naming has one school for letters and one for numbers, whoever asks', () => {
  expect(letterSchool(DEFAULT_NAMING)).toBe(letterSchool(DEFAULT_NAMING));
  expect(numberSchool(DEFAULT_NAMING)).toBe(numberSchool(DEFAULT_NAMING));
  const copy: Naming = { ...DEFAULT_NAMING };
  expect(letterSchool(copy)).toEqual(letterSchool(DEFAULT_NAMING));
});

test('what one naming has printed is never another’s', () => {
  const triangles: Naming = { ...DEFAULT_NAMING, majorSeventh: '△7' };
  const signs: Naming = { ...DEFAULT_NAMING, halfDiminished: 'ø7' };
  for (let round = 0; round < 3; round += 1) {
    expect(nameChord(chord('Cmaj7'), DEFAULT_NAMING)).toBe('Cmaj7');
    expect(nameChord(chord('Cmaj7'), triangles)).toBe('C△7');
    expect(nameChord(chord('Bm7b5'), DEFAULT_NAMING)).toBe('Bm7♭5');
    expect(nameChord(chord('Bm7b5'), signs)).toBe('Bø7');
  }
});
