import { type BarChord, barItem, type WrittenBar } from '../chart/bars.ts';
import type { FormMark, MusicItem, Place, Slot } from '../chart/chart.ts';
import { parseBarTokens, printMusicLine } from '../chart/chart-text.ts';
import { type ChartReading, lettersTonic, readChart } from '../chart/reading.ts';
import type { Result } from '../fault.ts';
import { success } from '../fault.ts';
import type { Note } from '../pitch/note.ts';
import { BarDraft, type Cell } from './bar-draft.ts';

/** Bars of a chart from one to another, both counted; indices of written bars. */
export interface BarRange {
  readonly from: number;
  readonly to: number;
}

/** A chart text with its reading: what every edit starts from. */
export interface OpenChart {
  readonly source: string;
  readonly reading: ChartReading;
}

/** Reads a text once, to edit it. */
export function openChart(source: string): OpenChart {
  return { source, reading: readChart(source) };
}

/** The chart as something to be rewritten. */
export function draftOf({ source, reading }: OpenChart): BarDraft {
  return new BarDraft(source, reading);
}

function indices({ from, to }: BarRange): readonly number[] {
  return Array.from({ length: Math.max(0, to - from + 1) }, (_, step) => from + step);
}

/** A bar as it is typed, and where it goes. */
export interface TypedBar {
  readonly bar: number;
  /** Whether it is a new bar put before that one, or stands in its place. */
  readonly isNew: boolean;
  readonly typed: string;
  /** What letters count from, where they are read in another key than the chart's own; else null. */
  readonly lettersFrom: Note | null;
  /** Whether what cannot be read is written all the same, as its own text, instead of being refused. */
  readonly keeps?: boolean;
}

/**
 * Writes what is typed in the place of a bar or before it: `4`, `6-7`, `(2-7 57)`, or `2-7 57` for
 * one bar that two chords share. Letters count from the key they are read in. Faults come back with
 * their place in what was typed.
 */
export function writeBar(chart: OpenChart, { bar, isNew, typed, lettersFrom, keeps = false }: TypedBar): Result<string> {
  const asked = parseBarTokens(typed, lettersFrom ?? countedFrom(chart, bar));
  const read = asked.ok || !keeps ? asked : keptBar(typed);
  if (!read.ok) return read;
  const draft = draftOf(chart);
  const exists = bar < chart.reading.bars.length;
  if (exists && !isNew) draft.replace(bar, [[read.value, ...draft.cell(bar).slice(1)]]);
  else {
    if (exists) keepSigns(draft, bar - 1);
    draft.insert(bar, [[read.value]]);
  }
  return success(draft.text());
}

