import type { BarCell } from '@aurora/core';

/** What the analysis lays over a chord. */
export interface ChordLayer {
  readonly lines: readonly string[];
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}

/** Whether words or signs of form stand over the bar. */
export function hasWordsOver({ ending, signs, heading, after, closesRepeat }: BarCell): boolean {
  return ending !== null || signs.length > 0 || heading !== '' || after.length > 0 || (closesRepeat ?? 2) !== 2;
}

/** Whether anything stands over the bar: words, or beats and diamonds over its chords. */
export function hasOver(bar: BarCell): boolean {
  return hasWordsOver(bar) || bar.chords.some(({ beats, marks }) => beats !== null || marks.ring);
}
