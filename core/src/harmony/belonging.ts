import { type Chord, chordNotes } from '../chord/chord.ts';
import { type Formula, formulaOf, formulaTones } from '../chord/formula.ts';
import type { Degree } from '../degree/degree.ts';
import { isSpellable, type Key, keyNotes } from '../key/key.ts';
import { accidentals, letterStep, type Note } from '../pitch/note.ts';
import { SCALE_NAMES, scaleIntervals } from '../scale/scale.ts';
import type { ScaleName } from '../scale/scale-table.ts';

/** A key that holds every note of a chord, and the degree the chord stands on in it. */
export interface Home {
  readonly key: Key;
  readonly degree: Degree;
}

/** All keys that hold every note of the chord, by scale, then by circle order from flats to sharps. */
export function homesOf(chord: Chord, scales: readonly ScaleName[] = SCALE_NAMES): readonly Home[] {
  const notes = chordNotes(chord);
  return scales.flatMap((scale) =>
    scaleIntervals(scale)
      .map((degree) => ({ key: { tonic: chord.root - degree, scale }, degree }))
      .filter(({ key }) => isEasy(key) && notes.every((note) => keyNotes(key).includes(note)))
      .sort((a, b) => a.key.tonic - b.key.tonic),
  );
}

/** Keys nobody would name so are left out: tonics past one accidental, or notes past double ones. */
function isEasy(key: Key): boolean {
  return isSpellable(key) && Math.abs(accidentals(key.tonic)) <= 1;
}

/** A quality on a degree of the key, and the notes of it that leave the key. */
export interface NearMiss {
  readonly formula: Formula;
  readonly leaving: readonly { readonly note: Note; readonly keyHas: Note }[];
}

const SEVENTH_CHORDS: readonly Formula[] = [
  formulaOf('1', '3', '5', '7'),
  formulaOf('1', '3', '5', 'b7'),
  formulaOf('1', 'b3', '5', 'b7'),
  formulaOf('1', 'b3', 'b5', 'b7'),
  formulaOf('1', 'b3', 'b5', 'bb7'),
  formulaOf('1', 'b3', '5', '7'),
  formulaOf('1', '3', '#5', '7'),
];
const TRIADS: readonly Formula[] = [
  formulaOf('1', '3', '5'),
  formulaOf('1', 'b3', '5'),
  formulaOf('1', 'b3', 'b5'),
  formulaOf('1', '3', '#5'),
];

/** Every common quality on a root, with what each has outside the key: nothing for the key's own. */
export function nearMisses(root: Note, key: Key, depth: 'triad' | 'seventh'): readonly NearMiss[] {
  const notes = keyNotes(key);
  return (depth === 'triad' ? TRIADS : SEVENTH_CHORDS).map((formula) => ({
    formula,
    leaving: formulaTones(formula)
      .map(({ interval }) => root + interval)
      .filter((note) => !notes.includes(note))
      .map((note) => ({ note, keyHas: notes.find((own) => letterStep(own) === letterStep(note)) as Note })),
  }));
}

/** The same notes with another home: the mode on one degree of a key. */
export interface Mode {
  readonly tonic: Note;
  /** The mode's name; null for a mode of a scale that has none in common use. */
  readonly scale: ScaleName | null;
  readonly intervals: readonly number[];
  /** Degrees in which it differs from major or natural minor, whichever has its third. */
  readonly apart: readonly number[];
}

/** The mode on every degree of the key. */
export function modesOf(key: Key): readonly Mode[] {
  const parent = scaleIntervals(key.scale);
  return parent.map((degree, index) => {
    const intervals = parent.map((_, step) => (parent[(index + step) % parent.length] as number) - degree);
    const plain = scaleIntervals(intervals[2] === -3 ? 'natural minor' : 'major');
    return {
      tonic: key.tonic + degree,
      scale: scaleOf(intervals),
      intervals,
      apart: intervals.filter((interval) => !plain.includes(interval)),
    };
  });
}

function scaleOf(intervals: readonly number[]): ScaleName | null {
  const found = SCALE_NAMES.find((name) => scaleIntervals(name).every((interval, index) => interval === intervals[index]));
  return found ?? null;
}

/** Degrees of a scale whose seventh chords are of one quality, so that learning one is learning both. */
export function twinDegrees(
  sevenths: readonly { readonly chord: Chord; readonly number: { readonly degree: Degree } }[],
): readonly (readonly Degree[])[] {
  const byFormula = new Map<Formula, Degree[]>();
  for (const { chord, number } of sevenths) byFormula.set(chord.formula, [...(byFormula.get(chord.formula) ?? []), number.degree]);
  return [...byFormula.values()].filter((degrees) => degrees.length > 1);
}
