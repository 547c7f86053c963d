import type { Analysis, Chord, ChordScale, Naming, Note } from '@aurora/core';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

/** What every part of the room is given. */
export interface AnalyzePartProps {
  readonly analysis: Analysis;
  /** Which chord is looked at. */
  readonly index: number;
  readonly source: string;
  readonly naming: Naming;
  /** Puts another text in the place of the song's. */
  readonly onWrite: (source: string) => void;
  readonly onSelect: (index: number) => void;
  readonly onMark: (range: { readonly from: number; readonly to: number } | null) => void;
  readonly scale: ChordScale | null;
  readonly onScale: (scale: ChordScale) => void;
  readonly melody: Note | null;
  readonly onMelody: (note: Note | null) => void;
  readonly onHear: (id: string, chords: readonly Chord[]) => void;
  readonly songId: string | undefined;
}

/** The parts of the room, by the digit that opens each. */
export const ANALYZE_PARTS = [
  ['reading', ANALYZE_WORDS.function],
  ['scales', ANALYZE_WORDS.scales],
  ['what-if', ANALYZE_WORDS.whatIf],
  ['patterns', ANALYZE_WORDS.patterns],
] as const;

export type AnalyzePartName = (typeof ANALYZE_PARTS)[number][0];
