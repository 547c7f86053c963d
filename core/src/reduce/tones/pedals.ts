import { chroma, type Note } from '../../pitch/note.ts';
import type { Harmony } from '../columns.ts';
import type { PedalSpan } from '../reduction.ts';

const FEWEST = 3;

/** Basses that stay while the harmony over them changes: where one of the chords does not own it, or for three chords on end. */
export function pedalsOf(harmonies: readonly Harmony[]): readonly PedalSpan[] {
  const spans: PedalSpan[] = [];
  let first = 0;
  for (let at = 1; at <= harmonies.length; at += 1) {
    const held = bassOf(harmonies[first]);
    if (at < harmonies.length && held !== null && isSame(held, bassOf(harmonies[at]))) continue;
    const row = harmonies.slice(first, at);
    const isPedal = row.length > 1 && (row.some((one) => one.isPedal) || row.length >= FEWEST);
    if (held !== null && isPedal)
      spans.push({ note: held, from: (row[0] as Harmony).from, to: (row.at(-1) as Harmony).to, columns: [first, at - 1] });
    first = at;
  }
  return spans;
}

function bassOf(harmony: Harmony | undefined): Note | null {
  const chord = harmony?.chord ?? null;
  return chord === null ? null : (chord.bass ?? chord.root);
}

const isSame = (a: Note, b: Note | null) => b !== null && chroma(a) === chroma(b);
