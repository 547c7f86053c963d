import { chroma, isEnharmonic, type Note } from '../pitch/note.ts';
import type { Chord } from './chord.ts';
import { formulaTones, type Tone } from './formula.ts';

/** What is to be said about one note somebody typed for a chord. */
export type SpelledTone =
  | { readonly kind: 'right'; readonly note: Note; readonly tone: Tone }
  /** The right sound on the wrong letter: `should` is how the chord writes it. */
  | { readonly kind: 'misspelt'; readonly note: Note; readonly tone: Tone; readonly should: Note }
  | { readonly kind: 'foreign'; readonly note: Note };

/** Holds typed notes against a chord: each right, on the wrong letter, or not in it; and what is missing. */
export function checkSpelling(
  chord: Chord,
  typed: readonly Note[],
): { readonly tones: readonly SpelledTone[]; readonly missing: readonly Note[] } {
  const tones = formulaTones(chord.formula);
  const checked = typed.map((note): SpelledTone => {
    const exact = tones.find(({ interval }) => chord.root + interval === note);
    if (exact !== undefined) return { kind: 'right', note, tone: exact };
    const sounding = tones.find(({ interval }) => isEnharmonic(chord.root + interval, note));
    return sounding === undefined
      ? { kind: 'foreign', note }
      : { kind: 'misspelt', note, tone: sounding, should: chord.root + sounding.interval };
  });
  const heard = new Set(typed.map(chroma));
  return { tones: checked, missing: tones.map(({ interval }) => chord.root + interval).filter((note) => !heard.has(chroma(note))) };
}

/** Tones by which two chords on one root differ, number by number; undefined on one side when it has none. */
export function tellApart(first: Chord, second: Chord): readonly { readonly first: Tone | undefined; readonly second: Tone | undefined }[] {
  const [a, b] = [formulaTones(first.formula), formulaTones(second.formula)];
  const numbers = [...new Set([...a, ...b].map(({ number }) => number))].sort((x, y) => x - y);
  return numbers
    .map((number) => ({ first: a.find((tone) => tone.number === number), second: b.find((tone) => tone.number === number) }))
    .filter((pair) => pair.first?.interval !== pair.second?.interval);
}
