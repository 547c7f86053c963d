import { barItem, type WrittenBar } from '../chart/bars.ts';
import type { BodyLine, MusicItem } from '../chart/chart.ts';
import { printMusicLine } from '../chart/chart-text.ts';
import type { ChartReading } from '../chart/reading.ts';
import { linesOf } from '../chart/text-lines.ts';

/** A bar with the words written on it, ready to be put somewhere. */
export type Cell = readonly MusicItem[];

/** Where a written bar stands: line of the chart's body, its group on the line, and how many groups its remarks take. */
interface BarPlace {
  readonly line: number;
  readonly group: number;
  readonly remarks: number;
}

const BARS_A_LINE = 4;

/**
 * A chart being rewritten. A line of music is taken apart into groups, one for each thing on it;
 * a group may come to hold several things or none. All other lines keep their text to the letter.
 */
export class BarDraft {
  readonly bars: readonly WrittenBar[];
  private readonly body: readonly BodyLine[];
  private readonly rows: readonly string[];
  private readonly places: readonly BarPlace[];
  private readonly changed = new Map<number, MusicItem[][]>();
  /** Lines of music added behind a line of the body; -1 for before the first. */
  private readonly added = new Map<number, MusicItem[][]>();

  constructor(source: string, reading: ChartReading) {
    this.bars = reading.bars;
    this.body = reading.chart.body;
    this.rows = linesOf(source);
    this.places = placesOf(this.body);
  }

  /** A bar by itself, a sign for bars before it written out, with its remarks. */
  cell(bar: number): Cell {
    const { line, group, remarks } = this.place(bar);
    const groups = groupsOf(this.body[line]);
    return [this.writtenOut(bar), ...groups.slice(group + 1, group + 1 + remarks).flat()];
  }

  /** Puts cells in the place of a bar; none takes it away, with its remarks. */
  replace(bar: number, cells: readonly Cell[]): void {
    this.writeOut(bar);
    const { line, group, remarks } = this.place(bar);
    const groups = this.edit(line);
    groups[group] = cells.flat();
    for (let beside = group + 1; beside <= group + remarks; beside += 1) groups[beside] = [];
  }

  /** Puts cells before a bar, or behind the last one when there is no such bar. */
  insert(bar: number, cells: readonly Cell[]): void {
    if (bar >= this.bars.length) this.append(cells);
    else this.mark(bar, 'before', ...cells.flat());
  }

  /** Puts marks directly before a bar, or behind it and its remarks. */
  mark(bar: number, side: 'before' | 'behind', ...marks: readonly MusicItem[]): void {
    this.writeOut(bar);
    const { line, group, remarks } = this.place(bar);
    const groups = this.edit(line);
    const at = side === 'before' ? group : group + remarks;
    const now = groups[at] as MusicItem[];
    groups[at] = side === 'before' ? [...marks, ...now] : [...now, ...marks];
  }

  /** Writes signs for the bars before them out as chords, so that what is before may change. */
  writeOut(bar: number): void {
    const written = this.bars[bar];
    if (written === undefined || written.sign === 'chords') return;
    // both bars of a `%%` are written out at once
    const first = written.sign === '%%' && this.bars[bar - 1]?.at === written.at ? bar - 1 : bar;
    const { line, group } = this.place(first);
    const groups = this.edit(line);
    const here = groups[group] as MusicItem[];
    if (!here.some(({ kind }) => kind === 'again')) return;
    groups[group] = here.map((item) => (item.kind === 'again' ? this.writtenOut(first) : item));
    if (written.sign === '%%') groups[group + 1] = [this.writtenOut(first + 1), ...(groups[group + 1] as MusicItem[])];
  }

