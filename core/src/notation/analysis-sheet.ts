import { type Drawing, line, moved, type Shape, text } from './drawing.ts';
import { LEAST_POINTS, textWidth, wrapped } from './letter-width.ts';
import { PAPERS, type Paper } from './study-sheet.ts';

/** A chord of an analysis as it is printed: every line is already in the player's words. */
interface SheetChordLines {
  readonly number: string;
  /** Its quality, set raised behind it. */
  readonly raised: string;
  readonly letter: string;
  /** Roman numeral, reading, scale, note: those that are wanted. */
  readonly below: readonly string[];
  /** A bracket over it: where it begins, goes on, ends; broken when it does not arrive. */
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}

interface SheetBarLines {
  readonly chords: readonly SheetChordLines[];
}

/** Bars that stand side by side, and the section that begins with them. */
export interface SheetRowLines {
  readonly section: string | null;
  readonly bars: readonly SheetBarLines[];
}

export interface AnalysisSheetContent {
  readonly title: string;
  readonly facts: string;
  readonly rows: readonly SheetRowLines[];
  /** Lines at the end: keys, patterns, both keys of a borrowed chord. */
  readonly remarks: readonly string[];
  readonly foot: string;
}

const MARGIN = 44;
const BARS_A_ROW = 4;
/** Bars with more chords than this stand two a row. */
const MOST_IN_QUARTER = 2;
const TITLE_ROOM = 60;
const SECTION_ROOM = 20;
const BRACKET_ROOM = 10;
const NUMBER_SIZE = 21;
const LINE_HEIGHT = 12.5;
const REMARK_SIZE = 10;
const ROW_GAP = 12;
const FOOT_ROOM = 22;

/** The chart with its layer of analysis on as many pages as it takes; no row of bars is broken over two. */
export function analysisPages(content: AnalysisSheetContent, paper: Paper): readonly Drawing[] {
  const [width, height] = PAPERS[paper];
  const pages: Shape[][] = [];
  let y = height;
  const place = (shapes: readonly Shape[], room: number) => {
    if (y + room > height - MARGIN - FOOT_ROOM) {
      pages.push(pages.length === 0 ? headOf(content) : []);
      y = MARGIN + (pages.length === 1 ? TITLE_ROOM : 0);
    }
    pages.at(-1)?.push(...shapes.map((shape) => moved(shape, MARGIN, y)));
    y += room;
  };
  for (const row of content.rows.flatMap(halved)) place(rowShapes(row, width - 2 * MARGIN), rowHeight(row, width - 2 * MARGIN));
  for (const remark of content.remarks) {
    for (const words of wrapped(remark, (width - 2 * MARGIN) / REMARK_SIZE, 'text')) {
      place([text(0, REMARK_SIZE, words, { size: REMARK_SIZE, anchor: 'start' })], REMARK_SIZE * 1.45);
    }
  }
  if (pages.length === 0) pages.push(headOf(content));
  return pages.map((shapes, index) => ({
    width,
    height,
    label: `${content.title}, page ${index + 1} of ${pages.length}`,
    shapes: [
      ...shapes,
      text(MARGIN, height - MARGIN + 8, `${content.foot}${pages.length > 1 ? `  ${index + 1} / ${pages.length}` : ''}`, {
        size: 9,
        anchor: 'start',
        ink: 'quiet',
      }),
    ],
  }));
}

function headOf({ title, facts }: AnalysisSheetContent): Shape[] {
  return [
    text(MARGIN, MARGIN + 16, title, { size: 22, anchor: 'start', face: 'bold' }),
    text(MARGIN, MARGIN + 36, facts, { size: 11, anchor: 'start', ink: 'quiet' }),
  ];
}

/** A row with crowded bars is set as rows of two. */
function halved(row: SheetRowLines): readonly SheetRowLines[] {
  if (!isCrowded(row)) return [row];
  const half = BARS_A_ROW / 2;
  return Array.from({ length: Math.ceil(row.bars.length / half) }, (_, at) => ({
    section: at === 0 ? row.section : null,
    bars: row.bars.slice(at * half, (at + 1) * half),
  }));
}

function isCrowded({ bars }: SheetRowLines): boolean {
  return bars.some(({ chords }) => chords.length > MOST_IN_QUARTER);
}

function barWidthOf(row: SheetRowLines, width: number): number {
  return width / (isCrowded(row) ? BARS_A_ROW / 2 : BARS_A_ROW);
}

