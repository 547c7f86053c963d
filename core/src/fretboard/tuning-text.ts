import { failure, mod, type Result, success } from '../fault.ts';
import { chroma, type Note, plainNote } from '../pitch/note.ts';
import { parseNote, printNote } from '../pitch/note-text.ts';
import { pitchOf } from '../pitch/pitch-text.ts';
import type { Tuning } from './fretboard.ts';

const LOWEST_GUITAR = 40;
const LOWEST_BASS = 28;
const MOST_BASS_STRINGS = 5;
const OCTAVE = 12;

/**
 * Reads open strings, lowest first: `E A D G B E`, `D2 A2 D3 G3 A3 D4`, commas or spaces between.
 * Without octaves the lowest string is taken near a guitar's or, with four or five strings, a
 * bass's, and each following one above the one before. The span points at the note at fault.
 */
export function parseTuning(text: string): Result<Tuning> {
  const tokens = [...text.matchAll(/[^\s,;]+/g)];
  if (tokens.length === 0) return failure({ code: 'empty', wanted: 'tuning' }, 0, 0);
  const tuning: number[] = [];
  for (const { 0: token, index } of tokens) {
    const [, name = '', octave] = /^(.*?)(-?\d)?$/.exec(token) as RegExpExecArray;
    const note = parseNote(name);
    if (!note.ok) return failure(note.fault, index + note.span.start, Math.max(1, note.span.length));
    tuning.push(octave === undefined ? nextString(note.value, tuning.at(-1), tokens.length) : pitchOf(note.value, Number(octave)));
  }
  return success(tuning);
}

/** The open strings with their octaves, middle C being C4: `E2 A2 D3 G3 B3 E4`. */
export function printTuning(tuning: Tuning): string {
  return tuning.map(pitchName).join(' ');
}

/** A MIDI pitch by its plain name and octave, middle C being C4: 58 is `Bb3`. */
export function pitchName(midi: number): string {
  return `${printNote(plainNote(midi))}${Math.floor(midi / OCTAVE) - 1}`;
}

function nextString(note: Note, before: number | undefined, strings: number): number {
  if (before !== undefined) return before + 1 + mod(chroma(note) - before - 1, OCTAVE);
  const usual = strings <= MOST_BASS_STRINGS ? LOWEST_BASS : LOWEST_GUITAR;
  // within half an octave of the usual lowest string, lower rather than higher: D and C are tuned down
  return usual - 7 + mod(chroma(note) - usual + 7, OCTAVE);
}
