import type { ChartReading } from '../chart/reading.ts';
import type { NumberChord } from '../degree/degree.ts';
import { parseNumber, printNumber } from '../degree/number-text.ts';

/** Another chord that one player reads where the chart has this one; both as numbers of a chart. */
export interface ChordSwap {
  readonly chord: string;
  /** The stretch of the chart, its keys counted from 0, that it goes for. */
  readonly stretch: number;
  readonly instead: string;
}

/** The chart as it stands for a player who plays some chords otherwise. What cannot be read is not swapped. */
export function withSwaps(reading: ChartReading, swaps: readonly ChordSwap[]): ChartReading {
  if (swaps.length === 0) return reading;
  const instead = new Map<string, NumberChord>();
  for (const swap of swaps) {
    const read = parseNumber(swap.instead, 0);
    if (read.ok) instead.set(`${swap.stretch} ${swap.chord}`, read.value);
  }
  const bars = reading.bars.map((bar) => ({
    ...bar,
    chords: bar.chords.map((slot) =>
      slot.chord === null ? slot : { ...slot, chord: instead.get(`${bar.stretch} ${printNumber(slot.chord)}`) ?? slot.chord },
    ),
  }));
  return { ...reading, bars };
}
