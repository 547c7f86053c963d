import { isWritable, type Note } from '../pitch/note.ts';
import { type Formula, formulaTones, withoutSeventh } from './formula.ts';

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

/** The chord without its seventh; any other tone stays. */
export function triadOf(chord: Chord): Chord {
  return { ...chord, formula: withoutSeventh(chord.formula) };
}

const TURN = 12;

/**
 * The chord under the name on which all its tones can be written, with two accidentals each at most: C♭°7, whose seventh
 * would be B♭♭♭, is B°7 to everybody. A chord that needs no other name is the same value.
 */
export function writableChord(chord: Chord): Chord {
  if (isWhollyWritable(chord)) return chord;
  return [TURN, -TURN].map((turn) => transposeChord(chord, turn)).find(isWhollyWritable) ?? chord;
}

function isWhollyWritable(chord: Chord): boolean {
  return (chord.bass === null || isWritable(chord.bass)) && isWritable(chord.root) && chordNotes(chord).every(isWritable);
}
