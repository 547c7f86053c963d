import type { RunPitch } from './run.ts';

/** Two notes' beats are the same within this, in beats: thirds do not add up exactly. */
const NEAR = 1e-6;

/**
 * Notes in time: the last one of every chord is held until the next chord's one, so that each begins on a bar line; chords of half
 * a bar or less begin on the half as well.
 *
 * @param notes in their order; those of one chord stand together
 * @param beatsPerBar beats of a bar, 4 when left out
 * @returns the same notes, the last of each chord longer by what its bar had left
 */
export function fillBars<Held extends RunPitch>(notes: readonly Held[], beatsPerBar = 4): readonly Held[] {
  let since = 0;
  return notes.map((note, index) => {
    since += note.beats;
    if (index + 1 < notes.length && notes[index + 1]?.chord === note.chord) return note;
    const unit = since <= beatsPerBar / 2 + NEAR ? beatsPerBar / 2 : beatsPerBar;
    const rest = Math.ceil(since / unit - NEAR) * unit - since;
    since = 0;
    return rest > NEAR ? { ...note, beats: note.beats + rest } : note;
  });
}
