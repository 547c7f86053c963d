import type { PitchRange } from '@aurora/core';

/** The range after a note was tapped: outside it widens, inside the nearer end moves there. */
export function tapped(range: PitchRange | null, midi: number): PitchRange {
  if (range === null) return { low: midi, high: midi };
  if (midi < range.low) return { ...range, low: midi };
  if (midi > range.high) return { ...range, high: midi };
  return midi - range.low <= range.high - midi ? { ...range, low: midi } : { ...range, high: midi };
}
