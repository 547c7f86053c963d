import type { NumberChord } from '../degree/degree.ts';
import type { WrittenBar } from './bars.ts';
import type { Meter } from './chart.ts';
import type { ChartReading } from './reading.ts';

/** A chord as it sounds within its bar. */
export interface TimedChord {
  /** Its place in the bar. */
  readonly place: number;
  /** Null where nobody plays. */
  readonly chord: NumberChord | null;
  /** Beats after the bar begins; below 0 when it is pushed in from the bar before. */
  readonly at: number;
  readonly beats: number;
  readonly stop: boolean;
  readonly ring: boolean;
}

/** A bar as it is played. */
export interface TimedBar {
  /** Index of the written bar. */
  readonly bar: number;
  /** Index of the part of the performance it belongs to. */
  readonly part: number;
  readonly beats: number;
  readonly meter: Meter;
  /** Beats a minute as the chart says; null when it does not. */
  readonly tempo: number | null;
  /** Written beats that one beat of the tempo lasts: 3 in 6/8, 9/8 and 12/8, else 1. */
  readonly pulse: number;
  readonly stretch: number;
  readonly chords: readonly TimedChord[];
}

/** The performance bar by bar with everything a player needs. A bar that does not add up is shared equally. */
export function timelineOf(reading: ChartReading): readonly TimedBar[] {
  const partAt = reading.performance.parts.flatMap(({ count }, part) => Array.from({ length: count }, () => part));
  return reading.performance.order.map((index, order) => {
    const bar = reading.bars[index] as WrittenBar;
    const beats = bar.pickup !== null && bar.pickup <= bar.meter.beats ? bar.pickup : bar.meter.beats;
    return {
      bar: index,
      part: partAt[order] ?? 0,
      beats,
      meter: bar.meter,
      tempo: bar.tempo,
      pulse: pulseOf(bar.meter),
      stretch: bar.stretch,
      chords: timedChords(bar, beats),
    };
  });
}

/** How many written beats a beat of the tempo lasts. */
export function pulseOf({ beats, unit }: Meter): number {
  return unit === 8 && beats > 3 && beats % 3 === 0 ? 3 : 1;
}

const EIGHTHS_A_WHOLE = 8;

function timedChords({ chords, meter }: WrittenBar, beats: number): readonly TimedChord[] {
  const early = meter.unit / EIGHTHS_A_WHOLE;
  const share = beats / Math.max(1, chords.length);
  const starts: number[] = [];
  let at = 0;
  for (const chord of chords) {
    starts.push(chord.push ? at - early : at);
    at += chord.beats ?? share;
  }
  return chords.map(({ chord, stop, ring }, place) => {
    const start = starts[place] as number;
    return { place, chord, at: start, beats: (starts[place + 1] ?? beats) - start, stop, ring };
  });
}

/** Seconds the performance lasts at the chart's tempos, or at another one throughout; null when no tempo is known. */
export function secondsOf(timeline: readonly TimedBar[], tempo: number | null = null): number | null {
  let seconds = 0;
  for (const bar of timeline) {
    const bpm = tempo ?? bar.tempo;
    if (bpm === null) return null;
    seconds += ((bar.beats / bar.pulse) * 60) / bpm;
  }
  return seconds;
}
