import { mod } from '../fault.ts';
import { accidentals, chroma, isWritable, type Note, OCTAVE_ON_FIFTHS } from '../pitch/note.ts';
import { isMinorScale, scaleIntervals } from '../scale/scale.ts';
import type { ScaleName } from '../scale/scale-table.ts';

/** A tonic and the scale built on it. */
export interface Key {
  readonly tonic: Note;
  readonly scale: ScaleName;
}

const FIFTHS_PER_SEMITONE = 7;

/** The seven notes of the key, ascending from the tonic, each letter once. */
export function keyNotes(key: Key): readonly Note[] {
  return scaleIntervals(key.scale).map((interval) => key.tonic + interval);
}

/** Sharps and flats needed to write the key's seven notes, double ones counted twice. */
export function keyAccidentals(key: Key): number {
  return keyNotes(key).reduce((sum, note) => sum + Math.abs(accidentals(note)), 0);
}

/** Whether the key is written in flats (−1), in sharps (1) or in neither (0), by its sum. */
function keySide(key: Key): number {
  return Math.sign(keyNotes(key).reduce((sum, note) => sum + accidentals(note), 0));
}

/** Whether every note of the key can be written with double accidentals at most. */
export function isSpellable(key: Key): boolean {
  return keyNotes(key).every(isWritable);
}

/**
 * The same key under the name with fewer accidentals. On a tie (F♯ and G♭ major, D♯ and E♭
 * minor) the flat name is taken when coming from a flat key, else the sharp one.
 */
export function simplestKey(key: Key, from: Key): Key {
  const names = [-2, -1, 0, 1, 2].map((turns) => ({ ...key, tonic: key.tonic + OCTAVE_ON_FIFTHS * turns }));
  const fewest = Math.min(...names.map(keyAccidentals));
  const best = names.filter((name) => keyAccidentals(name) === fewest);
  const side = keySide(from) < 0 ? -1 : 1;
  return best.find((name) => keySide(name) === side) ?? (best[0] as Key);
}

/** The key so many half steps higher (negative: lower), same scale, named by `simplestKey`. */
export function moveKey(key: Key, semitones: number, from: Key = key): Key {
  const half = OCTAVE_ON_FIFTHS / 2;
  const fifths = mod(FIFTHS_PER_SEMITONE * semitones + half, OCTAVE_ON_FIFTHS) - half;
  return simplestKey({ ...key, tonic: key.tonic + fifths }, from);
}

/** Whether two keys are one by name: F♯ major and G♭ major are two. No key is only the same as no key. */
export function sameKey(a: Key | null, b: Key | null): boolean {
  return a?.tonic === b?.tonic && a?.scale === b?.scale;
}

/** Half steps upward from one tonic to another, 0–11. */
export function semitonesBetween(from: Note, to: Note): number {
  return chroma(to - from);
}

/** The major key a minor third above a minor key's tonic; a key without ♭3 is its own. */
export function relativeMajorTonic(key: Key): Note {
  return isMinorScale(key.scale) ? key.tonic - 3 : key.tonic;
}

/** Fifths between the relative majors of two keys, the short way round the circle, 0–6. */
export function relativeMajorDistance(a: Key, b: Key): number {
  const fifths = mod(relativeMajorTonic(a) - relativeMajorTonic(b), OCTAVE_ON_FIFTHS);
  return Math.min(fifths, OCTAVE_ON_FIFTHS - fifths);
}
