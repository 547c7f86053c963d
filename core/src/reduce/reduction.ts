import type { Analysis, AnalyzedChord } from '../analysis/analysis.ts';
import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import type { Score } from '../score/score.ts';
import type { Cadence } from './cadences.ts';
import type { Rhythm } from './chord-path.ts';
import type { Remembered } from './said.ts';
import type { ToneKind } from './tones/tone-kinds.ts';

/** A pitch with its name. */
export interface SpelledPitch {
  readonly note: Note;
  readonly midi: number;
}

/** Who decided: the rules, or the player. */
export type By = 'rules' | 'player';

/** One harmony of a piece with everything there is to say about it. */
export interface Column {
  /** In ticks. */
  readonly from: number;
  readonly to: number;
  /** What sounds of the chord, lowest first; of an undecided one, everything. */
  readonly notes: readonly SpelledPitch[];
  /** Null where nothing is decided. */
  readonly chord: Chord | null;
  /** Which third is in the bass, from 0; null for a bass outside the chord. */
  readonly inversion: 0 | 1 | 2 | 3 | null;
  /** Index of its key. */
  readonly key: number;
  /** Number, numeral, function and reading; null without a chord. */
  readonly analyzed: AnalyzedChord | null;
  /** Its place among the chords of the analysis. */
  readonly place: number | null;
  readonly confidence: number;
  readonly others: readonly Chord[];
  /** Whether its bass lies under it as a pedal, and whether that could be heard either way. */
  readonly isPedal: boolean;
  readonly mayBePedal: boolean;
  /** The diminished chord's own story, where it is one that leads. */
  readonly leading: Leading | null;
  readonly by: By;
  /** What the rules would have it be, where the player says otherwise. */
  readonly ruled: Chord | null;
}

/** Where a diminished chord points: it shares its notes with a dominant of the same goal. */
export interface Leading {
  readonly target: Note;
  readonly keeps: 'kept' | 'later' | 'not-kept';
  readonly dominant: Chord;
}

/** A note outside its chord. */
export interface ReducedTone {
  /** Its place among the notes of the score. */
  readonly index: number;
  readonly at: number;
  readonly column: number;
  readonly kind: ToneKind;
  /** The note it goes to, by its place; null for none. */
  readonly resolvesTo: number | null;
  /** Over the bass, as figures: 4–3; null for what is no suspension or retardation. */
  readonly figures: readonly [number, number] | null;
  readonly by: By;
  /** What the rules call it, where the player says otherwise; `chord` for a chord tone. */
  readonly ruled: ToneKind | 'chord' | null;
}

/** A stretch in one key. */
export interface KeySpan {
  readonly key: Key;
  readonly from: number;
  readonly to: number;
  readonly by: By;
  /** The column that stands for the key before as well, with both numbers. */
  readonly pivot: { readonly column: number; readonly before: NumberChord; readonly after: NumberChord; readonly by: By } | null;
  /** A note that goes by a half step of one letter into one outside the key before. */
  readonly chromatic: { readonly from: number; readonly to: number } | null;
  /** The column of the cadence that confirms it. */
  readonly confirmedAt: number | null;
}

/** A bass that lies or comes again under changing harmony. */
export interface PedalSpan {
  readonly note: Note;
  readonly from: number;
  readonly to: number;
  /** First and last column over it. */
  readonly columns: readonly [number, number];
}

/** A piece as the harmony it comes to. */
export interface Reduction {
  readonly score: Score;
  readonly rhythm: Rhythm;
  readonly columns: readonly Column[];
  readonly tones: readonly ReducedTone[];
  readonly keys: readonly KeySpan[];
  readonly cadences: readonly Cadence[];
  readonly pedals: readonly PedalSpan[];
  /** The chords of the columns as a progression, analyzed. */
  readonly analysis: Analysis;
  /** What the player said that no longer fits what is written. */
  readonly stale: readonly Remembered[];
}
