import { type Key, moveKey, SCALE_NAMES, type ScaleName, simplestKey } from '@aurora/core';

/** Twelve tonics in circle order, each named as its key is usually written, as fifths from C. */
export function circleKeys(scale: ScaleName): readonly Key[] {
  const home: Key = { tonic: 0, scale: 'major' };
  return Array.from({ length: 12 }, (_, step) => simplestKey({ tonic: step < 7 ? step : step - 12, scale }, home));
}

/** The key some half steps up, or down below 0, named from where it is come from. */
export function stepKey(key: Key, semitones: number): Key {
  return moveKey(key, semitones);
}

/** A fourth in half steps: the other way players move a song. */
export const FOURTH = 5;

/** The scales offered first, as most songs need no other. */
export const COMMON_SCALES: readonly ScaleName[] = ['major', 'natural minor', 'harmonic minor', 'melodic minor'];

export const FURTHER_SCALES: readonly ScaleName[] = SCALE_NAMES.filter((name) => !COMMON_SCALES.includes(name));
