import { isSpellable, type Key } from '../../key/key.ts';
import { accidentals, chroma, type Note, simplest } from '../../pitch/note.ts';
import type { ScaleName } from '../../scale/scale-table.ts';
import type { ChordFacts } from '../rules/facts.ts';
import { degreeOf, type Home, stepOf } from './home.ts';

const TURN = 12;

/** The home as a key, under the name in which most of these chords are spelled as typed. */
export function keyOfHome(home: Home, chords: readonly ChordFacts[], scale: ScaleName = home.mode.scale): Key {
  const plain = simplest(tonicOf(home));
  const names = [plain, plain - TURN, plain + TURN].map((tonic) => ({ tonic, scale })).filter((key) => isSpellable(key));
  const respelled = (key: Key) => chords.filter((facts) => isRespelled(facts, home, key.tonic)).length;
  const ranked = names.map((key) => ({ key, cost: respelled(key) + oddity(key.tonic) }));
  ranked.sort((a, b) => a.cost - b.cost);
  return ranked[0]?.key ?? { tonic: plain, scale };
}

/** Some note of that pitch; its name is chosen afterwards. */
function tonicOf(home: Home): Note {
  return Array.from({ length: TURN }, (_, note) => note - 5).find((note) => chroma(note) === home.tonic) as Note;
}

/** Whether the chord's root would have to be renamed to stand on a degree of the key. */
function isRespelled({ chord, root }: ChordFacts, home: Home, tonic: Note): boolean {
  const step = stepOf(home, root);
  if (home.mode.degrees[step] === undefined) return Math.abs(chord.root - tonic) > 8;
  return chord.root !== tonic + degreeOf(home, step);
}

/** Keys with a double accidental in their name are nobody's first choice; of two plain names the one nearer C. */
function oddity(tonic: Note): number {
  return (Math.abs(accidentals(tonic)) > 1 ? 1000 : 0) + Math.abs(tonic) / 100;
}
