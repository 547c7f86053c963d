import { printChord } from '../chord/chord-text.ts';
import type { NumberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { printRoman } from '../degree/roman-text.ts';
import { printKey } from '../key/key-text.ts';
import type { Note } from '../pitch/note.ts';
import { printChange } from './change-text.ts';
import type { Change } from './chart.ts';
import { printChart } from './chart-text.ts';
import { headValue } from './head.ts';
import { type ChartReading, type Letters, lettersFrom, printBar } from './reading.ts';

/** How the chords of a rendered chart are written. */
export type ChordView = 'numbers' | 'letters' | 'roman';

/** A chart as somebody reads it. */
export interface RenderedChart {
  /** The key the letters are in. */
  readonly key: string;
  /** The whole chart as text, head and marks included. */
  readonly text: string;
  /** One string a written bar. */
  readonly bars: readonly string[];
  /** One string a bar played, in playing order. */
  readonly performed: readonly string[];
}

/** Writes the chart with its home on `tonic`. Only letters and key names depend on it. */
export function renderChart(reading: ChartReading, tonic: Note, view: ChordView): RenderedChart {
  const letters = lettersFrom(reading, tonic);
  const print = chordPrinter(letters, view);
  const bars = reading.bars.map((bar) => printBar(bar, print));
  return {
    key: printKey(letters.keys[0] as ChartReading['head']['key']),
    text: renderText(reading, letters, print),
    bars,
    performed: reading.performance.order.map((index) => bars[index] as string),
  };
}

function chordPrinter(letters: Letters, view: ChordView): (chord: NumberChord, stretch: number) => string {
  if (view === 'numbers') return printNumber;
  if (view === 'roman') return (chord) => printRoman(chord);
  return (chord, stretch) => printChord(letters.chordIn(chord, stretch));
}

function renderText(reading: ChartReading, letters: Letters, print: (chord: NumberChord, stretch: number) => string): string {
  let stretch = 0;
  const change = (passed: Change): string => {
    if (passed.kind === 'key' || passed.kind === 'step') stretch += 1;
    const key = letters.keys[stretch];
    return printChange(passed.kind === 'key' && key !== undefined ? { kind: 'key', key } : passed);
  };
  const key = printKey(letters.keys[0] as ChartReading['head']['key']);
  const named = headValue(reading.chart.head, 'key') !== undefined;
  const text = printChart(reading.chart, {
    chord: (chord) => print(chord, stretch),
    change,
    field: (name, value) => (name === 'key' ? key : value),
  });
  return named ? text : `key: ${key}\n${reading.chart.head.length === 0 && text !== '' ? '\n' : ''}${text}`;
}
