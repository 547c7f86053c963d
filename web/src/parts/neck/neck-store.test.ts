import { FAMILIES, findVoicings, parseChord, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { familiesIn, inversionsIn, nextChoice, shapesLeft } from './neck-store.ts';

const { voicings } = findVoicings(requireValue(parseChord('Cmaj7')), STANDARD_GUITAR, { maxFret: 12 });

test('families are counted as the shapes have them, none that is empty', () => {
  const counted = familiesIn(voicings, FAMILIES);
  for (const [family, count] of counted) expect(shapesLeft(voicings, { family, inversion: null })).toHaveLength(count);
  expect(counted.map(([family]) => family)).toEqual(expect.arrayContaining(['open', 'drop-2', 'drop-3', 'shell']));
  expect(counted.map(([family]) => family)).not.toContain('triad');
});

test('family and inversion narrow the shapes together', () => {
  const left = shapesLeft(voicings, { family: 'drop-2', inversion: 2 });
  expect(left.length).toBeGreaterThan(0);
  expect(left.every(({ families, inversion }) => families.includes('drop-2') && inversion === 2)).toBe(true);
  expect(inversionsIn(voicings)).toEqual([0, 1, 2, 3]);
});

test('a key goes round the choices and back to all', () => {
  expect(nextChoice([0, 1], null)).toBe(0);
  expect(nextChoice([0, 1], 0)).toBe(1);
  expect(nextChoice([0, 1], 1)).toBeNull();
  expect(nextChoice([], null)).toBeNull();
});
