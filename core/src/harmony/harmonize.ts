import { DEPTHS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import { type Formula, findTone } from '../chord/formula.ts';
import type { Degree, NumberChord } from '../degree/degree.ts';
import type { Interval } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { letterStep, type Note } from '../pitch/note.ts';
import { scaleIntervals } from '../scale/scale.ts';
import { FUNCTION_BY_DEGREE, type HarmonicFunction } from './function-table.ts';

/** How many thirds are stacked on each degree. */
export type Depth = (typeof DEPTHS)[number];

/** One tone of a stacked chord, tied to the scale it comes from. */
interface StackedTone {
  readonly note: Note;
  /** Its number against the chord's own root, `b3`, past the octave `9`. */
  readonly formula: string;
  /** Its degree in the parent key. */
  readonly parentDegree: Degree;
}

/** A chord of a key: what stacking thirds inside the scale gives on one degree. */
export interface HarmonizedChord {
  readonly number: NumberChord;
  readonly chord: Chord;
  /** From the root up, in thirds. */
  readonly tones: readonly StackedTone[];
  /** The thirds between neighbouring tones, lowest first. */
  readonly stack: readonly Interval[];
  readonly function: HarmonicFunction;
}

/** Stacks thirds on every degree of the key, skipping every other scale note. Seven chords. */
export function harmonize(key: Key, depth: Depth): readonly HarmonizedChord[] {
  const size = DEPTHS.indexOf(depth) + 3;
  return scaleIntervals(key.scale).map((_, index) => stackThirds(key, index, size));
}

function stackThirds(key: Key, index: number, size: number): HarmonizedChord {
  const intervals = scaleIntervals(key.scale);
  const degree = intervals[index] as Degree;
  const tones: StackedTone[] = [];
  let formula: Formula = 0;
  for (let third = 0; third < size; third += 1) {
    const parentDegree = intervals[(index + 2 * third) % intervals.length] as Degree;
    const name = stackedName(parentDegree - degree, third);
    formula |= findTone(name) ?? 0;
    tones.push({ note: key.tonic + parentDegree, formula: name, parentDegree });
  }
  return {
    number: { degree, formula, bass: null },
    chord: { root: key.tonic + degree, formula, bass: null },
    tones,
    stack: tones.slice(1).map((tone, below) => tone.note - (tones[below] as StackedTone).note),
    function: functionOfDegree(degree),
  };
}

/** The function of a degree of the key; degrees outside the table move away like a 4. */
export function functionOfDegree(degree: Degree): HarmonicFunction {
  return FUNCTION_BY_DEGREE.get(degree) ?? 'subdominant';
}

/** Tones from the ninth on are counted past the octave: 2 becomes 9. */
function stackedName(interval: Interval, third: number): string {
  const name = printScaleNumber(interval);
  return third < 4 ? name : name.replace(/\d$/, String(letterStep(interval) + 8));
}
