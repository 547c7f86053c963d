import { type Chord, transposeChord } from '../chord/chord.ts';
import { formulaOf, holdsAny } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import { chroma, type Note } from '../pitch/note.ts';

/** The names shapes go by, from C up in half steps: C♯ and G♯ are minor chords, D♭ and A♭ major ones. */
const MAJOR_NAMES: readonly Note[] = [0, -5, 2, -3, 4, -1, 6, 1, -4, 3, -2, 5];
const MINOR_NAMES: readonly Note[] = [0, 7, 2, -3, 4, -1, 6, 1, 8, 3, -2, 5];
const MINOR_THIRD = formulaOf('b3');

/** The shape a player thinks of for a chord that sounds over a capo, under its plainest name: over a capo at 2 a D is the C shape. */
export function shapeOverCapo(chord: Chord, capo: number): Chord {
  const names = holdsAny(chord.formula, MINOR_THIRD) ? MINOR_NAMES : MAJOR_NAMES;
  const root = names[mod(chroma(chord.root) - capo, 12)] as Note;
  return transposeChord(chord, root - chord.root);
}
