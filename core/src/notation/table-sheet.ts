import { type Drawing, line, type Shape, text } from './drawing.ts';
import { LEAST_POINTS, textWidth } from './letter-width.ts';
import { PAPERS, type Paper } from './study-sheet.ts';

/** A table as it is printed: columns of equal width behind the names of its rows. */
export interface SheetTable {
  readonly name: string;
  readonly head: readonly string[];
  readonly rows: readonly { readonly name: string; readonly cells: readonly string[] }[];
  /** Whether rows are high enough to be written in. */
  readonly isWritten: boolean;
}

export interface TableSheetContent {
  readonly title: string;
  readonly facts: string;
  readonly tables: readonly SheetTable[];
  /** Lines of text under the tables. */
  readonly notes: readonly string[];
}

const MARGIN = 40;
const HEAD = 62;
const SIZE = 12;
const ROW = 22;
const WRITTEN_ROW = 46;
const NAME_SHARE = 0.17;
const TITLE_ROOM = 30;

/** Tables on paper, on as many pages as they take; what is too long for its cell is set smaller, and then cut. */
export function tablePages({ title, facts, tables, notes }: TableSheetContent, paper: Paper): readonly Drawing[] {
  const [width, height] = PAPERS[paper];
  const pages: Shape[][] = [
    [
      text(MARGIN, MARGIN + 20, title, { size: 24, anchor: 'start', face: 'numeral' }),
      text(MARGIN, MARGIN + 38, facts, { size: SIZE, anchor: 'start', ink: 'quiet' }),
    ],
  ];
  let y = MARGIN + HEAD;
  const put = (room: number, draw: (top: number) => readonly Shape[]) => {
    if (y + room > height - MARGIN) {
      pages.push([]);
      y = MARGIN;
    }
    pages.at(-1)?.push(...draw(y));
    y += room;
  };
  for (const table of tables) {
    put(TITLE_ROOM, (top) => [text(MARGIN, top + 20, table.name, { size: 15, anchor: 'start', face: 'numeral' })]);
    if (table.head.length > 0) put(ROW, (top) => rowShapes({ name: '', cells: table.head }, { top, room: ROW, width, isHead: true }));
    const room = table.isWritten ? WRITTEN_ROW : ROW;
    for (const row of table.rows) put(room, (top) => rowShapes(row, { top, room, width, isHead: false }));
    y += ROW / 2;
  }
  for (const note of notes) put(ROW, (top) => [text(MARGIN, top + 15, note, { size: SIZE, anchor: 'start' })]);
  return pages.map((shapes, index) => ({
    width,
    height,
    label: pages.length === 1 ? title : `${title}, page ${index + 1} of ${pages.length}`,
    shapes,
  }));
}

interface RowLook {
  readonly top: number;
  readonly room: number;
  readonly width: number;
  readonly isHead: boolean;
}

function rowShapes({ name, cells }: SheetTable['rows'][number], { top, room, width, isHead }: RowLook): readonly Shape[] {
  const whole = width - 2 * MARGIN;
  const first = whole * NAME_SHARE;
  const wide = (whole - first) / Math.max(1, cells.length);
  const base = top + room / 2 + SIZE * 0.36;
  return [
    text(MARGIN, base, fitted(name, first).text, { size: fitted(name, first).size, anchor: 'start', ink: 'quiet' }),
    ...cells.map((cell, place) => {
      const { text: shown, size } = fitted(cell, wide - 6);
      return text(MARGIN + first + wide * (place + 0.5), base, shown, {
        size,
        anchor: 'middle',
        ...(isHead ? { face: 'numeral' as const } : {}),
      });
    }),
    line(MARGIN, top + room, width - MARGIN, top + room, isHead ? 1.2 : 0.5),
    ...(isHead ? [] : cells.map((_, place) => line(MARGIN + first + wide * place, top, MARGIN + first + wide * place, top + room, 0.5))),
  ];
}

function fitted(whole: string, room: number): { readonly text: string; readonly size: number } {
  const size = Math.max(LEAST_POINTS, Math.min(SIZE, room / Math.max(1, textWidth(whole, 'text'))));
  let shown = whole;
  while (shown.length > 1 && textWidth(shown, 'text') * size > room) shown = `${shown.slice(0, -2)}…`;
  return { text: shown, size };
}