/** What would end the bar, or begin something else, has no place in the text of one. */
const NOT_IN_A_BAR = /[()[\]{}|"\n\r]+/g;

/** A bar of what cannot be read: its text, in the parentheses of a bar. */
function keptBar(typed: string): Result<MusicItem> {
  const text = typed.replace(NOT_IN_A_BAR, ' ').replace(/\s+/g, ' ').trim() || '?';
  return parseBarTokens(`(${text})`, 0, 'as-typed', 'kept');
}

/** Letters of a typed bar that a chart counts otherwise than typed, as numbers in chart text: `#5` and `b6`. */
export interface ChartedLetters {
  /** The whole bar with the degrees as they were typed. */
  readonly asTyped: string;
  /** The whole bar as it is written. */
  readonly asCharted: string;
}

/** What writing a typed bar makes of its letters; null where they count as typed, or cannot be read. */
export function chartedLetters(chart: OpenChart, { bar, typed, lettersFrom }: TypedBar): ChartedLetters | null {
  const tonic = lettersFrom ?? countedFrom(chart, bar);
  const [asTyped, asCharted] = (['as-typed', 'as-charted'] as const).map((letters) => {
    const read = parseBarTokens(typed, tonic, letters);
    return read.ok ? printMusicLine([read.value]) : '';
  }) as [string, string];
  return asTyped === asCharted ? null : { asTyped, asCharted };
}

/** The note that numbers in a bar count from when the chart is read at home. */
function countedFrom({ reading }: OpenChart, bar: number): Note {
  return lettersTonic(reading, bar, reading.head.key.tonic);
}

/** Takes bars away. */
export function deleteBars(chart: OpenChart, range: BarRange): string {
  const draft = draftOf(chart);
  keepSigns(draft, range.to);
  for (const bar of indices(range)) draft.replace(bar, []);
  return draft.text();
}

/** Signs behind a bar that repeat it are written out before it changes place. */
function keepSigns(draft: BarDraft, bar: number): void {
  draft.writeOut(bar + 1);
  if (draft.bars[bar + 2]?.sign === '%%') draft.writeOut(bar + 2);
}

/** Moves bars to stand before another one; the number of bars means behind the last. */
export function moveBars(chart: OpenChart, range: BarRange, before: number): string {
  if (before >= range.from && before <= range.to + 1) return chart.source;
  const draft = draftOf(chart);
  const cells = indices(range).map((bar) => draft.cell(bar));
  keepSigns(draft, range.to);
  keepSigns(draft, before - 1);
  for (const bar of indices(range)) draft.replace(bar, []);
  draft.insert(before, cells);
  return draft.text();
}

/** Writes bars again behind themselves. */
export function duplicateBars(chart: OpenChart, range: BarRange): string {
  const draft = draftOf(chart);
  const cells = indices(range).map((bar) => draft.cell(bar));
  keepSigns(draft, range.to);
  draft.mark(range.to, 'behind', ...cells.flat());
  return draft.text();
}

/** Puts bars from another reading, or from the same one, before a bar. */
export function insertCells(chart: OpenChart, before: number, cells: readonly Cell[]): string {
  const draft = draftOf(chart);
  keepSigns(draft, before - 1);
  draft.insert(before, cells);
  return draft.text();
}

/** Bars of a chart to be put elsewhere, signs written out. */
export function cellsOf(chart: OpenChart, range: BarRange): readonly Cell[] {
  const draft = draftOf(chart);
  return indices(range).map((bar) => draft.cell(bar));
}

/** A bar of one chord becomes two halves; a shared one becomes a bar for each of its chords. */
export function splitBar(chart: OpenChart, bar: number): string {
  const draft = draftOf(chart);
  const { chords, at } = chart.reading.bars[bar] as WrittenBar;
  const remarks = draft.cell(bar).slice(1);
  const whole = chords.map((chord) => ({ ...chord, beats: null }));
  const first = whole[0];
  if (first === undefined) return chart.source;
  const cells =
    whole.length === 1
      ? [[sharedItem([first, { ...first, push: false, stop: false }], at), ...remarks]]
      : whole.map((chord, index): Cell => [sharedItem([chord], at), ...(index === whole.length - 1 ? remarks : [])]);
  keepSigns(draft, bar);
  draft.replace(bar, cells);
  return draft.text();
}

/** The chords of several bars share one bar. */
export function joinBars(chart: OpenChart, range: BarRange): string {
  const draft = draftOf(chart);
  const bars = indices(range).map((bar) => chart.reading.bars[bar] as WrittenBar);
  const slots = bars.flatMap(({ chords }) => chords.map((chord) => ({ ...chord, beats: null })));
  const remarks = indices(range).flatMap((bar) => draft.cell(bar).slice(1));
  if (bars.length < 2 || slots.length === 0) return chart.source;
  keepSigns(draft, range.to);
  indices(range).forEach((bar, order) => {
    draft.replace(bar, order === 0 ? [[sharedItem(slots, (bars[0] as WrittenBar).at), ...remarks]] : []);
  });
  return draft.text();
}

const isForm = (kind: FormMark['kind']) => (item: MusicItem) => item.kind === 'form' && item.mark.kind === kind;

function sharedItem(slots: readonly Slot[], at: Place): MusicItem {
  return { kind: 'bar', slots, broken: null, at };
}

/** Puts bars inside a repeat, or takes away the repeat that stands exactly around them. */
export function toggleRepeat(chart: OpenChart, range: BarRange, times: number | null = null): string {
  const [first, last] = [chart.reading.bars[range.from], chart.reading.bars[range.to]];
  if (first === undefined || last === undefined) return chart.source;
  const draft = draftOf(chart);
  if (first.form.opensRepeat && last.form.closesRepeat !== null) {
    const undone = [draft.unmark(range.from, 'before', isForm('repeat-open')), draft.unmark(range.to, 'behind', isForm('repeat-close'))];
    if (undone.every((done) => done)) return draft.text();
  }
  draft.mark(range.from, 'before', { kind: 'form', mark: { kind: 'repeat-open' }, at: first.at });
  draft.mark(range.to, 'behind', { kind: 'form', mark: { kind: 'repeat-close', times }, at: last.at });
  return draft.text();
}

/** Makes bars the ending of some passes. */
export function markEnding(chart: OpenChart, range: BarRange, passes: readonly number[]): string {
  const [first, last] = [chart.reading.bars[range.from], chart.reading.bars[range.to]];
  if (first === undefined || last === undefined) return chart.source;
  const draft = draftOf(chart);
  draft.mark(range.from, 'before', { kind: 'form', mark: { kind: 'ending-open', passes }, at: first.at });
  draft.mark(range.to, 'behind', { kind: 'form', mark: { kind: 'ending-close' }, at: last.at });
  return draft.text();
}

/** The marks that a chord may carry. */
export type SlotMark = 'push' | 'ring' | 'stop' | 'optional';

/** Gives every chord of some bars a mark, or takes it from all when all have it. One place limits it to one chord of the first bar. */
export function toggleMark(chart: OpenChart, range: BarRange, mark: SlotMark, place: number | null = null): string {
  const chosen = (bar: number, at: number) => place === null || (bar === range.from && at === place);
  const all = indices(range).flatMap((bar) => chordsOf(chart, bar).filter((chord, at) => chord.chord !== null && chosen(bar, at)));
  const on = all.some((chord) => !chord[mark]);
  return changeChords(chart, range, (chord, bar, at) => {
    if (chord.chord === null || !chosen(bar, at)) return chord;
    const marked = { ...chord, [mark]: on };
    // a diamond and a stop contradict each other: the later word counts
    if (mark === 'ring' && on) return { ...marked, stop: false };
    return mark === 'stop' && on ? { ...marked, ring: false } : marked;
  });
}

function chordsOf({ reading }: OpenChart, bar: number): readonly BarChord[] {
  return reading.bars[bar]?.chords ?? [];
}

/** Rewrites the chords of some bars one by one. Bars in which nothing changes keep their text. */
export function changeChords(chart: OpenChart, range: BarRange, change: (chord: BarChord, bar: number, place: number) => BarChord): string {
  const draft = draftOf(chart);
  for (const bar of indices(range)) {
    const before = chordsOf(chart, bar);
    const after = before.map((chord, place) => change(chord, bar, place));
    if (after.every((chord, place) => chord === before[place])) continue;
    const remarks = draft.cell(bar).slice(1);
    draft.replace(bar, [[barItem(after, (chart.reading.bars[bar] as WrittenBar).at), ...remarks]]);
  }
  return draft.text();
}
