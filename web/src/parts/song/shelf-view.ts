import { DEFAULT_NAMING, type Naming, nameKey, numberView, parseKey, parseNumberOrLetters, type SymbolView } from '@aurora/core';

/** What a new song starts as: no bar is anybody's but the writer's. */
export const NEW_SONG = 'key: C\ntime: 4/4\n';

const MOST_LETTERS = 40;
const MOST_TAGS = 20;

/** Tags as they are typed, between commas: each once, none empty. */
export function tagsOf(text: string): readonly string[] {
  const tags = text.split(',').map((tag) => tag.trim().slice(0, MOST_LETTERS));
  return [...new Set(tags.filter((tag) => tag !== ''))].slice(0, MOST_TAGS);
}

/** The chords of one opening bar, ready to be set. What is no number, such as NC, is left out. */
export function openingBar(bar: string, naming: Naming = DEFAULT_NAMING): readonly SymbolView[] {
  return bar.split(' ').flatMap((text) => {
    const number = parseNumberOrLetters(text, 0);
    return number.ok ? [numberView(number.value, naming)] : [];
  });
}

/** A stored key name as the band says it, whole: `F♯m`, `E♭ harmonic minor`. */
export function keyWordsOf(stored: string, naming: Naming = DEFAULT_NAMING): string {
  const key = parseKey(stored);
  return key.ok ? nameKey(key.value, naming) : stored;
}

/** A stored key name as the band says it: `F♯m`, and what it is besides, `harmonic minor`. */
export function keyName(stored: string, naming: Naming = DEFAULT_NAMING): { readonly tonic: string; readonly scale: string } {
  const [tonic = '', ...scale] = keyWordsOf(stored, naming).split(' ');
  return { tonic, scale: scale.join(' ') };
}
