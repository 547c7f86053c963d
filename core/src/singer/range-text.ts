import type { Key } from '../key/key.ts';
import { printNote } from '../pitch/note-text.ts';
import { octaveOf, type PitchRange } from '../pitch/pitch-text.ts';
import { noteName } from '../voicing/reshape.ts';

/** A pitch with its octave, middle C being C4, under the name its key gives it: 61 is `C#4` in D and `Db4` in A♭. */
export function printPitch(midi: number, key: Key | null): string {
  const note = noteName(midi, key);
  return `${printNote(note)}${octaveOf(midi, note)}`;
}

/** A range as a chart's head has it, `B3 D5`. */
export function printRange({ low, high }: PitchRange, key: Key | null): string {
  return `${printPitch(low, key)} ${printPitch(high, key)}`;
}
