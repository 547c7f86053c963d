import type { Key } from '../key/key.ts';
import { keyNotes } from '../key/key.ts';
import { chroma, simplest } from '../pitch/note.ts';
import type { SoundingNote } from './heard.ts';

/**
 * How well each half step above the tonic fits a key, as listeners rate it.
 * Source: Krumhansl and Kessler, "Tracing the dynamic changes in perceived tonal organization",
 * Psychological Review 89 (1982).
 */
const MAJOR = [6.35, 2.23, 3.48, 2.33, 4.38, 4.09, 2.52, 5.19, 2.39, 3.66, 2.29, 2.88];
const MINOR = [6.33, 2.68, 3.52, 5.38, 2.6, 3.53, 2.54, 4.75, 3.98, 2.69, 3.34, 3.17];
/** A song ends at home, in its lowest note, more often than not. */
const ENDS_HOME = 0.12;
/** Fewer pitches tell no key. */
const FEWEST_PITCHES = 4;

/** How long each of the twelve pitches sounds. */
function profileOf(notes: readonly SoundingNote[]): readonly number[] {
  const profile = Array.from({ length: 12 }, () => 0);
  for (const { midi, from, to } of notes) profile[midi % 12] = (profile[midi % 12] as number) + Math.max(0, to - from);
  return profile;
}

/** The key that notes are likeliest in among those given, or among all; undefined where there is too little to tell. */
export function keyOfNotes(notes: readonly SoundingNote[], among: readonly Key[] = ALL_KEYS): Key | undefined {
  const profile = profileOf(notes);
  if (profile.filter((length) => length > 0).length < FEWEST_PITCHES) return undefined;
  const last = notes.reduce((end, { to }) => Math.max(end, to), 0);
  const ending = notes.filter(({ to }) => to > last - 0.5).reduce((low, { midi }) => Math.min(low, midi), Number.POSITIVE_INFINITY);
  const judged = among.map((key) => {
    const tonic = chroma(key.tonic);
    const turned = profile.map((_, step) => profile[(step + tonic) % 12] as number);
    const likeness = correlation(turned, key.scale === 'major' ? MAJOR : MINOR);
    return { key, likeness: likeness + (ending % 12 === tonic ? ENDS_HOME : 0) };
  });
  return judged.reduce((best, one) => (one.likeness > best.likeness ? one : best)).key;
}

/** The part of what sounds that belongs to a key. */
export function shareInside(notes: readonly SoundingNote[], key: Key): number {
  const profile = profileOf(notes);
  const own = new Set(keyNotes(key).map(chroma));
  const all = profile.reduce((sum, length) => sum + length, 0);
  return all === 0 ? 0 : profile.reduce((sum, length, pitch) => sum + (own.has(pitch) ? length : 0), 0) / all;
}

function correlation(a: readonly number[], b: readonly number[]): number {
  const [meanA, meanB] = [mean(a), mean(b)];
  const product = a.reduce((sum, value, at) => sum + (value - meanA) * ((b[at] as number) - meanB), 0);
  return product / Math.sqrt(spread(a, meanA) * spread(b, meanB) || 1);
}

const mean = (values: readonly number[]) => values.reduce((sum, value) => sum + value, 0) / values.length;
const spread = (values: readonly number[], middle: number) => values.reduce((sum, value) => sum + (value - middle) ** 2, 0);

/** The twelve major and minor keys under their usual names: G♭ and E♭m with six flats. */
const ALL_KEYS: readonly Key[] = Array.from({ length: 12 }, (_, step) => simplest(step - 6)).flatMap((tonic): Key[] => [
  { tonic, scale: 'major' },
  { tonic: tonic + 3, scale: 'natural minor' },
]);
