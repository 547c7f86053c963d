import {
  type ChartReading,
  type Chord,
  countingTonic,
  type Key,
  keysReadFrom,
  type Letters,
  lettersFrom,
  type Note,
  numberChord,
  printNumber,
  readChart,
} from '@aurora/core';

/** A chord of a progression as it sounds, how long it lasts, and where it stands. */
export interface SongChord {
  readonly chord: Chord;
  readonly beats: number;
  /** Bar of the performance, from 1. */
  readonly bar: number;
  readonly section: string | null;
}

/** More chords than this are not taken at once. */
export const MOST_CHORDS = 600;

/** The chords of a chart in playing order with its home on `tonic`; one held over bars counts once. */
export function chordsPlayed(reading: ChartReading, tonic: Note): readonly SongChord[] {
  const letters = lettersFrom(reading, tonic);
  const found: SongChord[] = [];
  reading.performance.order.slice(0, MOST_CHORDS).forEach((place, index) => {
    for (const played of chordsOfBar(reading, letters, place)) {
      const before = found.at(-1);
      if (before !== undefined && isSame(before.chord, played.chord))
        found[found.length - 1] = { ...before, beats: before.beats + played.beats };
      else found.push({ ...played, bar: index + 1 });
    }
  });
  return found.slice(0, MOST_CHORDS);
}

function chordsOfBar({ bars, sections }: ChartReading, letters: Letters, place: number): readonly Omit<SongChord, 'bar'>[] {
  const bar = bars[place];
  if (bar === undefined) return [];
  const section = bar.section === null ? null : (sections[bar.section]?.name ?? null);
  return bar.chords.flatMap(({ chord, beats }) =>
    chord === null ? [] : [{ chord: letters.chordIn(chord, bar.stretch), beats: beats ?? bar.meter.beats, section }],
  );
}

function isSame(a: Chord, b: Chord): boolean {
  return a.root === b.root && a.formula === b.formula && a.bass === b.bass;
}

const BARS_A_LINE = 4;

/** The chart with one more bar at its end, counted in the key in force there while its home sounds on `tonic`. */
export function withBarAdded(source: string, chord: Chord, tonic: Note): string {
  const reading = readChart(source);
  const key = keysReadFrom(reading.stretches, tonic).at(-1) as Key;
  const token = printNumber(numberChord(chord, countingTonic(key, reading.head.numbering)));
  const text = source.trimEnd();
  const last = reading.bars.at(-1);
  const onLine = reading.bars.filter(({ at }) => at.line === last?.at.line).length;
  const isEnd = last !== undefined && last.at.line === text.split('\n').length && !text.endsWith('|');
  return `${text}${isEnd && onLine < BARS_A_LINE ? ' ' : '\n'}${token}\n`;
}
