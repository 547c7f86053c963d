import type { AccentSchool, Column, Naming, ReductionDepth } from '@aurora/core';
import { SCORE_WORDS } from '../../../wording/score.ts';
import type { ScoreWork } from './use-score-desk.ts';

/** What every part of the desk is given. */
export interface ScorePartProps {
  readonly work: ScoreWork;
  /** The column that is looked at. */
  readonly index: number;
  readonly column: Column | undefined;
  readonly naming: Naming;
  readonly school: AccentSchool;
  readonly depth: ReductionDepth;
  readonly onChoose: (index: number) => void;
}

/** The parts of the desk, by the digit that opens each. */
export const SCORE_PARTS = [
  ['harmony', SCORE_WORDS.harmony],
  ['notes', SCORE_WORDS.notes],
  ['keys', SCORE_WORDS.keys],
  ['out', SCORE_WORDS.out],
] as const;

export type ScorePartName = (typeof SCORE_PARTS)[number][0];
