import type { PitchRange } from '@aurora/core';
import type { CSSProperties } from 'react';

/** The one scale that keyboard, voices and melodies are drawn on: half steps from the lowest key to the highest, as MIDI numbers. */
export interface VoiceScale {
  readonly lowest: number;
  readonly highest: number;
}

/** Half steps to each side of what is sung. */
const BESIDE = 4;
/** From E2 to C6 where nobody sings yet. */
const WHOLE: VoiceScale = { lowest: 40, highest: 84 };

/** As much of the keyboard as the voices and the melody need. */
export function voiceScale(ranges: readonly PitchRange[]): VoiceScale {
  if (ranges.length === 0) return WHOLE;
  return {
    lowest: Math.min(...ranges.map(({ low }) => low)) - BESIDE,
    highest: Math.max(...ranges.map(({ high }) => high)) + BESIDE,
  };
}

/** Where a range lies on the scale, in shares of its width. */
export function placedOn({ lowest, highest }: VoiceScale, { low, high }: PitchRange): CSSProperties {
  const keys = highest - lowest + 1;
  const [from, to] = [Math.max(lowest, low), Math.min(highest, high)];
  return { left: `${(100 * (from - lowest)) / keys}%`, width: `${(100 * (to - from + 1)) / keys}%` };
}
