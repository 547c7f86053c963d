import type { Key, Naming } from '@aurora/core';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';
import type { Build } from '../depth.ts';
import type { ColumnView } from '../harmonize-view.ts';

/** What every panel under the stage is given. */
export interface PanelProps {
  /** The key as it sounds, and as the reader reads it. */
  readonly sounding: Key;
  readonly written: Key;
  readonly naming: Naming;
  readonly build: Build;
  readonly columns: readonly ColumnView[];
  /** The selected degree, 0–6. */
  readonly index: number;
}

/** The panels under the stage, by the key that opens each. */
export const PANELS = [
  ['progression', HARMONIZE_WORDS.progression],
  ['why', HARMONIZE_WORDS.why],
  ['moves', HARMONIZE_WORDS.voiceLeading],
  ['compare', HARMONIZE_WORDS.compare],
  ['keys', HARMONIZE_WORDS.allKeys],
  ['modes', HARMONIZE_WORDS.modes],
  ['homes', HARMONIZE_WORDS.foundInKeys],
  ['string', HARMONIZE_WORDS.oneString],
  ['climb', HARMONIZE_WORDS.buildUp],
] as const;

export type PanelName = (typeof PANELS)[number][0];