function rowHeight(row: SheetRowLines, width: number): number {
  const barWidth = barWidthOf(row, width);
  const lines = row.bars.flatMap(({ chords }) => chords.map((chord) => linesUnder(chord, barWidth / chords.length).length));
  return (row.section === null ? 0 : SECTION_ROOM) + BRACKET_ROOM + NUMBER_SIZE + LINE_HEIGHT * (Math.max(0, ...lines) + 1) + ROW_GAP;
}

function rowShapes(row: SheetRowLines, width: number): readonly Shape[] {
  const top = row.section === null ? 0 : SECTION_ROOM;
  const barWidth = barWidthOf(row, width);
  const bottom = rowHeight(row, width) - ROW_GAP;
  const title = row.section === null ? [] : [text(0, 12, row.section, { size: 12, anchor: 'start', face: 'bold' })];
  const bars = row.bars.flatMap((bar, index) => [
    line(index * barWidth, top + BRACKET_ROOM, index * barWidth, bottom, 1.2, 'ink'),
    ...bar.chords.flatMap((chord, place) => {
      const share = barWidth / bar.chords.length;
      return chordShapes(chord, share).map((shape) => moved(shape, index * barWidth + place * share + BAR_INSET, top));
    }),
  ]);
  return [...title, ...bars, line(row.bars.length * barWidth, top + BRACKET_ROOM, row.bars.length * barWidth, bottom, 1.2, 'ink')];
}

const BAR_INSET = 5;
const LETTER_SIZE = 11;
const LINE_SIZE = 9;
const RAISED = 0.52;
/** Between a number and what is raised behind it, as a part of its size. */
const GAP = 0.08;

function chordShapes(chord: SheetChordLines, room: number): readonly Shape[] {
  const { number, raised, letter, bracket } = chord;
  const baseline = BRACKET_ROOM + NUMBER_SIZE - 2;
  const most = (room - 8) / (textWidth(number, 'numeral') + RAISED * textWidth(raised, 'numeral') + GAP);
  const size = Math.min(NUMBER_SIZE, Math.max(LEAST_POINTS / RAISED, most));
  const behind = (textWidth(number, 'numeral') + GAP) * size;
  return [
    ...(bracket === null ? [] : bracketShapes(bracket, room)),
    text(0, baseline, number, { size, anchor: 'start', face: 'numeral' }),
    ...(raised === '' ? [] : [text(behind, baseline - size * 0.36, raised, { size: size * RAISED, anchor: 'start', face: 'numeral' })]),
    text(0, baseline + LINE_HEIGHT, letter, { size: fitted(letter, LETTER_SIZE, room), anchor: 'start' }),
    ...linesUnder(chord, room).map((words, at) =>
      text(0, baseline + LINE_HEIGHT * (at + 2), words, { size: fitted(words, LINE_SIZE, room), anchor: 'start', ink: 'quiet' }),
    ),
  ];
}

/** The lines under the letters, long ones broken between words. */
function linesUnder({ below }: SheetChordLines, room: number): readonly string[] {
  return below.flatMap((words) => wrapped(words, (room - 8) / LINE_SIZE, 'text'));
}

/** The size at which words fit the room, and not so small that nobody reads them. */
function fitted(words: string, size: number, room: number): number {
  return Math.min(size, Math.max(LEAST_POINTS, (room - 8) / Math.max(1, textWidth(words, 'text'))));
}

function bracketShapes({ begins, ends, complete }: NonNullable<SheetChordLines['bracket']>, room: number): readonly Shape[] {
  const [from, to] = [begins ? 0 : -5, ends ? room - 12 : room - 5];
  // a ii–V that does not arrive is drawn broken
  const pieces = complete ? [line(from, 3, to, 3, 1, 'ink')] : dashes(from, to).map(([start, end]) => line(start, 3, end, 3, 1, 'ink'));
  return [...pieces, ...(begins ? [line(from, 3, from, 8, 1, 'ink')] : []), ...(ends ? [line(to, 3, to, 8, 1, 'ink')] : [])];
}

const DASH = 4;

function dashes(from: number, to: number): readonly (readonly [number, number])[] {
  const count = Math.max(1, Math.floor((to - from) / (2 * DASH)));
  return Array.from({ length: count }, (_, index) => [from + 2 * DASH * index, from + 2 * DASH * index + DASH] as const);
}
