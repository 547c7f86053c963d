import { describe, expect, test } from '@jest/globals';
import { chroma, identify, parseNote, printChord, requireValue } from '../src/index.ts';

/** Notes, lowest first, and the name a player gives them first. Source: the chords' definitions and how bands voice them. */
const NOTE_SETS: readonly (readonly [notes: string, name: string])[] = [
  ['C E G', 'C'],
  ['E G C', 'C/E'],
  ['G C E', 'C/G'],
  ['A C E', 'Am'],
  ['C Eb Gb', 'Cdim'],
  ['C E G#', 'Caug'],
  ['C G', 'C5'],
  ['C F G', 'Csus4'],
  ['C D G', 'Csus2'],
  ['C E G D', 'Cadd9'],
  ['C E G B', 'Cmaj7'],
  ['C E G Bb', 'C7'],
  ['E G Bb C', 'C7/E'],
  ['Bb C E G', 'C7/Bb'],
  ['C Eb G Bb', 'Cm7'],
  ['C Eb Gb Bb', 'Cm7b5'],
  ['C Eb Gb Bbb', 'Cdim7'],
  ['C Eb G B', 'Cm(maj7)'],
  ['C E G# Bb', 'Caug7'],
  ['C E G# B', 'Cmaj7#5'],
  ['C E G A', 'C6'],
  ['A C E G', 'Am7'],
  ['C Eb G A', 'Cm6'],
  ['C E G A D', 'C69'],
  ['C F G Bb', 'C7sus4'],
  ['G C F D', 'G7sus4'],
  ['C E G Bb D', 'C9'],
  ['C E G B D', 'Cmaj9'],
  ['C Eb G Bb D', 'Cm9'],
  ['C E Bb D', 'C9'],
  ['C E Bb A', 'C13'],
  ['G F B E', 'G13'],
  ['C E Bb Eb', 'C7#9'],
  ['C E Bb Db', 'C7b9'],
  ['B E F A', 'G13'],
  ['F B E', 'G13'],
  ['E Bb Eb', 'C7#9'],
  ['E Bb D', 'C9'],
  ['E Bb D A', 'C13'],
  ['F A B E', 'Fmaj7#11'],
  ['C E B', 'Cmaj7'],
  ['C Eb Bb', 'Cm7'],
];

describe('names of notes', () => {
  test('the table is as long as it should be', () => expect(NOTE_SETS.length).toBeGreaterThanOrEqual(40));

  test.each(NOTE_SETS)('%s is %s', (notes, name) => {
    const read = notes.split(' ').map((text) => requireValue(parseNote(text)));
    const candidates = identify(read);
    expect(printChord((candidates[0] as (typeof candidates)[0]).chord)).toBe(name);
    expect(candidates.map(({ chord }) => printChord(chord))).toContain(name);
    for (const { chord, inversion } of candidates) {
      // the lowest note is the root, the bass under the slash, or the root is not among the notes
      const lowest = chroma(read[0] as number);
      expect(inversion === null || lowest === chroma(chord.bass ?? chord.root)).toBe(true);
      expect(printChord(chord)).not.toMatch(/7add7/);
    }
  });
});