  /** Takes the nearest mark of a kind away, before a bar or behind it, up to the next bar on the line. Whether there was one. */
  unmark(bar: number, side: 'before' | 'behind', isIt: (item: MusicItem) => boolean): boolean {
    const { line, group, remarks } = this.place(bar);
    const groups = this.edit(line);
    const step = side === 'before' ? -1 : 1;
    for (let at = side === 'before' ? group - 1 : group + remarks + 1; groups[at] !== undefined; at += step) {
      const items = groups[at] as MusicItem[];
      if (items.some(isBar)) return false;
      const found = items.findIndex(isIt);
      if (found < 0) continue;
      groups[at] = items.filter((_, index) => index !== found);
      return true;
    }
    return false;
  }

  /** The text with everything that was changed. */
  text(): string {
    const out: string[] = [];
    const lineAt = new Map(this.body.map(({ at }, line) => [at.line - 1, line]));
    this.rows.forEach((row, index) => {
      const line = lineAt.get(index);
      if (line === 0) this.putAdded(out, -1);
      const groups = line === undefined ? undefined : this.changed.get(line)?.flat();
      if (groups === undefined) out.push(row);
      else if (groups.length > 0) out.push(printMusicLine(groups));
      if (line !== undefined) this.putAdded(out, line);
    });
    if (this.body.length === 0 && this.added.size > 0) {
      while (out.at(-1) === '') out.pop();
      if (out.length > 0) out.push('');
      this.putAdded(out, -1);
      out.push('');
    }
    return out.join('\n');
  }

  private putAdded(out: string[], line: number): void {
    for (const items of this.added.get(line) ?? []) out.push(printMusicLine(items));
  }

  private append(cells: readonly Cell[]): void {
    const last = this.body.findLastIndex(({ kind }) => kind === 'music' || kind === 'section');
    const here = (this.changed.get(last) ?? groupsOf(this.body[last])).flat().filter(isBar).length;
    if (this.body[last]?.kind === 'music' && here + cells.length <= BARS_A_LINE) this.edit(last).push(cells.flat());
    else this.added.set(last, [...(this.added.get(last) ?? []), cells.flat()]);
  }

  private place(bar: number): BarPlace {
    return this.places[bar] as BarPlace;
  }

  private edit(line: number): MusicItem[][] {
    const groups = this.changed.get(line) ?? groupsOf(this.body[line]).map((items) => [...items]);
    this.changed.set(line, groups);
    return groups;
  }

  private writtenOut(bar: number): MusicItem {
    const { line, group } = this.place(bar);
    const written = groupsOf(this.body[line])[group]?.[0];
    const { chords, at } = this.bars[bar] as WrittenBar;
    return written?.kind === 'bar' ? written : barItem(chords, at);
  }
}

function isBar({ kind }: MusicItem): boolean {
  return kind === 'bar' || kind === 'again';
}

/** The things on a line of music one by one; `%%` takes two places, as it is two bars. */
function groupsOf(line: BodyLine | undefined): readonly (readonly MusicItem[])[] {
  if (line?.kind !== 'music') return [];
  return line.items.flatMap((item) => (item.kind === 'again' && item.bars === 2 ? [[item], []] : [[item]]));
}

function placesOf(body: readonly BodyLine[]): readonly BarPlace[] {
  return body.flatMap((line, index) => {
    const groups = groupsOf(line);
    return groups.flatMap((items, group): readonly BarPlace[] => {
      if (!isBarPlace(groups, group)) return [];
      return [{ line: index, group, remarks: items[0]?.kind === 'again' && items[0].bars === 2 ? 0 : remarksBehind(groups, group) }];
    });
  });
}

/** Whether a group is a bar: itself, or the second bar of a `%%`. */
function isBarPlace(groups: readonly (readonly MusicItem[])[], group: number): boolean {
  const [item] = groups[group] ?? [];
  return item === undefined ? group > 0 : isBar(item);
}

function remarksBehind(groups: readonly (readonly MusicItem[])[], bar: number): number {
  const isRemark = (kind: MusicItem['kind'] | undefined) => kind === 'remark' || kind === 'cue';
  let count = 0;
  while (isRemark(groups[bar + 1 + count]?.[0]?.kind)) count += 1;
  return count;
}
