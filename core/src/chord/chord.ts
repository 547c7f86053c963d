import type { Note } from '../pitch/note.ts';
import { type Formula, formulaTones } from './formula.ts';

/** A chord in letters: its root, its formula, and a bass when that is not the root. */
export interface Chord {
  readonly root: Note;
  readonly formula: Formula;
  readonly bass: Note | null;
}

/** The chord's notes from the root up, in spelling order; a foreign bass is not among them. */
export function chordNotes(chord: Chord): readonly Note[] {
  return formulaTones(chord.formula).map((tone) => chord.root + tone.interval);
}

/** The chord moved by a distance on the line of fifths; its quality stays. */
export function transposeChord(chord: Chord, fifths: number): Chord {
  return { root: chord.root + fifths, formula: chord.formula, bass: chord.bass === null ? null : chord.bass + fifths };
}
