import type { HarmonicFunction } from '../harmony/function-table.ts';
import type { Analysis } from './analysis.ts';

/** What a chord does, as the ridge draws it: one of the three functions, or outside the key. */
export type RidgeRole = HarmonicFunction | 'outside';

/** A chord of the ridge: a plateau as wide as it lasts. */
export interface RidgeSpan {
  /** Which chord of the progression, from 0, and in which written bar. */
  readonly index: number;
  readonly bar: number;
  /** Beats from the beginning of the chart as it is written; a chord lasts until the next one begins. */
  readonly from: number;
  readonly to: number;
  /** Height of the ground of its key, and of the chord itself; see `ridgePoint`. */
  readonly ground: number;
  readonly top: number;
  readonly role: RidgeRole;
}

/** A part of the chart on the ridge's floor. */
interface RidgeSection {
  readonly name: string;
  readonly from: number;
  readonly to: number;
  readonly times: number;
}

/** A song's ridge, measured in beats. */
export interface SongProfile {
  readonly spans: readonly RidgeSpan[];
  readonly sections: readonly RidgeSection[];
  /** Beats of the whole chart as written. */
  readonly beats: number;
}

/** The ridge of a song as wide as its bars are long: a bar with two chords is no wider than one with a single chord. */
export function songProfile({ progression, ridge, chords }: Analysis): SongProfile {
  const { bars, sections } = progression.chart;
  const starts = [0];
  for (const { meter, pickup } of bars) starts.push((starts.at(-1) as number) + (pickup ?? meter.beats));
  const beats = starts.at(-1) as number;
  const begins = progression.chords.map(({ bar, place }) => (starts[bar] ?? beats) + beatsBefore(bars[bar], place));
  const spans = ridge.map(({ ground, height }, index): RidgeSpan => {
    const { bar } = progression.chords[index] as Analysis['progression']['chords'][number];
    const { reading, function: does } = chords[index] as Analysis['chords'][number];
    return {
      index,
      bar,
      from: index === 0 ? 0 : (begins[index] as number),
      to: begins[index + 1] ?? beats,
      ground,
      top: ground + height,
      role: INSIDE.includes(reading.kind) && does !== 'other' ? does : 'outside',
    };
  });
  return {
    spans,
    sections: sections
      .filter(({ count }) => count > 0)
      .map(({ name, from, count, times }) => ({ name, from: starts[from] ?? beats, to: starts[from + count] ?? beats, times })),
    beats,
  };
}

/** Readings of chords that belong to their key, or stand over one of its notes. */
const INSIDE: readonly string[] = ['diatonic', 'pedal', 'line-cliche'];

type Bar = Analysis['progression']['chart']['bars'][number];

/** Beats of a bar before one of its chords; where a bar does not add up, its chords share it alike. */
function beatsBefore(bar: Bar | undefined, place: number): number {
  if (bar === undefined) return 0;
  const alike = (bar.pickup ?? bar.meter.beats) / Math.max(1, bar.chords.length);
  return bar.chords.slice(0, place).reduce((sum, { beats }) => sum + (beats ?? alike), 0);
}

/**
 * The heights of a profile at equal steps of its time: one a beat, or as many as asked for where the
 * song has more beats.
 */
export function heightsOver({ spans, beats }: Pick<SongProfile, 'spans' | 'beats'>, most: number): readonly number[] {
  if (spans.length === 0) return [];
  const count = Math.max(1, Math.min(most, Math.ceil(beats)));
  const step = beats / count;
  let at = 0;
  return Array.from({ length: count }, (_, place) => {
    const time = (place + 0.5) * step;
    while (at < spans.length - 1 && (spans[at] as RidgeSpan).to <= time) at += 1;
    return (spans[at] as RidgeSpan).top;
  });
}
