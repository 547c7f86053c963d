import { printBarToken, type WrittenBar } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';
import { commonPairs } from './common-pairs.ts';

/** A bar in both charts, in one of them only, or changed from one to the other. Indices of written bars. */
export type BarChange =
  | { readonly kind: 'same'; readonly before: number; readonly after: number }
  | { readonly kind: 'changed'; readonly before: number; readonly after: number }
  | { readonly kind: 'removed'; readonly before: number }
  | { readonly kind: 'added'; readonly after: number };

/**
 * What became of every bar from one chart to another: the longest run of bars that both have, in
 * order; what lies between is changed bar by bar as far as it goes, then removed or added. Bars are
 * compared by their chords, marks, meter and key step, not by how they are typed.
 */
export function compareCharts(before: ChartReading, after: ChartReading): readonly BarChange[] {
  const [old, now] = [before.bars.map((bar) => nameOf(bar, before)), after.bars.map((bar) => nameOf(bar, after))];
  const pairs = commonPairs(old, now);
  const changes: BarChange[] = [];
  let [from, to] = [0, 0];
  for (const [left, right] of [...pairs, [old.length, now.length] as const]) {
    const both = Math.min(left - from, right - to);
    for (let step = 0; step < both; step += 1) changes.push({ kind: 'changed', before: from + step, after: to + step });
    for (let bar = from + both; bar < left; bar += 1) changes.push({ kind: 'removed', before: bar });
    for (let bar = to + both; bar < right; bar += 1) changes.push({ kind: 'added', after: bar });
    if (left < old.length) changes.push({ kind: 'same', before: left, after: right });
    [from, to] = [left + 1, right + 1];
  }
  return changes;
}

function nameOf(bar: WrittenBar, { stretches }: ChartReading): string {
  const step = stretches[bar.stretch]?.key.tonic ?? 0;
  const home = stretches[0]?.key.tonic ?? 0;
  return `${printBarToken(bar)} ${bar.meter.beats}/${bar.meter.unit} ${step - home}`;
}
