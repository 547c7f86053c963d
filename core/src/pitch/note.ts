import { mod } from '../fault.ts';

/**
 * A spelled pitch class: its place on the line of fifths
 * (… B♭ −2, F −1, C 0, G 1, D 2 … B 5, F♯ 6 …).
 * Spelling is part of the value: F♯ is 6 and G♭ is −6.
 */
export type Note = number;

/** Twelve fifths come back to the same key of a piano: B♯ and C. */
export const OCTAVE_ON_FIFTHS = 12;

/** The most sharps or flats a note may be written with. */
export const MOST_ACCIDENTALS = 2;

/** Letter of the note as steps above C: C 0, D 1 … B 6. */
export function letterStep(note: Note): number {
  return mod(note * 4, 7);
}

/** Sharps (positive) or flats (negative) in front of the letter: F♯ 1, E♭♭ −2. */
export function accidentals(note: Note): number {
  return Math.floor((note + 1) / 7);
}

/** Half steps above C, 0–11, with enharmonic twins alike. */
export function chroma(note: Note): number {
  return mod(note * 7, 12);
}

export function isEnharmonic(a: Note, b: Note): boolean {
  return mod(a - b, 12) === 0;
}

/** Whether the note can be written with double accidentals at most. */
export function isWritable(note: Note): boolean {
  return Math.abs(accidentals(note)) <= MOST_ACCIDENTALS;
}

/**
 * The enharmonic twin with the fewest accidentals; the note itself when it is already the
 * simplest (B♯ gives C, F♯ stays F♯).
 */
export function simplest(note: Note): Note {
  let best = note;
  for (const twin of [note - 24, note - 12, note + 12, note + 24]) {
    if (Math.abs(accidentals(twin)) < Math.abs(accidentals(best))) best = twin;
  }
  return best;
}

/** The note's simplest name where it would be written with a double accidental (F𝄪 gives G, E♯ stays E♯). */
export function withoutDoubles(note: Note): Note {
  return Math.abs(accidentals(note)) > 1 ? simplest(note) : note;
}

/** The simplest name of a MIDI pitch, flat where there is a choice, as tuned-down strings are called. */
export function plainNote(midi: number): Note {
  const note = simplest(mod(midi * 7, 12));
  return accidentals(note) === 1 ? note - 12 : note;
}
