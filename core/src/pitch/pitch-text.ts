import { failure, type Result, success } from '../fault.ts';
import { accidentals, chroma, type Note } from './note.ts';
import { parseNote } from './note-text.ts';

const OCTAVE = 12;

/** The MIDI number of a note in an octave, middle C being C4 = 60. */
export function pitchOf(note: Note, octave: number): number {
  return (octave + 1) * OCTAVE + chroma(note - 7 * accidentals(note)) + accidentals(note);
}

/** The octave a pitch is in under its name: C♭ and B♯ are counted with the letter they have. */
export function octaveOf(midi: number, note: Note): number {
  return Math.floor((midi - accidentals(note)) / OCTAVE) - 1;
}

/** Reads a note with its octave, `F#3`, `Bb4`, as a MIDI number. */
export function parsePitch(text: string): Result<number> {
  const [, name = '', octave] = /^\s*(.*?)(-?\d)?\s*$/.exec(text) as RegExpExecArray;
  const note = parseNote(name);
  if (!note.ok) return note;
  if (octave === undefined) return failure({ code: 'pitch-octave', text: text.trim() }, 0, text.length);
  return success(pitchOf(note.value, Number(octave)));
}

/** What lies between two pitches, both included, as MIDI numbers. */
export interface PitchRange {
  readonly low: number;
  readonly high: number;
}

/** Reads a range, its lowest note first: `B3 D5`. */
export function parseRange(text: string): Result<PitchRange> {
  const words = text.trim().split(/[\s–-]+(?=[A-Ga-g])/);
  const [low = '', high = ''] = words;
  const [from, to] = [parsePitch(low), parsePitch(high)];
  if (words.length !== 2 || !from.ok || !to.ok) return failure({ code: 'range-notes', text: text.trim() }, 0, text.length);
  if (from.value > to.value) return failure({ code: 'range-upside-down', low, high }, 0, text.length);
  return success({ low: from.value, high: to.value });
}
