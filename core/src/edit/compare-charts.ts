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
 * What became of every bar from one chart to another. Sections of the same name are compared with
 * each other; in them, and in what lies between, the longest run of bars that both have, in order,
 * is the same, and the rest is changed bar by bar as far as it goes, then removed or added. Bars
 * are compared by their chords, marks, meter and key step, not by how they are typed.
 */
export function compareCharts(before: ChartReading, after: ChartReading): readonly BarChange[] {
  const names = [before.bars.map((bar) => nameOf(bar, before)), after.bars.map((bar) => nameOf(bar, after))] as const;
  const [old, now] = [blocksOf(before), blocksOf(after)];
  const pairs = commonPairs(
    old.map(({ name }) => name),
    now.map(({ name }) => name),
  );
  const changes: BarChange[] = [];
  let [from, to] = [0, 0];
  const compare = (left: number, right: number) => {
    changes.push(...compareRuns(names, { from, to: left }, { from: to, to: right }));
    [from, to] = [left, right];
  };
  for (const [left, right] of pairs) {
    const [was, is] = [old[left], now[right]] as readonly [Block, Block];
    compare(was.from, is.from);
    compare(was.to, is.to);
  }
  compare(before.bars.length, after.bars.length);
  return changes;
}

/** Bars from one to before another. */
interface Run {
  readonly from: number;
  readonly to: number;
}

/** A section's bars. */
interface Block extends Run {
  readonly name: string;
}

function blocksOf({ sections }: ChartReading): readonly Block[] {
  return sections.map(({ name, from, count }) => ({ name, from, to: from + count }));
}

type Names = readonly [before: readonly string[], after: readonly string[]];

function compareRuns([before, after]: Names, old: Run, now: Run): readonly BarChange[] {
  const pairs = commonPairs(before.slice(old.from, old.to), after.slice(now.from, now.to));
  const changes: BarChange[] = [];
  let [from, to] = [old.from, now.from];
  for (const [left, right] of [...pairs.map(([a, b]) => [old.from + a, now.from + b] as const), [old.to, now.to] as const]) {
    const both = Math.min(left - from, right - to);
    for (let step = 0; step < both; step += 1) changes.push({ kind: 'changed', before: from + step, after: to + step });
    for (let bar = from + both; bar < left; bar += 1) changes.push({ kind: 'removed', before: bar });
    for (let bar = to + both; bar < right; bar += 1) changes.push({ kind: 'added', after: bar });
    if (left < old.to) changes.push({ kind: 'same', before: left, after: right });
    [from, to] = [left + 1, right + 1];
  }
  return changes;
}

/** What became of the bars of one section. */
export interface ComparedPart {
  /** As the section is called after; before, where it was taken out. Empty for bars without a section. */
  readonly name: string;
  /** What it was called before; null where that is the same, or there was no such section. */
  readonly wasCalled: string | null;
  readonly changes: readonly BarChange[];
}

/** The changes from one chart to another, section by section in the order they are written. */
export function comparedParts(before: ChartReading, after: ChartReading): readonly ComparedPart[] {
  const parts: { name: string; wasCalled: string | null; changes: BarChange[]; readonly id: string }[] = [];
  for (const change of compareCharts(before, after)) {
    const was = 'before' in change ? sectionAt(change.before, before) : null;
    const is = 'after' in change ? sectionAt(change.after, after) : null;
    const { id, name } = is ?? (was as { readonly id: string; readonly name: string });
    // what was taken out of a section that is still there belongs to it
    const isGoneFrom = is === null && parts.at(-1)?.name === name;
    if (!isGoneFrom && parts.at(-1)?.id !== id) parts.push({ id, name, wasCalled: null, changes: [] });
    const part = parts.at(-1) as (typeof parts)[number];
    part.changes.push(change);
    if (change.kind === 'same' && was !== null && was.name !== part.name) part.wasCalled = was.name;
  }
  return parts.map(({ name, wasCalled, changes }) => ({ name, wasCalled, changes }));
}

function sectionAt(bar: number, { bars, sections }: ChartReading): { readonly id: string; readonly name: string } {
  const section = bars[bar]?.section ?? null;
  return section === null ? { id: '', name: '' } : { id: `${section}`, name: sections[section]?.name ?? '' };
}

function nameOf(bar: WrittenBar, { stretches }: ChartReading): string {
  const step = stretches[bar.stretch]?.key.tonic ?? 0;
  const home = stretches[0]?.key.tonic ?? 0;
  return `${printBarToken(bar)} ${bar.meter.beats}/${bar.meter.unit} ${step - home}`;
}
