import { describe, expect, test } from '@jest/globals';
import { chordNotes } from '../chord/chord.ts';
import { parseChord } from '../chord/chord-text.ts';
import { requireValue } from '../fault.ts';
import { chroma } from '../pitch/note.ts';
import { chordOnNeck, STANDARD_TUNING } from './fretboard.ts';

const chord = (text: string) => requireValue(parseChord(text));
const places = (text: string, first: number, last: number) =>
  chordOnNeck(chord(text), STANDARD_TUNING, first, last).map(({ string, fret, formula }) => `${string}:${fret}:${formula}`);

describe('a chord on the neck', () => {
  test('E minor over the open strings and the first two frets', () => {
    expect(places('Em', 0, 2)).toEqual(['6:0:1', '5:2:5', '4:2:1', '3:0:b3', '2:0:5', '1:0:1']);
  });

  test('a root lies where players know it: F on 6 and 1 at fret 1, on 4 at 3', () => {
    const roots = chordOnNeck(chord('F7'), STANDARD_TUNING, 0, 4).filter((tone) => tone.root);
    expect(roots.map(({ string, fret }) => [string, fret])).toEqual([
      [6, 1],
      [4, 3],
      [1, 1],
    ]);
  });

  test('a foreign bass is shown as bass, a chord tone in the bass is not doubled', () => {
    expect(places('C/Bb', 1, 1)).toEqual(['5:1:bass', '2:1:1']);
    expect(places('C/E', 0, 0)).toEqual(['6:0:3', '3:0:5', '1:0:3']);
  });

  test('nothing sounds behind the capo', () => {
    expect(chordOnNeck(chord('A'), STANDARD_TUNING, 2, 5).every(({ fret }) => fret >= 2)).toBe(true);
  });

  test('every place sounds a tone of the chord, and every tone is found on every string', () => {
    for (const text of ['C', 'Ebm7b5', 'F#7alt', 'Bbmaj13#11']) {
      const wanted = new Set(chordNotes(chord(text)).map(chroma));
      const found = chordOnNeck(chord(text), STANDARD_TUNING, 0, 11);
      expect(found).toHaveLength(wanted.size * STANDARD_TUNING.length);
      for (const tone of found) expect(chroma(tone.note)).toBe(tone.midi % 12);
    }
  });
});
