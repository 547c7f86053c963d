import { type Chord, writableChord } from '../chord/chord.ts';
import { chordOnTonic, type NumberChord } from '../degree/degree.ts';
import { type Key, moveKey, semitonesBetween } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import { type KeyStretch, readBars, type WrittenBar, type WrittenBars } from './bars.ts';
import type { Chart, Problem } from './chart.ts';
import { parseChart } from './chart-text.ts';
import { countingTonic, type Head } from './head.ts';
import { type Performance, performBars } from './performance.ts';

/** A chart text read whole: its value, its bars, how it is played, and what is wrong with it. */
export interface ChartReading extends Omit<WrittenBars, 'problems'> {
  readonly chart: Chart;
  readonly head: Head;
  readonly performance: Performance;
  /** In the order they stand in the text. */
  readonly problems: readonly Problem[];
}

/** Reads a chart text. Any text is read; what is wrong with it is in `problems`. */
export function readChart(text: string): ChartReading {
  const { chart, head, problems } = parseChart(text);
  const written = readBars(chart, head);
  const performance = performBars(written, head);
  const all = [...problems, ...written.problems, ...performance.problems];
  all.sort((a, b) => a.at.line - b.at.line || a.at.column - b.at.column);
  return { ...written, chart, head, performance, problems: all };
}

/**
 * The key of every stretch when the chart is read with its home on `tonic`. Read at home, keys
 * stay as typed; elsewhere all of them move by the same half steps and take their simplest name.
 */
export function keysReadFrom(stretches: readonly KeyStretch[], tonic: Note): readonly Key[] {
  const home = (stretches[0] as KeyStretch).key;
  if (tonic === home.tonic) return stretches.map((stretch) => stretch.key);
  const semitones = semitonesBetween(home.tonic, tonic);
  const keys: Key[] = [{ tonic, scale: home.scale }];
  for (const stretch of stretches.slice(1)) {
    const before = keys.at(-1) as Key;
    keys.push(stretch.step === null ? moveKey(stretch.key, semitones, before) : moveKey(before, stretch.step));
  }
  return keys;
}

/** The letters of the reading: which chord a number stands for in each bar. */
export interface Letters {
  readonly keys: readonly Key[];
  readonly chordIn: (chord: NumberChord, stretch: number) => Chord;
}

/** Letters for a chart read with its home on `tonic`. Numbers are not touched. */
export function lettersFrom(reading: Pick<ChartReading, 'stretches' | 'head'>, tonic: Note): Letters {
  const keys = keysReadFrom(reading.stretches, tonic);
  const counting = keys.map((key) => countingTonic(key, reading.head.numbering));
  return { keys, chordIn: (chord, stretch) => writableChord(chordOnTonic(chord, counting[stretch] as Note)) };
}

/** Which chord sounds at a place of a written bar; null where nobody plays. */
export function soundingChords({ bars }: Pick<ChartReading, 'bars'>, letters: Letters): (bar: number, place: number) => Chord | null {
  return (bar, place) => {
    const { chords = [], stretch = 0 } = bars[bar] ?? {};
    const chord = chords[place]?.chord ?? null;
    return chord === null ? null : letters.chordIn(chord, stretch);
  };
}

/**
 * The note that letters in a bar count from, when the chart is read with its home on `tonic`: what a
 * letter typed there means. Behind the last bar, in the key the chart has come to.
 */
export function lettersTonic({ bars, stretches, head }: Pick<ChartReading, 'bars' | 'stretches' | 'head'>, bar: number, tonic: Note): Note {
  const stretch = bars[bar]?.stretch ?? stretches.length - 1;
  return countingTonic(keysReadFrom(stretches, tonic)[stretch] as Key, head.numbering);
}

/** One string a bar: its chords through `print`, joined by a space, marks left out. */
export function printBar(bar: WrittenBar, print: (chord: NumberChord, stretch: number) => string): string {
  return bar.chords.map(({ chord }) => (chord === null ? 'NC' : print(chord, bar.stretch))).join(' ');
}
