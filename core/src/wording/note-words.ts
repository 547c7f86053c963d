import { type Chord, chordNotes } from '../chord/chord.ts';
import { mod } from '../fault.ts';
import { type Naming, nameNote } from '../naming/naming.ts';
import { chroma, type Note } from '../pitch/note.ts';

/** A note of one chord that goes by a step into a note of the next, in half steps. */
interface NoteStep {
  readonly from: Note;
  readonly to: Note;
  readonly by: number;
}

/** Notes the first chord has and the next has not, with the step they take into it. */
export function stepsInto(from: Chord, to: Chord): readonly NoteStep[] {
  const next = chordNotes(to);
  return chordNotes(from).flatMap((note): NoteStep[] => {
    if (next.some((other) => chroma(other) === chroma(note))) return [];
    const steps = next.flatMap((other): NoteStep[] => {
      const by = mod(chroma(other) - chroma(note) + 6, 12) - 6;
      return Math.abs(by) <= 2 ? [{ from: note, to: other, by }] : [];
    });
    return steps.sort((a, b) => Math.abs(a.by) - Math.abs(b.by)).slice(0, 1);
  });
}

/** `B rises to C and F falls to E`. */
export function movesText(moves: readonly NoteStep[], { notes }: Naming): string {
  const one = ({ from, to, by }: NoteStep) => `${nameNote(from, notes)} ${by > 0 ? 'rises' : 'falls'} to ${nameNote(to, notes)}`;
  return moves.map(one).join(' and ');
}

/** Notes of the second chord that the first one has too. */
export function commonNotes(before: Chord, chord: Chord): readonly Note[] {
  const notes = chordNotes(before);
  return chordNotes(chord).filter((note) => notes.some((other) => chroma(other) === chroma(note)));
}

/** The notes that one voice goes through by half steps, one in each chord. */
export function walkedNotes(chords: readonly Chord[]): readonly Note[] {
  const notesOf = (chord: Chord) => [...chordNotes(chord), ...(chord.bass === null ? [] : [chord.bass])];
  const [first, ...rest] = chords;
  if (first === undefined) return [];
  for (const by of [11, 1]) {
    for (const start of notesOf(first)) {
      const line: Note[] = [start];
      for (const chord of rest) {
        const next = notesOf(chord).find((note) => mod(chroma(note) - chroma(line.at(-1) as Note), 12) === by);
        if (next === undefined) break;
        line.push(next);
      }
      if (line.length === chords.length) return line;
    }
  }
  return [];
}
