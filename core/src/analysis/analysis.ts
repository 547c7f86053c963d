import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { HarmonicFunction } from '../harmony/function-table.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import type { Progression } from '../progression/progression.ts';
import type { ChordScale } from './chord-scales.ts';
import type { KeyReason } from './home/key-evidence.ts';
import type { Override } from './override-text.ts';
import type { Pattern } from './pattern.ts';
import type { Reading } from './reading.ts';
import type { RidgePoint } from './ridge.ts';

/** Two schools: a ii–V makes its target a momentary tonic, or everything is told from the home key. */
export type Hearing = 'local' | 'home';

/** A key the song may be in. */
export interface RankedKey {
  readonly key: Key;
  /** 0 to 100, how well the song sits in it; only the order and the gaps mean something. */
  readonly score: number;
  readonly reasons: readonly KeyReason[];
}

/** Whether one key leads, two are as good as each other, or the key was given. */
export type Lead = 'clear' | 'two-homes' | 'given' | 'none';

/** A stretch in one key. Indices count chords, `to` is the last one. */
export interface Region {
  readonly key: Key;
  readonly from: number;
  readonly to: number;
  /** The chord that belongs to both keys, with its number in the key before. */
  readonly pivot: { readonly index: number; readonly numberBefore: NumberChord } | null;
  /** The tonic that a cadence of the new key leads into. */
  readonly confirmedAt: number | null;
  /** Who says so: the rules, the chart's own key marks, or the player. */
  readonly by: 'rules' | 'chart' | 'player';
}

/** A chord's part in a ii–V–I into a degree of the key. */
export interface LocalPart {
  readonly part: 'two' | 'five' | 'one';
  /** The plain triad of the degree that is tonic for a moment. */
  readonly target: NumberChord;
}

/** A chord with everything there is to say about it. */
export interface AnalyzedChord {
  readonly chord: Chord;
  /** Its number from the key of its region. */
  readonly number: NumberChord;
  /** Index of its region. */
  readonly region: number;
  readonly roman: string;
  readonly function: HarmonicFunction | 'other';
  readonly reading: Reading;
  /** The next best readings, at most two, each of another kind. */
  readonly others: readonly Reading[];
  readonly local: LocalPart | null;
  readonly scales: readonly ChordScale[];
  /** What the player says of it, when that is in force or no longer fits. */
  readonly override: Override | null;
}

/** A chord that reads differently when optional chords are left out. */
export interface WithoutOptional {
  readonly index: number;
  readonly reading: Reading;
}

export interface Analysis {
  readonly progression: Progression;
  readonly hearing: Hearing;
  readonly lead: Lead;
  /** Best first; the first one is the home. */
  readonly keys: readonly RankedKey[];
  readonly regions: readonly Region[];
  /** As the progression's chords. */
  readonly chords: readonly AnalyzedChord[];
  readonly patterns: readonly Pattern[];
  readonly ridge: readonly RidgePoint[];
  readonly withoutOptional: readonly WithoutOptional[];
  /** Everything the player has said, whether it still fits or not. */
  readonly overrides: readonly Override[];
}

/** What an analysis may be asked with. */
export interface AnalysisWish {
  /** The home key, when it is known. */
  readonly key?: Key;
  readonly hearing?: Hearing;
  /** Melody notes by chord index; a scale without its chord's melody note is ruled out. */
  readonly melody?: ReadonlyMap<number, Note>;
}
