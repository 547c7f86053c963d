import type { ScoreNote } from './score.ts';

/** The notes that come before and after a note in its line, as places among the notes of the score; null where there is none. */
export interface Neighbours {
  readonly before: number | null;
  readonly after: number | null;
}

/** A longer silence ends a line: the notes around it are no steps of one another. */
const LONGEST_REST = 4 * 10_080;

/**
 * Who follows whom. In a voice of single notes it is the next note; where notes of a voice begin together,
 * each goes to the one that lies nearest.
 */
export function neighboursOf(notes: readonly ScoreNote[]): readonly Neighbours[] {
  const found: { before: number | null; after: number | null }[] = notes.map(() => ({ before: null, after: null }));
  for (const groups of voicesOf(notes)) {
    groups.forEach((group, at) => {
      const [earlier, later] = [groups[at - 1] ?? [], groups[at + 1] ?? []];
      for (const index of group) {
        const own = found[index] as { before: number | null; after: number | null };
        own.before = nearest(notes, index, earlier);
        own.after = nearest(notes, index, later);
      }
    });
  }
  return found;
}

/** The notes of each voice, those that begin together side by side. */
function voicesOf(notes: readonly ScoreNote[]): readonly (readonly number[][])[] {
  const voices = new Map<string, number[][]>();
  notes.forEach((note, index) => {
    const name = `${note.part} ${note.voice}`;
    const groups = voices.get(name);
    const last = groups?.at(-1);
    if (groups === undefined || last === undefined) voices.set(name, [[index]]);
    else if ((notes[last[0] as number] as ScoreNote).from === note.from) last.push(index);
    else groups.push([index]);
  });
  return [...voices.values()];
}

function nearest(notes: readonly ScoreNote[], index: number, group: readonly number[]): number | null {
  const own = notes[index] as ScoreNote;
  let best: number | null = null;
  for (const other of group) {
    const note = notes[other] as ScoreNote;
    const rest = note.from > own.from ? note.from - own.to : own.from - note.to;
    if (rest > LONGEST_REST) continue;
    if (best === null || Math.abs(note.midi - own.midi) < Math.abs((notes[best] as ScoreNote).midi - own.midi)) best = other;
  }
  return best;
}
