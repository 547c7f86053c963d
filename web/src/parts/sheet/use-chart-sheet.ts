import {
  type ChartReading,
  type Key,
  lensOn,
  lettersFrom,
  type Note,
  type PartKind,
  type Projected,
  projectChart,
  soundingChords,
  timelineOf,
  withSwaps,
} from '@aurora/core';
import { type ChordSwap, MOST_CHART_BYTES } from '@aurora/wire';
import { useDeferredValue, useMemo, useRef } from 'react';
import { useSwaps } from '../../api/swaps.ts';
import { chartOf } from '../../document/open-chart.ts';
import { useLens, useReader } from '../../session/lens.ts';
import { useReads } from '../../session/use-reads.ts';

/** A chart read through the two lenses. */
export interface ChartOnDesk {
  readonly reading: ChartReading;
  readonly sheet: Projected;
  /** What of the chart is shown: all of it, or the reader's part. */
  readonly kind: PartKind;
  /** Home tonics that sound and that are read. */
  readonly sounding: Note;
  readonly written: Note;
  /** Changes with both lenses. */
  readonly letterKey: string;
  /** Turns over with each such change. */
  readonly turn: boolean;
  readonly timeline: ReturnType<typeof timelineOf>;
  readonly chordAt: (bar: number, place: number) => ReturnType<ReturnType<typeof lettersFrom>['chordIn']> | null;
  /** The key that sounds in a bar. */
  readonly keyAt: (bar: number) => Key | null;
  /** The text is too long to be a chart; it is kept, and not drawn. */
  readonly tooLong: boolean;
  /** The text the reading is of; a moment behind what is typed. */
  readonly text: string;
}

interface SheetWish {
  /** While it is written: all of it, also for a bass player or a drummer, who else see their part. */
  readonly whole?: boolean;
  /** Bars of the song itself, where a bridge to the next one follows. */
  readonly ownBars?: number | undefined;
  /** What is read of it; the reader's own part when left out. */
  readonly part?: PartKind | undefined;
}

/** A text so long is drawn a moment after it is typed. */
const LONG_TEXT = 6000;
/** More bars than this are not drawn at once. */
const MOST_BARS = 600;

/** Reads a text as a chart and lays it out. A long text may come a moment later, but not while its bars are written on the sheet itself. */
export function useChartSheet(songId: string, text: string, { whole = false, ownBars, part: wished }: SheetWish = {}): ChartOnDesk {
  const later = useDeferredValue(text);
  const deferred = whole || text.length < LONG_TEXT ? text : later;
  const tooLong = isTooLong(deferred);
  const shown = tooLong ? '' : deferred;
  const { reading } = chartOf(shown);
  const { key, homeKey, reader, naming } = useLens();
  const { show, part, words, cuesFor } = useReads();
  const kind = whole ? 'chart' : (wished ?? part);
  const swaps = useOwnSwaps(songId);
  const sounding = (key ?? homeKey ?? reading.head.key).tonic;
  const lens = useMemo(
    () => lensOn(reader.reader, { naming, show, kind, words, cuesFor, ...(ownBars === undefined ? {} : { ownBars }) }, reading, sounding),
    [reader, naming, show, kind, words, cuesFor, ownBars, reading, sounding],
  );
  const { written } = lens;
  const sheet = useMemo(() => projectChart(withSwaps(reading, swaps), lens, MOST_BARS), [reading, swaps, lens]);
  const letterKey = `${sounding} ${written} ${show}`;
  return {
    reading,
    sheet,
    kind,
    sounding,
    written,
    letterKey,
    turn: useTurn(letterKey),
    timeline: useMemo(() => timelineOf(reading), [reading]),
    ...useLetters(reading, sounding),
    tooLong,
    text: shown,
  };
}

/** The letters that sound, bar by bar. */
function useLetters(reading: ChartReading, sounding: Note): Pick<ChartOnDesk, 'chordAt' | 'keyAt'> {
  return useMemo(() => {
    const letters = lettersFrom(reading, sounding);
    return {
      chordAt: soundingChords(reading, letters),
      keyAt: (bar) => letters.keys[reading.bars[bar]?.stretch ?? -1] ?? null,
    };
  }, [reading, sounding]);
}

/** Chords that whoever reads plays otherwise in this song, as far as nobody minds. */
function useOwnSwaps(songId: string): readonly ChordSwap[] {
  const memberId = useReader().member?.id ?? null;
  const { swaps } = useSwaps(memberId === null ? '' : songId);
  return useMemo(() => swaps.filter((swap) => swap.memberId === memberId && swap.refusedBy === ''), [swaps, memberId]);
}

/** Turns over whenever a name changes. */
function useTurn(name: string): boolean {
  const last = useRef({ name, turn: false });
  if (last.current.name !== name) last.current = { name, turn: !last.current.turn };
  return last.current.turn;
}

/** A letter takes three bytes at most in half a surrogate pair, so that short texts need not be measured. */
const MOST_BYTES_A_LETTER = 3;

function isTooLong(text: string): boolean {
  if (text.length * MOST_BYTES_A_LETTER <= MOST_CHART_BYTES) return false;
  return text.length > MOST_CHART_BYTES || new Blob([text]).size > MOST_CHART_BYTES;
}
