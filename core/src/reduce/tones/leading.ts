import type { Chord } from '../../chord/chord.ts';
import { formulaOf } from '../../chord/formula.ts';
import { isEnharmonic } from '../../pitch/note.ts';
import type { Harmony } from '../columns.ts';
import type { Leading } from '../reduction.ts';

const DIMINISHED = formulaOf('b3', 'b5');
const DOMINANT = formulaOf('1', '3', '5', 'b7');
/** A half step up to the next letter, on the line of fifths. */
const HALF_STEP_UP = -5;
/** From a leading tone down to the root of the dominant that holds it. */
const TO_DOMINANT = -4;
const SOON = 3;

/** What a diminished chord leads to, and whether it gets there: at once, within a few harmonies, or not. */
export function leadingOf(harmonies: readonly Harmony[], index: number): Leading | null {
  const chord = harmonies[index]?.chord ?? null;
  if (chord === null || (chord.formula & DIMINISHED) !== DIMINISHED) return null;
  const target = chord.root + HALF_STEP_UP;
  const goes = (place: number) => isOn(harmonies[place]?.chord ?? null, target);
  const keeps = goes(index + 1) ? 'kept' : Array.from({ length: SOON - 1 }, (_, at) => index + 2 + at).some(goes) ? 'later' : 'not-kept';
  return { target, keeps, dominant: { root: chord.root + TO_DOMINANT, formula: DOMINANT, bass: null } };
}

function isOn(chord: Chord | null, target: number): boolean {
  return chord !== null && isEnharmonic(chord.root, target) && (chord.formula & DIMINISHED) !== DIMINISHED;
}
