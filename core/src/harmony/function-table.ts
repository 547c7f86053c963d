import type { Degree } from '../degree/degree.ts';

/** What a chord does in its key: rest, move away, or pull back. */
export type HarmonicFunction = 'tonic' | 'subdominant' | 'dominant';

/**
 * Function by degree, in fifths from the tonic: 1 3 6 rest, 2 4 (and ♭2 ♭6) move away, 5 7
 * (and ♭7) pull back. Source: the usual teaching of functional harmony.
 */
export const FUNCTION_BY_DEGREE: ReadonlyMap<Degree, HarmonicFunction> = new Map([
  [0, 'tonic'],
  [4, 'tonic'],
  [-3, 'tonic'],
  [3, 'tonic'],
  [2, 'subdominant'],
  [-5, 'subdominant'],
  [-1, 'subdominant'],
  [6, 'subdominant'],
  [-4, 'subdominant'],
  [1, 'dominant'],
  [5, 'dominant'],
  [-2, 'dominant'],
]);
