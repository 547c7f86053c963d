import { parseChord, printChord } from '../chord/chord-text.ts';
import { parseKey, printKey } from '../key/key-text.ts';
import type { Remembered, Said } from './said.ts';

/** What is said with its chord and key as text, as it is stored and sent. */
type SaidJson =
  | Exclude<Said, { readonly kind: 'chord' | 'key' }>
  | { readonly kind: 'chord'; readonly at: Extract<Said, { kind: 'chord' }>['at']; readonly chord: string }
  | { readonly kind: 'key'; readonly at: Extract<Said, { kind: 'key' }>['at']; readonly key: string };

export interface RememberedJson {
  readonly said: SaidJson;
  readonly print: string;
}

/** As it is stored: chords as plain symbols, keys as in a chart's head. */
export function storeSaid({ said, print }: Remembered): RememberedJson {
  if (said.kind === 'chord') return { said: { ...said, chord: printChord(said.chord) }, print };
  if (said.kind === 'key') return { said: { ...said, key: printKey(said.key) }, print };
  return { said, print };
}

/** What was stored; undefined where its chord or key is none. */
export function readSaid({ said, print }: RememberedJson): Remembered | undefined {
  if (said.kind === 'chord') {
    const chord = parseChord(said.chord);
    return chord.ok ? { said: { ...said, chord: chord.value }, print } : undefined;
  }
  if (said.kind === 'key') {
    const key = parseKey(said.key);
    return key.ok ? { said: { ...said, key: key.value }, print } : undefined;
  }
  return { said, print };
}
