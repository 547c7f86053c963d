import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import { chroma } from '../pitch/note.ts';
/** 0–3: which third is in the bass; null for a bass outside. */
export function inversionOf(chord: Chord): 0 | 1 | 2 | 3 | null {
  if (chord.bass === null) return 0;
  const tone = formulaTones(chord.formula).find(({ interval }) => chroma(chord.root + interval) === chroma(chord.bass as number));
  if (tone === undefined) return null;
  return tone.number === 3 ? 1 : tone.number === 5 ? 2 : tone.number === 7 ? 3 : tone.number === 1 ? 0 : 1;
}
