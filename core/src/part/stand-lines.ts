import type { ChartReading } from '../chart/reading.ts';
import { barRows, countedBars } from './counted-bars.ts';
import type { BarCell, CellRow, CellSection, Projected } from './projection.ts';

/** A line of a chart as it lies on a stand: up to four bars, with the heading over it where a section begins. */
export interface StandLine {
  /** Index of the section; null before the first. */
  readonly section: number | null;
  /** Which time the section is played, from 1; null where the chart is shown as it is written. */
  readonly time: number | null;
  /** What stands over the line; null where no section begins. A heading is part of its first line: it never stands alone. */
  readonly heading: { readonly name: string; readonly beside: string } | null;
  readonly bars: readonly BarCell[];
  readonly isPickup: boolean;
  readonly words: readonly string[];
}

/** The chart line by line, as it is written. */
export function writtenLines({ sections }: Projected): readonly StandLine[] {
  return sections.flatMap((section) =>
    section.rows.map((row, place) => ({
      section: section.index,
      time: null,
      heading: place === 0 ? headingOf(section, section.beside) : null,
      ...row,
    })),
  );
}

/**
 * The chart line by line as it is played: repeats, endings and jumps written out, nothing to look
 * for. Bars that stand on one line of the chart stay on one line as long as they are played in that
 * order; the signs that led the eye are left out. `most` lines at the most.
 */
export function playedLines(
  projected: Projected,
  { performance }: Pick<ChartReading, 'performance'>,
  most = Number.POSITIVE_INFINITY,
): readonly StandLine[] {
  const places = placesOf(projected);
  const times = new Map<string | null, number>();
  const lines: StandLine[] = [];
  for (const { from, count } of performance.parts) {
    const runs = runsOf(performance.order.slice(from, from + count), places);
    const section = runs[0]?.[0]?.section ?? null;
    if (section === null) continue;
    const time = (times.get(section.name) ?? 0) + 1;
    times.set(section.name, time);
    runs.forEach((run, place) => {
      lines.push({
        section: section.index,
        time,
        heading: place === 0 ? headingOf(section, section.remark ?? '') : null,
        bars: run.map(({ bar }) => plain(bar)),
        isPickup: run[0]?.row.isPickup ?? false,
        words: run[0]?.row.words ?? [],
      });
    });
    if (lines.length >= most) return lines.slice(0, most);
  }
  return lines;
}

/** A drummer's lines: what is only counted is counted together, as far as nothing else has to be read. */
export function drummedLines(lines: readonly StandLine[]): readonly StandLine[] {
  const stretches: { first: StandLine; bars: BarCell[]; words: readonly string[] }[] = [];
  for (const line of lines) {
    const open = stretches.at(-1);
    const goesOn = open !== undefined && line.heading === null && !line.isPickup && !open.first.isPickup && open.words.length === 0;
    if (goesOn && open.first.section === line.section) {
      open.bars.push(...line.bars);
      open.words = line.words;
    } else stretches.push({ first: line, bars: [...line.bars], words: line.words });
  }
  return stretches.flatMap(({ first, bars, words }) => linesOf(first, first.isPickup ? bars : countedBars(bars), words));
}

function linesOf(first: StandLine, bars: readonly BarCell[], words: readonly string[]): readonly StandLine[] {
  const rows = barRows(bars);
  return rows.map((row, place) => ({
    ...first,
    heading: place === 0 ? first.heading : null,
    bars: row,
    words: place === rows.length - 1 ? words : [],
  }));
}

/** A bar with the line and the section it stands in. */
interface BarPlace {
  readonly bar: BarCell;
  readonly row: CellRow;
  readonly section: CellSection;
}

function placesOf({ sections }: Projected): ReadonlyMap<number, BarPlace> {
  const all = sections.flatMap((section) => section.rows.flatMap((row) => row.bars.map((bar) => ({ bar, row, section }))));
  return new Map(all.map((place) => [place.bar.index, place]));
}

/** Bars in playing order, cut wherever the eye has to leave the line. */
function runsOf(order: readonly number[], places: ReadonlyMap<number, BarPlace>): readonly (readonly BarPlace[])[] {
  const runs: BarPlace[][] = [];
  for (const index of order) {
    const place = places.get(index);
    if (place === undefined) continue;
    const run = runs.at(-1);
    const before = run?.at(-1);
    if (run !== undefined && before?.row === place.row && before.bar.index === index - 1) run.push(place);
    else runs.push([place]);
  }
  return runs;
}

function headingOf({ name }: CellSection, beside: string): StandLine['heading'] {
  return name === null ? null : { name, beside };
}

/** A bar without the signs of form, which were followed already. */
function plain(bar: BarCell): BarCell {
  return { ...bar, opensRepeat: false, closesRepeat: null, ending: null, signs: [], after: [] };
}

/** Whether a chart has repeats, endings or jumps, so that to play it out is another thing than to read it. */
export function isFolded({ bars, sections, performance }: Pick<ChartReading, 'bars' | 'sections' | 'performance'>): boolean {
  return performance.count !== bars.length || sections.some(({ times }) => times > 1);
}

/**
 * Lines laid on pages: whole lines only, in order, each on one page. `heights` are the lines', `room`
 * a page's, in one unit. A line higher than a page has a page of its own.
 */
export function standPages(heights: readonly number[], room: number): readonly (readonly number[])[] {
  const pages: number[][] = [];
  let left = 0;
  heights.forEach((height, line) => {
    const page = pages.at(-1);
    if (page === undefined || height > left) {
      pages.push([line]);
      left = room - height;
    } else {
      page.push(line);
      left -= height;
    }
  });
  return pages;
}
