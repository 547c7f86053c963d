import type { BarCell } from '@aurora/core';

/** What the analysis lays over a chord. */
export interface ChordLayer {
  readonly lines: readonly string[];
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}

/** Whether anything stands over the bar. */
export function hasOver({ ending, signs, heading, after, closesRepeat, chords }: BarCell): boolean {
  const marked = ending !== null || signs.length > 0 || heading !== '' || after.length > 0 || (closesRepeat ?? 2) !== 2;
  return marked || chords.some(({ beats }) => beats !== null);
}
