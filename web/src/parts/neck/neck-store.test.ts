import { findVoicings, parseChord, requireValue, STANDARD_GUITAR } from '@aurora/core';
import { expect, test } from '@jest/globals';
import { groupsIn, inversionsIn, nextChoice, shapesLeft } from './neck-store.ts';

const { voicings } = findVoicings(requireValue(parseChord('Cmaj7')), STANDARD_GUITAR, { maxFret: 12 });

test('families are counted as the shapes have them, none that is empty', () => {
  const counted = groupsIn(voicings);
  for (const [family, count] of counted) expect(shapesLeft(voicings, { family, inversion: null })).toHaveLength(count);
  expect(counted.map(([family]) => family)).toEqual(expect.arrayContaining(['open', 'drop-2', 'drop-3', 'shell']));
  expect(counted.map(([family]) => family)).not.toContain('triad');
});

test('what is asked for first stands before the families: a barre is on either string, up the neck nothing rings or lies near the nut', () => {
  const counted = new Map(groupsIn(voicings));
  expect([...counted.keys()].slice(0, 3)).toEqual(['open', 'barre', 'up']);
  expect(counted.get('barre')).toBe((counted.get('barre-6') ?? 0) + (counted.get('barre-5') ?? 0));
  const up = shapesLeft(voicings, { family: 'up', inversion: null });
  expect(up.length).toBeGreaterThan(0);
  for (const { frets } of up) expect(Math.min(...frets.map((fret) => fret ?? 12))).toBeGreaterThan(4);
  // with a capo the same frets lie nearer to it
  expect(shapesLeft(voicings, { family: 'up', inversion: null }, 3).length).toBeLessThan(up.length);
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
