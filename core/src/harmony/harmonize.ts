import { DEPTHS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import { type Formula, findTone } from '../chord/formula.ts';
import type { Degree, NumberChord } from '../degree/degree.ts';
import type { Interval } from '../interval/interval.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { letterStep, type Note } from '../pitch/note.ts';
import { scaleIntervals } from '../scale/scale.ts';
import type { ScaleName } from '../scale/scale-table.ts';
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
  return stacksOf(key.scale, depth).map((stack) => onTonic(stack, key.tonic));
}

/** A chord of a scale wherever its tonic is. */
interface ScaleStack {
  readonly degree: Degree;
  readonly formula: Formula;
  readonly tones: readonly Omit<StackedTone, 'note'>[];
  readonly stack: readonly Interval[];
  readonly function: HarmonicFunction;
}

/** What the scales hold is worked out once: a key only says where it begins. */
const STACKS = new Map<ScaleName, Map<Depth, readonly ScaleStack[]>>();

function stacksOf(scale: ScaleName, depth: Depth): readonly ScaleStack[] {
  const depths = STACKS.get(scale) ?? new Map<Depth, readonly ScaleStack[]>();
  STACKS.set(scale, depths);
  const known = depths.get(depth);
  if (known !== undefined) return known;
  const size = DEPTHS.indexOf(depth) + 3;
  const stacks = scaleIntervals(scale).map((_, index) => stackThirds(scale, index, size));
  depths.set(depth, stacks);
  return stacks;
}

function onTonic({ degree, formula, tones, stack, function: pull }: ScaleStack, tonic: Note): HarmonizedChord {
  return {
    number: { degree, formula, bass: null },
    chord: { root: tonic + degree, formula, bass: null },
    tones: tones.map(({ formula: name, parentDegree }) => ({ note: tonic + parentDegree, formula: name, parentDegree })),
    stack,
    function: pull,
  };
}

function stackThirds(scale: ScaleName, index: number, size: number): ScaleStack {
  const intervals = scaleIntervals(scale);
  const degree = intervals[index] as Degree;
  const tones = Array.from({ length: size }, (_, third) => {
    const parentDegree = intervals[(index + 2 * third) % intervals.length] as Degree;
    return { formula: stackedName(parentDegree - degree, third), parentDegree };
  });
  return {
    degree,
    formula: tones.reduce((formula, { formula: name }) => formula | (findTone(name) ?? 0), 0),
    tones,
    stack: tones.slice(1).map(({ parentDegree }, below) => parentDegree - (tones[below]?.parentDegree as Degree)),
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
