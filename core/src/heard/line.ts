import { type Key, keyNotes } from '../key/key.ts';
import { chroma, type Note, simplest } from '../pitch/note.ts';
import { isMinorScale } from '../scale/scale.ts';
import type { SoundingNote } from './heard.ts';

/** More of a melody's intervals than this are steps or repetitions; a broken chord leaps. */
const STEPWISE = 0.5;
const FEW = 0.03;

/** Whether notes are one melody: never two together, and mostly by step. */
export function isMelody(notes: readonly SoundingNote[]): boolean {
  const line = [...notes].sort((a, b) => a.from - b.from);
  let together = 0;
  let steps = 0;
  for (let at = 1; at < line.length; at += 1) {
    const [before, note] = [line[at - 1] as SoundingNote, line[at] as SoundingNote];
    if (before.to > note.from + 0.2 && before.to - note.from > 0.3 * (before.to - before.from)) together += 1;
    if (Math.abs(note.midi - before.midi) <= 2) steps += 1;
  }
  return line.length > 1 && together <= FEW * line.length && steps >= STEPWISE * (line.length - 1);
}

/** A name for each of the twelve pitches: the key's own where it has one. */
export function spelledIn(key: Key): readonly Note[] {
  const own = keyNotes(key);
  return Array.from({ length: 12 }, (_, pitch) => own.find((note) => chroma(note) === pitch) ?? near(pitch, key.tonic));
}

/** The name of a pitch that lies nearest to the key on the line of fifths. */
function near(pitch: number, tonic: Note): Note {
  const note = simplest((pitch * 7) % 12);
  return [note - 12, note, note + 12].reduce((best, other) =>
    Math.abs(other - tonic - 1.5) < Math.abs(best - tonic - 1.5) ? other : best,
  );
}

const LEADING = 11;

/** The pitches of a key, one bit each; a minor key has its raised seventh too. */
export function stepsOf(key: Key): number {
  const own = keyNotes(key).reduce((set, note) => set | (1 << chroma(note)), 0);
  return isMinorScale(key.scale) ? own | (1 << ((chroma(key.tonic) + LEADING) % 12)) : own;
}
