import { chordOnTonic } from '../degree/degree.ts';
import { chordInKey } from '../harmony/chord-in-key.ts';
import type { Key } from '../key/key.ts';
import { nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';
import type { Told } from './told.ts';

/** Which notes leave the key's plain scale: `C♯ stands where the key has C`. A note of the key under another name leaves nothing. */
export function outsideText({ chord, key, naming }: Told): string {
  const plain: Key = key.scale === 'harmonic minor' || key.scale === 'melodic minor' ? { ...key, scale: 'natural minor' } : key;
  const own = new Set(chordInKey({ root: plain.tonic, formula: 0, bass: null }, plain).map(({ note }) => chroma(note)));
  const scale = chordInKey(chordOnTonic(chord.number, key.tonic), plain);
  return scale
    .filter(({ note, keyHas }) => keyHas !== null && chroma(keyHas) !== chroma(note) && !own.has(chroma(note)))
    .map(({ note, keyHas }) => `${nameNote(note, naming.notes)} stands where the key has ${nameNote(keyHas as Note, naming.notes)}`)
    .join(', ');
}

/** The same behind a colon; nothing where nothing is outside. */
export function outsideClause(told: Told): string {
  const outside = outsideText(told);
  return outside === '' ? '' : `: ${outside}`;
}
