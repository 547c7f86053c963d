import { printNote } from '../pitch/note-text.ts';
import { octaveOf, type PitchRange } from '../pitch/pitch-text.ts';
import type { Key } from './key.ts';
import { noteName } from './note-name.ts';

/** A pitch with its octave, middle C being C4, under the name its key gives it: 61 is `C#4` in D and `Db4` in A♭. */
export function printPitch(midi: number, key: Key | null): string {
  const note = noteName(midi, key);
  return `${printNote(note)}${octaveOf(midi, note)}`;
}

/** A range as a chart's head has it, `B3 D5`. */
export function printRange({ low, high }: PitchRange, key: Key | null): string {
  return `${printPitch(low, key)} ${printPitch(high, key)}`;
}
