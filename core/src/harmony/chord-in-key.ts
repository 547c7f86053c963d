import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import type { Degree } from '../degree/degree.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { letterStep, type Note } from '../pitch/note.ts';

/** One tone of a chord held against a key. */
export interface ToneInKey {
  readonly note: Note;
  /** Its number against the chord's root, `b3`; `bass` for a bass that is no chord tone. */
  readonly formula: string;
  /** Its degree in the key, outside notes included. */
  readonly degree: Degree;
  /** The key's own note on that letter, when the tone is outside the key; null inside it. */
  readonly keyHas: Note | null;
}

/** The chord's tones from the root up, each with its degree, and what the key has in its place. */
export function chordInKey(chord: Chord, key: Key): readonly ToneInKey[] {
  const notes = keyNotes(key);
  const tones = formulaTones(chord.formula).map(({ name, interval }) => ({ note: chord.root + interval, formula: name as string }));
  const { bass } = chord;
  if (bass !== null && !tones.some(({ note }) => note === bass)) tones.unshift({ note: bass, formula: 'bass' });
  return tones.map((tone) => ({
    ...tone,
    degree: tone.note - key.tonic,
    keyHas: notes.includes(tone.note) ? null : (notes.find((note) => letterStep(note) === letterStep(tone.note)) as Note),
  }));
}
