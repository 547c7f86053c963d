import { describe, expect, test } from '@jest/globals';
import { chordOnTonic } from '../degree/degree.ts';
import { parseNumber } from '../degree/number-text.ts';
import { requireValue } from '../fault.ts';
import { accidentals, chroma } from '../pitch/note.ts';
import { parseNote } from '../pitch/note-text.ts';
import { type Chord, chordNotes, writableChord } from './chord.ts';
import { parseChord, printChord } from './chord-text.ts';

const chord = (text: string) => requireValue(parseChord(text));
const named = (text: string) => printChord(writableChord(chord(text)));
const sound = (one: Chord) => chordNotes(one).map(chroma).join();

describe('a chord is written under a root on which all its tones can be', () => {
  test.each([
    ['Cbdim7', 'Bdim7'],
    ['Fbdim7', 'Edim7'],
    ['Abbdim7', 'Gdim7'],
    ['Ebbdim7', 'Ddim7'],
    ['Fbm7b5', 'Fbm7b5'],
    ['B#aug', 'Caug'],
    ['Cbdim7/Ebb', 'Bdim7/D'],
  ])('%s is %s', (typed, written) => expect(named(typed)).toBe(written));

  test.each(['C', 'Gdim7', 'Cb', 'Cbm', 'Fb', 'G#dim7', 'Dbdim7', 'Abdim7', 'D#aug', 'F#m(maj7)', 'C#maj7'])(
    '%s keeps its name',
    (typed) => {
      const one = chord(typed);
      expect(writableChord(one)).toBe(one);
    },
  );

  const TONICS = ['Cb', 'Gb', 'Db', 'Ab', 'Eb', 'Bb', 'F', 'C', 'G', 'D', 'A', 'E', 'B', 'F#', 'C#'];
  const NUMBERS = ['1', '2', '3', '4', '5', '6', '7'].flatMap((degree) => ['b', '', '#'].map((sign) => `${sign}${degree}`));
  test.each(['o7', '-7b5', '+', 'maj7#5', '-', 'b9', '7#9'])('in every key, %s on any degree', (quality) => {
    for (const tonic of TONICS)
      for (const number of NUMBERS) {
        const read = parseNumber(`${number}${quality}`, 0);
        if (!read.ok) continue;
        const written = writableChord(chordOnTonic(read.value, requireValue(parseNote(tonic))));
        expect(
          chordNotes(written)
            .map((note) => Math.abs(accidentals(note)))
            .filter((signs) => signs > 2),
        ).toEqual([]);
        const degree = { ...read.value, formula: chord('C').formula };
        expect(chroma(written.root)).toBe(chroma(chordOnTonic(degree, requireValue(parseNote(tonic))).root));
        expect(sound(written)).toBe(sound({ ...written, root: written.root + 12 }));
      }
  });
});
