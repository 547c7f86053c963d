import type { Chord } from '../chord/chord.ts';
import type { Formula } from '../chord/formula.ts';
import { accidentalsOnMajor } from '../interval/interval-text.ts';
import { MOST_ACCIDENTALS, type Note } from '../pitch/note.ts';

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

/** The letters of a number chord when degrees count from `tonic`. */
export function chordOnTonic(chord: NumberChord, tonic: Note): Chord {
  return {
    root: tonic + chord.degree,
    formula: chord.formula,
    bass: chord.bass === null ? null : tonic + chord.bass,
  };
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

function writableDegree(degree: Degree): Degree {
  const accidentals = accidentalsOnMajor(degree);
  if (Math.abs(accidentals) <= MOST_ACCIDENTALS) return degree;
  return writableDegree(degree - 12 * Math.sign(accidentals));
}
