import type { Key } from '../key/key.ts';
import { DEFAULT_NAMING, type Naming, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';

const FOURTH = 5;
const FIFTH = 7;

/**
 * The classic confusion on a pair of neighbours of the circle: the interval between the roots
 * against the degree one is of the other. Empty for notes that are no neighbours.
 */
export function circleWords(from: Note, to: Key['tonic'], naming: Naming = DEFAULT_NAMING): readonly string[] {
  const [first, second] = [nameNote(from, naming.notes), nameNote(to, naming.notes)];
  const semitones = chroma(to - from);
  if (semitones === FOURTH) {
    return [
      `${first} to ${second} is up a fourth, as an interval between the roots.`,
      `Yet ${first} is the 5 of ${second}, as a degree: counted inside the key of ${second}, it stands a fifth above the 1. Both are true of the same two notes.`,
    ];
  }
  if (semitones === FIFTH) {
    return [
      `${first} to ${second} is up a fifth, as an interval between the roots.`,
      `Yet ${first} is the 4 of ${second}, as a degree: counted inside the key of ${second}, it stands a fourth above the 1. Both are true of the same two notes.`,
    ];
  }
  return [];
}
