import type { Meter } from '../chart/chart.ts';
import type { Chord } from '../chord/chord.ts';

/** A note as it sounds, in quarters from the beginning of the song. */
export interface SoundingNote {
  readonly midi: number;
  readonly from: number;
  readonly to: number;
  /** Whose note it is: notes of one voice or channel follow each other. */
  readonly voice: string;
}

/** A bar by its time, in quarters. */
export interface SoundingBar {
  readonly from: number;
  readonly to: number;
  readonly meter: Meter;
}

/** A chord found in what sounds, from where it begins, in quarters. */
export interface FoundChord {
  readonly at: number;
  /** Null where nothing sounds. */
  readonly chord: Chord | null;
  /** Whether the notes leave little doubt. */
  readonly sure: boolean;
}

/** What was found in the notes of a song. */
export interface FoundHarmony {
  readonly chords: readonly FoundChord[];
  /** Whether there was one melody alone, whose chords are suggestions. */
  readonly isMelody: boolean;
}
