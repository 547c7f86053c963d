import type { Chord } from '../chord/chord.ts';
import { type Formula, formulaOf, holdsAny } from '../chord/formula.ts';
import { accidentalsOnMajor } from '../interval/interval-text.ts';
import { isWritable, MOST_ACCIDENTALS, type Note, simplest } from '../pitch/note.ts';

/**
 * A degree of a key: a point on the line of fifths seen from the tonic, so that 1 is 0, 5 is 1,
 * ♭3 is −3. It counts on the major scale of the tonic, whatever the key's own scale.
 */
export type Degree = number;

/** A chord by number: what stands in a chart. Bass under a slash is a degree of the key. */
export interface NumberChord {
  readonly degree: Degree;
  readonly formula: Formula;
  readonly bass: Degree | null;
}

/** The letters of a number chord when degrees count from `tonic`. A note that would need three accidentals takes its enharmonic name. */
export function chordOnTonic(chord: NumberChord, tonic: Note): Chord {
  return {
    root: writableNote(tonic + chord.degree),
    formula: chord.formula,
    bass: chord.bass === null ? null : writableNote(tonic + chord.bass),
  };
}

function writableNote(note: Note): Note {
  return isWritable(note) ? note : simplest(note);
}

/**
 * The number of a letter chord counted from `tonic`. A letter that would need a degree with more
 * than two accidentals is taken as its enharmonic equal.
 */
export function numberChord(chord: Chord, tonic: Note): NumberChord {
  return {
    degree: writableDegree(chord.root - tonic),
    formula: chord.formula,
    bass: chord.bass === null ? null : writableDegree(chord.bass - tonic),
  };
}

const RAISED_TO_LOWERED: ReadonlySet<Degree> = new Set([7, 9, 8, 10]);
const MAJOR_THIRD = formulaOf('3');

/**
 * The number a chart writes for a letter chord: as counted, but for a major or dominant chord on a typed ♯1, ♯2, ♯5 or
 * ♯6, which is the ♭2, ♭3, ♭6 or ♭7 of the key (in A♭, E is ♭6).
 */
export function chartNumber(chord: Chord, tonic: Note): NumberChord {
  const number = numberChord(chord, tonic);
  if (!RAISED_TO_LOWERED.has(number.degree) || !holdsAny(chord.formula, MAJOR_THIRD)) return number;
  const { bass } = number;
  return { ...number, degree: number.degree - 12, bass: bass === null ? null : writableDegree(bass - 12) };
}

function writableDegree(degree: Degree): Degree {
  const accidentals = accidentalsOnMajor(degree);
  if (Math.abs(accidentals) <= MOST_ACCIDENTALS) return degree;
  return writableDegree(degree - 12 * Math.sign(accidentals));
}
