import { printChange } from '../chart/change-text.ts';
import { printChart } from '../chart/chart-text.ts';
import { headValue, nearestTempo } from '../chart/head.ts';
import type { ChartReading } from '../chart/reading.ts';
import { printNumber } from '../degree/number-text.ts';

/**
 * The chart text at another tempo, in beats a minute. Changes of tempo within it keep their
 * proportion, in whole beats; where the head names no tempo they have none, and become the new one.
 */
export function withTempo({ chart, head }: ChartReading, tempo: number): string {
  const scaled = (bpm: number) => nearestTempo(head.tempo === null ? tempo : Math.round((bpm * tempo) / head.tempo));
  const text = printChart(chart, {
    chord: printNumber,
    change: (change) => printChange(change.kind === 'tempo' ? { kind: 'tempo', bpm: scaled(change.bpm) } : change),
    field: (name, value) => (name === 'tempo' ? String(nearestTempo(tempo)) : value),
  });
  if (headValue(chart.head, 'tempo') !== undefined) return text;
  const lines = text.split('\n');
  lines.splice(chart.head.length, 0, `tempo: ${nearestTempo(tempo)}`, ...(chart.head.length === 0 && text !== '' ? [''] : []));
  return lines.join('\n');
}
