import { type Key, relativeMajorTonic } from '../key/key.ts';
import { isMinorScale } from '../scale/scale.ts';
import type { Measure } from '../score/score.ts';

const MODES: Readonly<Record<string, number>> = { dorian: -2, phrygian: -4, lydian: 1, mixolydian: -1, locrian: -5 };

/** A key as a staff shows it: its sharps, or flats below 0, and whether it calls itself major or minor. */
export function signatureOfKey(key: Key): Pick<Measure, 'fifths' | 'mode'> {
  const mode = MODES[key.scale];
  if (mode !== undefined) return { fifths: key.tonic + mode, mode: null };
  return isMinorScale(key.scale) ? { fifths: relativeMajorTonic(key), mode: 'minor' } : { fifths: key.tonic, mode: 'major' };
}
