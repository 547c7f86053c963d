import { printBarToken, type WrittenBar } from '../chart/bars.ts';
import type { ChartReading } from '../chart/reading.ts';

/** A bar in both charts, in one of them only, or changed from one to the other. Indices of written bars. */
export type BarChange =
  | { readonly kind: 'same'; readonly before: number; readonly after: number }
  | { readonly kind: 'changed'; readonly before: number; readonly after: number }
  | { readonly kind: 'removed'; readonly before: number }
  | { readonly kind: 'added'; readonly after: number };

/** Beyond so many bars only what is alike at both ends is paired. */
const MOST_PAIRED = 1200;

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

/** Pairs of equal bars in order, as many as can be. */
function commonPairs(old: readonly string[], now: readonly string[]): readonly (readonly [number, number])[] {
  let start = 0;
  while (start < Math.min(old.length, now.length) && old[start] === now[start]) start += 1;
  let end = 0;
  while (end < Math.min(old.length, now.length) - start && old[old.length - 1 - end] === now[now.length - 1 - end]) end += 1;
  const inside = longestCommon(old.slice(start, old.length - end), now.slice(start, now.length - end));
  return [
    ...Array.from({ length: start }, (_, index) => [index, index] as const),
    ...inside.map(([left, right]) => [left + start, right + start] as const),
    ...Array.from({ length: end }, (_, index) => [old.length - end + index, now.length - end + index] as const),
  ];
}

/** The longest common subsequence, by the usual table. */
function longestCommon(old: readonly string[], now: readonly string[]): readonly (readonly [number, number])[] {
  if (old.length === 0 || now.length === 0 || old.length > MOST_PAIRED || now.length > MOST_PAIRED) return [];
  const width = now.length + 1;
  const table = new Uint16Array((old.length + 1) * width);
  const at = (left: number, right: number) => table[left * width + right] as number;
  for (let left = old.length - 1; left >= 0; left -= 1) {
    for (let right = now.length - 1; right >= 0; right -= 1) {
      const equal = old[left] === now[right];
      table[left * width + right] = equal ? at(left + 1, right + 1) + 1 : Math.max(at(left + 1, right), at(left, right + 1));
    }
  }
  const pairs: (readonly [number, number])[] = [];
  let [left, right] = [0, 0];
  while (left < old.length && right < now.length) {
    if (old[left] === now[right]) {
      pairs.push([left, right]);
      left += 1;
      right += 1;
    } else if (at(left + 1, right) >= at(left, right + 1)) left += 1;
    else right += 1;
  }
  return pairs;
}
