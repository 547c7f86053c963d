import { describe, expect, test } from '@jest/globals';
import { intervalSemitones } from '../interval/interval.ts';
import { findScale, isMinorScale, SCALE_NAMES, scaleIntervals, scaleSteps } from './scale.ts';
import { SCALE_ALIASES } from './scale-table.ts';

const SEMITONES = { W: 2, H: 1, 'W+H': 3 } as const;

describe('scales', () => {
  test.each([
    ['major', 'W W H W W W H'],
    ['natural minor', 'W H W W H W W'],
    ['harmonic minor', 'W H W W H W+H H'],
    ['melodic minor', 'W H W W W W H'],
    ['harmonic major', 'W W H W H W+H H'],
    ['dorian', 'W H W W W H W'],
    ['phrygian', 'H W W W H W W'],
    ['lydian', 'W W W H W W H'],
    ['mixolydian', 'W W H W W H W'],
    ['locrian', 'H W W H W W W'],
    ['phrygian dominant', 'H W+H H W H W W'],
    ['lydian dominant', 'W W W H W H W'],
    ['altered', 'H W H W W W W'],
    ['lydian augmented', 'W W W W H W H'],
    ['dorian b2', 'H W W W W H W'],
    ['mixolydian b6', 'W W H W H W W'],
    ['locrian #2', 'W H W H W W W'],
  ] as const)('%s: %s', (name, steps) => expect(scaleSteps(name).join(' ')).toBe(steps));

  test.each(SCALE_NAMES)('%s climbs an octave on seven letters', (name) => {
    const steps = scaleSteps(name).map((step) => SEMITONES[step]);
    expect(steps.reduce<number>((sum, step) => sum + step, 0)).toBe(12);
    const semitones = scaleIntervals(name).map(intervalSemitones);
    expect([...semitones].sort((a, b) => a - b)).toEqual(semitones);
  });

  test('modes of one scale are its steps from another note on', () => {
    const turned = (steps: readonly string[], by: number) => [...steps.slice(by), ...steps.slice(0, by)];
    const modes = ['major', 'dorian', 'phrygian', 'lydian', 'mixolydian', 'natural minor', 'locrian'] as const;
    modes.forEach((mode, by) => {
      expect(scaleSteps(mode)).toEqual(turned(scaleSteps('major'), by));
    });
    const melodic = [
      'melodic minor',
      'dorian b2',
      'lydian augmented',
      'lydian dominant',
      'mixolydian b6',
      'locrian #2',
      'altered',
    ] as const;
    melodic.forEach((mode, by) => {
      expect(scaleSteps(mode)).toEqual(turned(scaleSteps('melodic minor'), by));
    });
    expect(scaleSteps('phrygian dominant')).toEqual(turned(scaleSteps('harmonic minor'), 4));
  });

  test('every other name leads to a scale, and nothing else does', () => {
    for (const [alias, name] of Object.entries(SCALE_ALIASES)) expect(findScale(alias)).toBe(name);
    for (const text of ['', 'majorr', 'constructor', '__proto__', 'minor minor']) expect(findScale(text)).toBeUndefined();
  });

  test('a scale is minor by its third', () => {
    expect(SCALE_NAMES.filter((name) => !isMinorScale(name))).toEqual([
      'major',
      'harmonic major',
      'lydian',
      'mixolydian',
      'phrygian dominant',
      'lydian dominant',
      'lydian augmented',
      'mixolydian b6',
    ]);
  });
});
