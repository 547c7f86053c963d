import { DEFAULT_NAMING, type Naming, nameKey, parseKey, parseNumberOrLetters } from '@aurora/core';
import type { SongSummary } from '@aurora/wire';
import { numberView, type SymbolView } from '../notation/symbol-view.ts';

/** What a new song starts as: enough to see how a chart is written. */
export const NEW_SONG = 'title: New song\nkey: C\ntime: 4/4\n\n[Verse]\n1 4 6- 5\n';

/** The songs that hold all of the typed words in title, writer or key, in the order given. */
export function findSongs(songs: readonly SongSummary[], wanted: string): readonly SongSummary[] {
  const words = wanted
    .toLowerCase()
    .split(/\s+/)
    .filter((word) => word !== '');
  return songs.filter(({ title, by, key }) => {
    const text = `${title} ${by} ${key}`.toLowerCase();
    return words.every((word) => text.includes(word));
  });
}

/** The chords of one opening bar, ready to be set. What is no number, such as NC, is left out. */
export function openingBar(bar: string, naming: Naming = DEFAULT_NAMING): readonly SymbolView[] {
  return bar.split(' ').flatMap((text) => {
    const number = parseNumberOrLetters(text, 0);
    return number.ok ? [numberView(number.value, naming)] : [];
  });
}

/** A stored key name as the band says it: `F♯m`, and what it is besides, `harmonic minor`. */
export function keyName(stored: string, naming: Naming = DEFAULT_NAMING): { readonly tonic: string; readonly scale: string } {
  const key = parseKey(stored);
  const [tonic = '', ...scale] = (key.ok ? nameKey(key.value, naming) : stored).split(' ');
  return { tonic, scale: scale.join(' ') };
}
