import type { Chord, Family, Frets, Instrument, Voicing } from '@aurora/core';
import { create } from 'zustand';

/** Which shapes of the selected chord are walked through. */
export interface ShapeChoice {
  /** Null for all families. */
  readonly family: Family | null;
  /** Null for any. */
  readonly inversion: number | null;
  /** Tones that may be left to somebody else. */
  readonly without: readonly ('root' | 'fifth')[];
}

interface NeckState extends ShapeChoice {
  /** Whether the neck shows every tone of the chord, one shape, or the scale chosen over it. */
  readonly show: 'tones' | 'shape' | 'scale';
  /** The shape chosen, and of which chord on which strings; any other chord starts from its best shape. */
  readonly chosen: { readonly of: string; readonly frets: Frets; readonly hold: number } | null;
}

export const useNeck = create<NeckState>()(() => ({ show: 'tones', family: null, inversion: null, without: [], chosen: null }));

/** Shows a shape, held in the given way counted from the easiest. */
export function chooseShape(of: string, frets: Frets, hold = 0): void {
  useNeck.setState({ show: 'shape', chosen: { of, frets, hold } });
}

/** A name for a chord on an instrument, by which a choice is known again. */
export function placeName(chord: Chord, { tuning, capo }: Pick<Instrument, 'tuning' | 'capo'>): string {
  return JSON.stringify([chord, tuning, capo]);
}

/** The shapes left by a choice. */
export function shapesLeft(
  voicings: readonly Voicing[],
  { family, inversion }: Pick<ShapeChoice, 'family' | 'inversion'>,
): readonly Voicing[] {
  return voicings.filter(
    (voicing) => (family === null || voicing.families.includes(family)) && (inversion === null || voicing.inversion === inversion),
  );
}

/** The families there are shapes of, in the order players name them, with how many. */
export function familiesIn(voicings: readonly Voicing[], order: readonly Family[]): readonly (readonly [Family, number])[] {
  return order.flatMap((family) => {
    const count = voicings.filter(({ families }) => families.includes(family)).length;
    return count === 0 ? [] : [[family, count] as const];
  });
}

/** The inversions there are shapes of, lowest first. */
export function inversionsIn(voicings: readonly Voicing[]): readonly number[] {
  return [...new Set(voicings.flatMap(({ inversion }) => (inversion === null ? [] : [inversion])))].sort((a, b) => a - b);
}

/** The choice after `current` in a round that begins and ends with “all”. */
export function nextChoice<T>(options: readonly T[], current: T | null): T | null {
  if (current === null) return options[0] ?? null;
  return options[options.indexOf(current) + 1] ?? null;
}
