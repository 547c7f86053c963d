import { type Key, moveKey, SCALE_NAMES, type ScaleName, simplestKey } from '@aurora/core';

/** Twelve tonics in circle order, each named as its key is usually written, as fifths from C. */
export function circleKeys(scale: ScaleName): readonly Key[] {
  const home: Key = { tonic: 0, scale: 'major' };
  return Array.from({ length: 12 }, (_, step) => simplestKey({ tonic: step < 7 ? step : step - 12, scale }, home));
}

/** The key a half step up (1) or down (−1), named from where it is come from. */
export function stepKey(key: Key, step: 1 | -1): Key {
  return moveKey(key, step);
}

/** The scales offered first, as most songs need no other. */
export const COMMON_SCALES: readonly ScaleName[] = ['major', 'natural minor', 'harmonic minor', 'melodic minor'];

export const FURTHER_SCALES: readonly ScaleName[] = SCALE_NAMES.filter((name) => !COMMON_SCALES.includes(name));
