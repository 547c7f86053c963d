import type { NumberChord } from '../degree/degree.ts';
import type { ScaleName } from '../scale/scale-table.ts';

/** Everything a chord can be heard as. */
export const READING_KINDS = [
  'diatonic',
  'secondary-dominant',
  'secondary-leading-tone',
  'related-two',
  'tritone-substitute',
  'borrowed',
  'backdoor-dominant',
  'passing-diminished',
  'common-tone-diminished',
  'chromatic-mediant',
  'neapolitan',
  'augmented-sixth',
  'blues-dominant',
  'line-cliche',
  'pedal',
  'unexplained',
] as const;

export type ReadingKind = (typeof READING_KINDS)[number];

/** What becomes of a promise: x follows, something else does, x comes later, or nothing comes. */
export type Resolution = 'resolves' | 'deceptive' | 'delayed' | 'unresolved';

/** What one rule says of a chord in a key. Roots are half steps above the tonic. */
export interface Claim {
  readonly kind: ReadingKind;
  /** The name of the rule that speaks. */
  readonly rule: string;
  /** 0 for a chord at home, about 1 for one that leaves the key and keeps its promise, 3.5 for no reading. */
  readonly cost: number;
  /** The half step aimed at. */
  readonly target?: number;
  readonly resolution?: Resolution;
  /** Whether what keeps the promise is the first chord, when the song is played again. */
  readonly onTurn?: true;
  /** Parallel scales that hold the chord, nearest first. */
  readonly sources?: readonly ScaleName[];
}

/** A claim as it is told: its target as a chord of the key. */
export interface Reading extends Omit<Claim, 'target'> {
  /** The plain triad of the degree aimed at. */
  readonly target: NumberChord | null;
}
