import type { Note } from '../pitch/note.ts';

/** Shapes that progressions are made of. */
export type PatternKind =
  | 'two-five-one'
  | 'two-five'
  | 'authentic-cadence'
  | 'plagal-cadence'
  | 'deceptive-cadence'
  | 'half-cadence'
  | 'turnaround'
  | 'loop'
  | 'twelve-bar-blues'
  | 'line-cliche'
  | 'circle-motion';

/** A shape found in the song. Indices count chords; `to` is the last one. */
export interface Pattern {
  readonly kind: PatternKind;
  /** The note it turns around: a cadence's goal, a loop's key. */
  readonly tonic: Note;
  readonly from: number;
  readonly to: number;
  /** Into a minor chord, or in a minor key. */
  readonly minor: boolean;
  /** For a loop: how many chords one round has, and its name in every key and rotation. */
  readonly round: { readonly period: number; readonly name: string } | null;
  /** First chords of the same pattern elsewhere in the song. */
  readonly alsoAt: readonly number[];
}
