import type { ScoreNote } from './score.ts';

/** A written note, and whether it is tied to the one after and the one before. */
export interface TiedNote extends ScoreNote {
  readonly tied: { readonly goesOn: boolean; readonly cameOn: boolean };
}

type Growing = ScoreNote & { to: number; written?: readonly number[] };

/** Written notes as they sound: those that are tied are one. They come part by part, in the order of time. */
export function joinTies(notes: readonly TiedNote[]): readonly ScoreNote[] {
  const joined: Growing[] = [];
  const open = new Map<string, Growing>();
  for (const { tied, ...note } of notes) {
    const place = (time: number) => `${note.part} ${note.midi} ${time}`;
    const before = tied.cameOn ? open.get(place(note.from)) : undefined;
    const sounding: Growing = before ?? { ...note };
    if (before?.written !== undefined && note.written !== undefined) before.written = [...before.written, ...note.written];
    if (before === undefined) joined.push(sounding);
    sounding.to = note.to;
    open.delete(place(note.from));
    if (tied.goesOn) open.set(place(note.to), sounding);
  }
  return joined;
}
