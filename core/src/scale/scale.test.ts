import { describe, expect, test } from '@jest/globals';
import { intervalSemitones } from '../interval/interval.ts';
import { chordScaleIntervals, findScale, isMinorScale, SCALE_NAMES, scaleIntervals, scaleSteps } from './scale.ts';
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
    ['locrian #6', 'H W W H W+H H W'],
    ['ionian #5', 'W W H W+H H W H'],
    ['dorian #4', 'W H W+H H W H W'],
    ['lydian #2', 'W+H H W H W W H'],
    ['altered bb7', 'H W H W W H W+H'],
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
    const harmonic = ['harmonic minor', 'locrian #6', 'ionian #5', 'dorian #4', 'phrygian dominant', 'lydian #2', 'altered bb7'] as const;
    harmonic.forEach((mode, by) => {
      expect(scaleSteps(mode)).toEqual(turned(scaleSteps('harmonic minor'), by));
    });
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
      'ionian #5',
      'lydian #2',
    ]);
  });

  test.each([
    ['diminished', [0, 2, 3, 5, 6, 8, 9, 11]],
    ['half-whole diminished', [0, 1, 3, 4, 6, 7, 9, 10]],
    ['whole tone', [0, 2, 4, 6, 8, 10]],
    ['blues', [0, 3, 5, 6, 7, 10]],
    ['major blues', [0, 2, 3, 4, 7, 9]],
    ['altered bb7', [0, 1, 3, 4, 6, 8, 9]],
  ] as const)('%s in half steps', (name, semitones) => {
    expect(chordScaleIntervals(name).map(intervalSemitones)).toEqual(semitones);
  });
});
