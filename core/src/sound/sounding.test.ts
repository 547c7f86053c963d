import { describe, expect, test } from '@jest/globals';
import { chordNotes } from '../chord/chord.ts';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { harmonize } from '../harmony/harmonize.ts';
import { parseKey } from '../key/key-text.ts';
import { chroma } from '../pitch/note.ts';
import { chordMidi, climbingMidi, scaleMidi } from './sounding.ts';

const midi = (text: string) => chordMidi(requireValue(parseChord(text)));

describe('pitches to play', () => {
  test.each([
    ['E', [40, 44, 47]],
    ['C', [48, 52, 55]],
    ['Eb', [51, 55, 58]],
    ['Am7', [45, 48, 52, 55]],
    ['D/F#', [42, 50, 54, 57]],
    ['C/Bb', [46, 48, 52, 55]],
    ['G13', [43, 47, 50, 53, 57, 64]],
  ])('%s', (text, pitches) => expect(midi(text)).toEqual(pitches));

  test('a chord climbs and holds exactly its notes', () => {
    for (const text of ['F#m7b5', 'B7alt', 'Dbmaj13#11', 'Csus2', 'Ab69']) {
      const pitches = midi(text);
      expect([...pitches].sort((a, b) => a - b)).toEqual(pitches);
      const notes = chordNotes(requireValue(parseChord(text))).map(chroma);
      expect(pitches.map((pitch) => pitch % 12)).toEqual(notes);
    }
  });

  test('a scale climbs its steps to the octave', () => {
    const pitches = scaleMidi(requireValue(parseKey('A harmonic minor')));
    const steps = pitches.slice(1).map((pitch, index) => pitch - (pitches[index] as number));
    expect(steps).toEqual([2, 1, 2, 2, 1, 3, 1]);
    expect((pitches[0] as number) % 12).toBe(9);
  });
});

test('the chords of any key climb from the 1 to the 1 an octave higher', () => {
  for (const name of ['C', 'Eb', 'E', 'F#', 'Bb', 'A harmonic minor', 'D dorian']) {
    const chords = harmonize(requireValue(parseKey(name)), 'seventh').map(({ chord }) => chord);
    const climbed = climbingMidi(chords);
    const lowest = climbed.map(([low]) => low as number);
    expect(climbed).toHaveLength(8);
    expect(lowest).toEqual([...lowest].sort((a, b) => a - b));
    expect(lowest[7]).toBe((lowest[0] as number) + 12);
  }
});
