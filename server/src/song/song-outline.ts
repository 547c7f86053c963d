import {
  analyze,
  changesOf,
  heightsOver,
  type Progression,
  printBar,
  printKey,
  printNumber,
  readProgression,
  roundsOf,
  songProfile,
} from '@aurora/core';

/**
 * The rules outlines are made by, counted up whenever an outline of the same chart comes out otherwise: songs
 * with an older one are worked out anew meanwhile, by the worker.
 */
export const OUTLINE_RULES = 1;

/** What a shelf shows and finds of a song, worked out from its chart at each save. */
export interface SongOutline {
  readonly title: string;
  readonly by: string;
  readonly key: string;
  readonly tempo: number | null;
  readonly bars: number;
  readonly opening: readonly string[];
  readonly ridge: readonly number[];
  readonly rounds: readonly string[];
  readonly changes: string;
}

/** How many bars the shelf shows of a song. */
const OPENING_BARS = 4;
/** Charts with more chords than any song are kept, but not drawn on the shelf. */
const MOST_OUTLINED = 3000;
/** As many points as a line on the shelf can show. */
const MOST_POINTS = 120;

/** Reads a chart as the shelf shows it. */
export function outlineOf(source: string): SongOutline {
  const progression = readProgression(source);
  const { head, bars } = progression.chart;
  return {
    title: head.title,
    by: head.by,
    key: printKey(head.key),
    tempo: head.tempo,
    bars: bars.length,
    opening: bars.slice(0, OPENING_BARS).map((bar) => printBar(bar, printNumber)),
    ...profileOf(progression),
  };
}

function profileOf(progression: Progression): Pick<SongOutline, 'ridge' | 'rounds' | 'changes'> {
  if (progression.chords.length > MOST_OUTLINED) return { ridge: [], rounds: [], changes: '' };
  const ridge = heightsOver(songProfile(analyze(progression)), MOST_POINTS);
  return { ridge, rounds: roundsOf(progression), changes: changesOf(progression) };
}
