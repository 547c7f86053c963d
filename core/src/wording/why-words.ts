import type { Chord } from '../chord/chord.ts';
import { numberChord } from '../degree/degree.ts';
import { chordInKey, type ToneInKey } from '../harmony/chord-in-key.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import type { Key } from '../key/key.ts';
import { printScale } from '../key/key-text.ts';
import { numberInWords } from '../naming/in-words.ts';
import { DEFAULT_NAMING, type Naming, nameChord, nameNote } from '../naming/naming.ts';

/** Why a chord is, or is not, one of the key's own: one or two plain sentences. */
export function whyWords(chord: Chord, key: Key, naming: Naming = DEFAULT_NAMING): readonly string[] {
  const name = nameChord(chord, naming);
  const home = keyWords(key, naming);
  const tones = chordInKey(chord, key);
  const outside = tones.filter(({ keyHas }) => keyHas !== null);
  const number = numberInWords(numberChord(chord, key.tonic));
  if (outside.length === 0) {
    const degrees = tones.map(({ degree }) => printScaleNumber(degree, 'glyph')).join('–');
    return [`${name} is the ${number}: every note of it is in ${home}.`, `It takes the scale numbers ${degrees}.`];
  }
  const first = `${name} is the ${number} of ${home}, with ${count(outside.length)} from outside the key.`;
  return [first, `${outside.map((tone) => outsideWords(tone, naming)).join('; ')}.`];
}

/** A key as it is said: `D major`, `C♯ harmonic minor`. */
export function keyWords(key: Key, naming: Naming = DEFAULT_NAMING): string {
  return `${nameNote(key.tonic, naming.notes)} ${printScale(key.scale, 'glyph')}`;
}

function outsideWords({ note, keyHas }: ToneInKey, { notes }: Naming): string {
  return `${nameNote(note, notes)} stands where the key has ${nameNote(keyHas as number, notes)}`;
}

function count(notes: number): string {
  return notes === 1 ? 'one note' : `${['two', 'three', 'four'][notes - 2] ?? notes} notes`;
}
