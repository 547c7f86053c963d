import type { Fingered } from './place-run.ts';
import type { RunNote, Slur, Stroke } from './run.ts';

/** How the picking hand goes: strictly down and up, or two notes slurred on a string after one stroke. */
export type Picking = 'alternate' | 'slurred';

/** Gives every note its stroke; `slurred` strikes only the first of each pair on one string. */
export function withStrokes(notes: readonly Fingered[], picking: Picking): readonly RunNote[] {
  let strokes = 0;
  let slurs = 0;
  return notes.map((note, index) => {
    const slur = picking === 'slurred' && slurs === 0 ? slurFrom(notes[index - 1], note) : null;
    slurs = slur === null ? 0 : 1;
    if (slur !== null) return { ...note, stroke: null, slur };
    strokes += 1;
    return { ...note, stroke: strokes % 2 === 1 ? 'down' : 'up', slur: null };
  });
}

const MOST_SLURRED = 5;

/** The slur that leads from one note to the next on the same string; null where it must be struck. */
function slurFrom(before: Fingered | undefined, note: Fingered): Slur | null {
  if (before === undefined || before.string !== note.string || before.chord !== note.chord) return null;
  const frets = Math.abs(note.fret - before.fret);
  if (frets === 0 || frets > MOST_SLURRED) return null;
  if (note.shift) return 'slide';
  return note.fret > before.fret ? 'hammer' : 'pull';
}

/** The given strokes, one a note; null where a note is slurred. */
export function strokesAs(notes: readonly Fingered[], strokes: readonly (Stroke | null)[]): readonly RunNote[] {
  return notes.map((note, index) => {
    const stroke = strokes[index] ?? null;
    return { ...note, stroke, slur: stroke === null ? (slurFrom(notes[index - 1], note) ?? null) : null };
  });
}
