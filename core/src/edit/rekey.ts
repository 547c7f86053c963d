import { printChange } from '../chart/change-text.ts';
import type { Change } from '../chart/chart.ts';
import { printChart } from '../chart/chart-text.ts';
import { countingTonic, headValue } from '../chart/head.ts';
import { type ChartReading, keysReadFrom, printBar, readChart } from '../chart/reading.ts';
import { chordOnTonic, type NumberChord, numberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { type Key, semitonesBetween } from '../key/key.ts';
import { printKey } from '../key/key-text.ts';
import { printRange } from '../key/range-text.ts';
import type { PitchRange } from '../pitch/pitch-text.ts';
import type { OpenChart } from './bar-edits.ts';
import { withHeadLine } from './head-edit.ts';

/** What stays when a song gets another home: what sounds, or the numbers. */
export type KeptInRekeying = 'sound' | 'numbers';

/**
 * The chart with another home key. With the numbers kept everything sounds in the new key, changes of
 * key and the melody's range included. With the sound kept every letter stays and is counted anew:
 * changes of key further on stay where they are, so that nothing behind them changes.
 */
export function rekey(chart: OpenChart, key: Key, keeps: KeptInRekeying): string {
  const { reading } = chart;
  if (reading.bars.length === 0) return withHeadLine(chart.source, reading, 'key', printKey(key));
  return keeps === 'numbers' ? moved(chart, key) : recounted(chart, key);
}

function moved({ source, reading }: OpenChart, key: Key): string {
  const { stretches, head } = reading;
  const keys = keysReadFrom(stretches, key.tonic);
  const range = head.range === null ? null : rangeMoved(head.range, semitonesBetween(head.key.tonic, key.tonic), key);
  const named = withHeadLine(source, reading, 'key', printKey(key));
  const follows = stretches.some(({ step }, index) => index > 0 && step === null);
  // letters in the text would be counted from the new key, so such a text is tidied
  if (!follows && sameNumbers(reading, readChart(named)))
    return range === null ? named : withHeadLine(named, readChart(named), 'range', range);
  let stretch = 0;
  return printed(reading, key, {
    chord: printNumber,
    change: (change) => {
      if (change.kind === 'key' || change.kind === 'step') stretch += 1;
      return printChange(change.kind === 'key' ? { kind: 'key', key: keys[stretch] as Key } : change);
    },
    field: (name, value) => (name === 'range' && range !== null ? range : value),
  });
}

function sameNumbers(before: ChartReading, after: ChartReading): boolean {
  const numbers = ({ bars }: ChartReading) => bars.map((bar) => printBar(bar, printNumber)).join(' ');
  return numbers(before) === numbers(after);
}

function rangeMoved(range: PitchRange, up: number, key: Key): string {
  // the nearer way round, so that a melody does not climb eleven half steps to fall one
  const by = up > 6 ? up - 12 : up;
  return printRange({ low: range.low + by, high: range.high + by }, key);
}

function recounted({ reading }: OpenChart, key: Key): string {
  const { stretches, head } = reading;
  const [from, to] = [countingTonic(head.key, head.numbering), countingTonic(key, head.numbering)];
  let stretch = 0;
  return printed(reading, key, {
    chord: (chord) => printNumber(stretch === 0 ? counted(chord, from, to) : chord),
    change: (change): string => {
      if (change.kind !== 'key' && change.kind !== 'step') return printChange(change);
      stretch += 1;
      // a step from the old home is the key it led to, as long as nothing has named one in between
      const named: Change = { kind: 'key', key: (stretches[stretch] as { readonly key: Key }).key };
      return printChange(stretch === 1 ? named : change);
    },
    field: (_, value) => value,
  });
}

function counted(chord: NumberChord, from: number, to: number): NumberChord {
  return numberChord(chordOnTonic(chord, from), to);
}

type Printer = NonNullable<Parameters<typeof printChart>[1]>;

function printed({ chart }: OpenChart['reading'], key: Key, printer: Printer): string {
  const named = headValue(chart.head, 'key') !== undefined;
  const text = printChart(chart, { ...printer, field: (name, value) => (name === 'key' ? printKey(key) : printer.field(name, value)) });
  if (named) return text;
  const lines = text.split('\n');
  lines.splice(chart.head.length, 0, `key: ${printKey(key)}`, ...(chart.head.length === 0 ? [''] : []));
  return lines.join('\n');
}
