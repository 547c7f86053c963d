import type { Chord } from '../chord/chord.ts';
import type { Note } from '../pitch/note.ts';

/** How a note is struck; a slurred one is not struck at all. */
export type Stroke = 'down' | 'up';

/** How a note is reached from the one before without striking it. */
export type Slur = 'hammer' | 'pull' | 'slide';

/** What is to be played, before anybody has looked for it on the neck. */
export interface RunPitch {
  readonly midi: number;
  readonly note: Note;
  /** Its number: against the chord's root in an arpeggio, in the key in a scale. */
  readonly number: string;
  readonly beats: number;
  /** Which chord of the run it belongs to; its place in `Run.chords`. */
  readonly chord: number;
}

/** A note of a run on the neck. */
export interface RunNote extends RunPitch {
  /** 1 is the thinnest string. */
  readonly string: number;
  readonly fret: number;
  /** 0 for an open string. */
  readonly finger: number;
  /** Null for a slurred note. */
  readonly stroke: Stroke | null;
  readonly slur: Slur | null;
  /** Whether the hand has shifted along the neck to play it. */
  readonly shift: boolean;
}

/** Single notes one after another: a scale, arpeggios, a sweep. */
export interface Run {
  readonly notes: readonly RunNote[];
  /** The chords it goes through; a scale has none. */
  readonly chords: readonly Chord[];
  /** Notes that had to be left out because the neck or the position has no place for them. */
  readonly left: number;
}

export const NO_RUN: Run = { notes: [], chords: [], left: 0 };
