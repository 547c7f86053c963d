import type { Key, Naming } from '@aurora/core';
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
  ['progression', 'Progression'],
  ['why', 'Why'],
  ['moves', 'Voice leading'],
  ['compare', 'Compare'],
  ['keys', 'All keys'],
  ['modes', 'Modes'],
  ['homes', 'Found in keys'],
  ['string', 'One string'],
  ['climb', 'Build up'],
] as const;

export type PanelName = (typeof PANELS)[number][0];
