import type { Meter } from '../chart/chart.ts';
import type { Chord } from '../chord/chord.ts';
import type { Note } from '../pitch/note.ts';

/**
 * The smallest step of written time: a quarter has so many. Every usual value and tuplet down to a
 * 128th, thirds, fifths, sevenths and ninths of it, is a whole number of them.
 */
export const TICKS = 10_080;

/** Someone's line or lines in a score. */
export interface ScorePart {
  readonly id: string;
  readonly name: string;
}

/** A measure as it is written; the repeats around it are not played out. */
export interface Measure {
  /** As counted: 1, 2, 3 …; a pickup is 0. */
  readonly number: number;
  /** In ticks from the beginning. */
  readonly from: number;
  readonly to: number;
  readonly meter: Meter;
  /** Sharps, or flats below 0, as they sound; null where nobody says. */
  readonly fifths: number | null;
  /** Whether the source calls its key major or minor. */
  readonly mode: 'major' | 'minor' | null;
}

/** A note as it sounds. What is tied is one note. */
export interface ScoreNote {
  /** The id of its part. */
  readonly part: string;
  /** Whose line within the part: notes of one voice follow each other. */
  readonly voice: string;
  readonly staff: number;
  /** In ticks from the beginning. */
  readonly from: number;
  readonly to: number;
  readonly note: Note;
  /** Sounding pitch, middle C is 60. */
  readonly midi: number;
  /** The places of the written notes it is made of, in the order of its source; left out where nothing was written. */
  readonly written?: readonly number[];
}

/** A chord name that the source writes over its notes. */
export interface WrittenName {
  readonly at: number;
  /** Null for N.C. */
  readonly chord: Chord | null;
}

/** A written-out piece: parts, measures and every note in time, without anything of a file format. */
export interface Score {
  readonly title: string;
  readonly by: string;
  readonly parts: readonly ScorePart[];
  readonly measures: readonly Measure[];
  /** In the order of time, from the lowest up where they begin together. */
  readonly notes: readonly ScoreNote[];
  readonly names: readonly WrittenName[];
  /** Quarters a minute; null where nobody says. */
  readonly tempo: number | null;
}

/** Notes in the order of time, lowest first. */
export function inOrder(notes: readonly ScoreNote[]): readonly ScoreNote[] {
  return [...notes].sort((a, b) => a.from - b.from || a.midi - b.midi || a.to - b.to);
}

/** The piece moved by a distance on the line of fifths, sounding the nearest way. */
export function transposeScore(score: Score, fifths: number): Score {
  const up = ((((fifths * 7) % 12) + 18) % 12) - 6;
  return {
    ...score,
    measures: score.measures.map((measure) => ({ ...measure, fifths: measure.fifths === null ? null : measure.fifths + fifths })),
    notes: score.notes.map((note) => ({ ...note, note: note.note + fifths, midi: note.midi + up })),
    names: score.names.map(({ at, chord }) => ({
      at,
      chord: chord === null ? null : { ...chord, root: chord.root + fifths, bass: chord.bass === null ? null : chord.bass + fifths },
    })),
  };
}
