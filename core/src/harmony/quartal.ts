import type { Chord } from '../chord/chord.ts';
import { type Formula, findTone } from '../chord/formula.ts';
import type { Degree, NumberChord } from '../degree/degree.ts';
import type { Interval } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { letterStep, type Note } from '../pitch/note.ts';
import { scaleIntervals } from '../scale/scale.ts';

/** Four notes a fourth apart, or five with a third on top. */
export type FourthStack = 'four' | 'five';

/** A chord of a key stacked in fourths. */
export interface QuartalChord {
  readonly number: NumberChord;
  readonly chord: Chord;
  /** From the bottom up, in fourths; the last step of five is a third. */
  readonly notes: readonly Note[];
  readonly parentDegrees: readonly Degree[];
  /** The intervals between neighbours, lowest first; 6 is an augmented fourth. */
  readonly stack: readonly Interval[];
}

const FOURTHS = 4;

/**
 * Stacks fourths inside the scale on every degree. The name is the chord on the lowest note: in
 * C major the stack on 2, D G C F, is Dm7add11 without its fifth.
 */
export function stackFourths(key: Key, size: FourthStack): readonly QuartalChord[] {
  const intervals = scaleIntervals(key.scale);
  return intervals.map((degree, index) => {
    const places = Array.from({ length: FOURTHS }, (_, step) => index + 3 * step);
    if (size === 'five') places.push(index + 3 * (FOURTHS - 1) + 2);
    const parentDegrees = places.map((place) => intervals[place % intervals.length] as Degree);
    const notes = parentDegrees.map((parent) => key.tonic + parent);
    const formula = parentDegrees.reduce((tones, parent) => tones | toneOf(parent - degree), 0);
    return {
      number: { degree, formula, bass: null },
      chord: { root: key.tonic + degree, formula, bass: null },
      notes,
      parentDegrees,
      stack: notes.slice(1).map((note, below) => note - (notes[below] as Note)),
    };
  });
}

/** Over a third and a seventh the fourth counts as 11, as symbols write it. */
function toneOf(interval: Interval): Formula {
  const name = printScaleNumber(interval);
  return findTone(letterStep(interval) === 3 ? name.replace('4', '11') : name) ?? 0;
}
