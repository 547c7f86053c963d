import { type Drawing, line, moved, type Shape, text } from './drawing.ts';
import { PAPERS, type Paper } from './study-sheet.ts';

/** A chord of an analysis as it is printed: every line is already in the player's words. */
export interface SheetChordLines {
  readonly number: string;
  readonly letter: string;
  /** Roman numeral, reading, scale, note: those that are wanted. */
  readonly below: readonly string[];
  /** A bracket over it: where it begins, goes on, ends; broken when it does not arrive. */
  readonly bracket: { readonly begins: boolean; readonly ends: boolean; readonly complete: boolean } | null;
}

export interface SheetBarLines {
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
const TITLE_ROOM = 60;
const SECTION_ROOM = 20;
const BRACKET_ROOM = 10;
const NUMBER_SIZE = 21;
const LINE_HEIGHT = 12.5;
const REMARK_SIZE = 10;
const ROW_GAP = 12;
const FOOT_ROOM = 22;
/** About how wide a letter is, as a part of its size. */
const LETTER_WIDTH = 0.52;

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
  for (const row of content.rows) place(rowShapes(row, width - 2 * MARGIN), rowHeight(row));
  for (const remark of content.remarks) {
    for (const words of wrapped(remark, width - 2 * MARGIN)) {
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

function rowHeight({ section, bars }: SheetRowLines): number {
  const lines = Math.max(0, ...bars.flatMap(({ chords }) => chords.map(({ below }) => below.length)));
  return (section === null ? 0 : SECTION_ROOM) + BRACKET_ROOM + NUMBER_SIZE + LINE_HEIGHT * (lines + 1) + ROW_GAP;
}

function rowShapes(row: SheetRowLines, width: number): readonly Shape[] {
  const top = row.section === null ? 0 : SECTION_ROOM;
  const barWidth = width / BARS_A_ROW;
  const bottom = rowHeight(row) - ROW_GAP;
  const title = row.section === null ? [] : [text(0, 12, row.section, { size: 12, anchor: 'start', face: 'bold' })];
  const bars = row.bars.flatMap((bar, index) => [
    line(index * barWidth, top + BRACKET_ROOM, index * barWidth, bottom, 1.2, 'ink'),
    ...bar.chords.flatMap((chord, place) => {
      const share = barWidth / bar.chords.length;
      return chordShapes(chord, share).map((shape) => moved(shape, index * barWidth + place * share + 5, top));
    }),
  ]);
  return [...title, ...bars, line(row.bars.length * barWidth, top + BRACKET_ROOM, row.bars.length * barWidth, bottom, 1.2, 'ink')];
}

function chordShapes({ number, letter, below, bracket }: SheetChordLines, room: number): readonly Shape[] {
  const baseline = BRACKET_ROOM + NUMBER_SIZE - 2;
  const fitted = (words: string, size: number) => Math.min(size, (room - 8) / (LETTER_WIDTH * Math.max(1, words.length)));
  return [
    ...(bracket === null ? [] : bracketShapes(bracket, room)),
    text(0, baseline, number, { size: fitted(number, NUMBER_SIZE), anchor: 'start', face: 'bold' }),
    ...[letter, ...below].map((words, at) =>
      text(0, baseline + LINE_HEIGHT * (at + 1), words, {
        size: fitted(words, at === 0 ? 11 : 9.5),
        anchor: 'start',
        ink: at === 0 ? 'ink' : 'quiet',
      }),
    ),
  ];
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

/** Words in lines that fit the width. */
function wrapped(words: string, width: number): readonly string[] {
  const most = Math.floor(width / (REMARK_SIZE * LETTER_WIDTH));
  const lines: string[] = [''];
  for (const word of words.split(' ')) {
    const last = lines.at(-1) as string;
    if (last.length + word.length + 1 > most && last !== '') lines.push(word);
    else lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
  }
  return lines;
}
