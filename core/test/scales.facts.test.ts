import { describe, expect, test } from '@jest/globals';
import { formulaTones } from '../src/chord/formula.ts';
import { DEPTHS, harmonize, printChord, SCALE_NAMES, type ScaleName } from '../src/index.ts';

/** Half steps of each scale, from the textbook definition of its steps. */
const SEMITONES: Readonly<Record<ScaleName, readonly number[]>> = {
  major: [0, 2, 4, 5, 7, 9, 11],
  'natural minor': [0, 2, 3, 5, 7, 8, 10],
  'harmonic minor': [0, 2, 3, 5, 7, 8, 11],
  'melodic minor': [0, 2, 3, 5, 7, 9, 11],
  'harmonic major': [0, 2, 4, 5, 7, 8, 11],
  dorian: [0, 2, 3, 5, 7, 9, 10],
  phrygian: [0, 1, 3, 5, 7, 8, 10],
  lydian: [0, 2, 4, 6, 7, 9, 11],
  mixolydian: [0, 2, 4, 5, 7, 9, 10],
  locrian: [0, 1, 3, 5, 6, 8, 10],
  'phrygian dominant': [0, 1, 4, 5, 7, 8, 10],
  'lydian dominant': [0, 2, 4, 6, 7, 9, 10],
  altered: [0, 1, 3, 4, 6, 8, 10],
  'lydian augmented': [0, 2, 4, 6, 8, 9, 11],
  'dorian b2': [0, 1, 3, 5, 7, 9, 10],
  'mixolydian b6': [0, 2, 4, 5, 7, 8, 10],
  'locrian #2': [0, 2, 3, 5, 6, 8, 10],
  'locrian #6': [0, 1, 3, 5, 6, 9, 10],
  'ionian #5': [0, 2, 4, 5, 8, 9, 11],
  'dorian #4': [0, 2, 3, 6, 7, 9, 10],
  'lydian #2': [0, 3, 4, 6, 7, 9, 11],
  'altered bb7': [0, 1, 3, 4, 6, 8, 9],
};

/** The seventh chord on each degree, as teaching tables give them. */
const SEVENTHS: Readonly<Record<ScaleName, string>> = {
  major: 'maj7 m7 m7 maj7 7 m7 m7b5',
  'natural minor': 'm7 m7b5 maj7 m7 m7 maj7 7',
  'harmonic minor': 'm(maj7) m7b5 maj7#5 m7 7 maj7 dim7',
  'melodic minor': 'm(maj7) m7 maj7#5 7 7 m7b5 m7b5',
  'harmonic major': 'maj7 m7b5 m7 m(maj7) 7 maj7#5 dim7',
  dorian: 'm7 m7 maj7 7 m7 m7b5 maj7',
  phrygian: 'm7 maj7 7 m7 m7b5 maj7 m7',
  lydian: 'maj7 7 m7 m7b5 maj7 m7 m7',
  mixolydian: '7 m7 m7b5 maj7 m7 m7 maj7',
  locrian: 'm7b5 maj7 m7 m7 maj7 7 m7',
  'phrygian dominant': '7 maj7 dim7 m(maj7) m7b5 maj7#5 m7',
  'lydian dominant': '7 7 m7b5 m7b5 m(maj7) m7 maj7#5',
  altered: 'm7b5 m(maj7) m7 maj7#5 7 7 m7b5',
  'lydian augmented': 'maj7#5 7 7 m7b5 m7b5 m(maj7) m7',
  'dorian b2': 'm7 maj7#5 7 7 m7b5 m7b5 m(maj7)',
  'mixolydian b6': '7 m7b5 m7b5 m(maj7) m7 maj7#5 7',
  'locrian #2': 'm7b5 m7b5 m(maj7) m7 maj7#5 7 7',
  'locrian #6': 'm7b5 maj7#5 m7 7 maj7 dim7 m(maj7)',
  'ionian #5': 'maj7#5 m7 7 maj7 dim7 m(maj7) m7b5',
  'dorian #4': 'm7 7 maj7 dim7 m(maj7) m7b5 maj7#5',
  'lydian #2': 'maj7 dim7 m(maj7) m7b5 maj7#5 m7 7',
  'altered bb7': 'dim7 m(maj7) m7b5 maj7#5 m7 7 maj7',
};

describe.each(SCALE_NAMES)('%s', (scale) => {
  test('has the seventh chords of the teaching tables', () => {
    const qualities = harmonize({ tonic: 0, scale }, 'seventh').map(({ chord }) => printChord({ ...chord, root: 0 }).slice(1));
    expect(qualities.join(' ')).toBe(SEVENTHS[scale]);
  });

  test.each(DEPTHS)('%s: counted in half steps, every chord is every other note of the scale', (depth) => {
    const semitones = SEMITONES[scale];
    harmonize({ tonic: 0, scale }, depth).forEach(({ chord, tones }, degree) => {
      const counted = tones.map((_, third) => {
        const place = degree + 2 * third;
        return (semitones[place % 7] as number) + 12 * Math.floor(place / 7) - (semitones[degree] as number);
      });
      // a second way: the formula's own half steps, tones past the octave an octave up
      const spelled = formulaTones(chord.formula).map(
        ({ interval, number }) => ((((interval * 7) % 12) + 12) % 12) + (number > 7 ? 12 : 0),
      );
      expect(spelled).toEqual(counted);
    });
  });
});
