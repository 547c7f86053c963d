import type { PAPER_NAMES } from '../choices.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { type Drawing, moved, type Shape, text } from './drawing.ts';
import { drawTab, type TabSystem, tabHeight } from './tab.ts';

/** A line of music with what is drawn over its tab, such as a staff or diagrams. */
export interface SheetLine {
  readonly system: TabSystem;
  /** Drawn above the tab, its own top at 0. */
  readonly over: readonly Shape[];
  /** How much room that takes. */
  readonly overHeight: number;
}

export interface StudySheet {
  readonly title: string;
  /** Key, tempo, tuning: one line under the title. */
  readonly facts: string;
  readonly lines: readonly SheetLine[];
  /** Words at the foot of every page. */
  readonly foot: string;
}

/** Paper sizes in points. */
export const PAPERS = { A4: [595, 842], Letter: [612, 792] } as const satisfies Readonly<Record<Paper, readonly [number, number]>>;
export type Paper = (typeof PAPER_NAMES)[number];

const MARGIN = 44;
const TITLE_ROOM = 58;
const LINE_GAP = 16;
const FOOT_ROOM = 24;

/** How wide a line of music is on the paper. */
export function musicWidth(paper: Paper): number {
  return PAPERS[paper][0] - 2 * MARGIN;
}

/** The sheet on as many pages as it takes; no line of music is broken over two. */
export function studyPages(sheet: StudySheet, instrument: Instrument, paper: Paper): readonly Drawing[] {
  const [width, height] = PAPERS[paper];
  const strings = instrument.tuning.length;
  const pages: Shape[][] = [];
  let y = height;
  for (const { system, over, overHeight } of sheet.lines) {
    const room = overHeight + tabHeight(strings) + LINE_GAP;
    if (y + room > height - MARGIN - FOOT_ROOM) {
      pages.push(headOf(sheet, pages.length, width));
      y = MARGIN + (pages.length === 1 ? TITLE_ROOM : TITLE_ROOM / 2);
    }
    const page = pages.at(-1) as Shape[];
    page.push(...over.map((shape) => moved(shape, MARGIN, y)));
    page.push(...drawTab(system, strings, 'TAB').map((shape) => moved(shape, MARGIN, y + overHeight)));
    y += room;
  }
  if (pages.length === 0) pages.push(headOf(sheet, 0, width));
  return pages.map((shapes, index) => ({
    width,
    height,
    label: `${sheet.title}, page ${index + 1} of ${pages.length}`,
    shapes: [...shapes, ...footOf(sheet, index, pages.length, [width, height])],
  }));
}

function headOf({ title, facts }: StudySheet, page: number, width: number): Shape[] {
  if (page > 0) return [text(width / 2, MARGIN + 8, title, { size: 10, ink: 'quiet' })];
  return [
    text(MARGIN, MARGIN + 16, title, { size: 22, anchor: 'start', face: 'bold' }),
    text(MARGIN, MARGIN + 34, facts, { size: 11, anchor: 'start', ink: 'quiet' }),
  ];
}

function footOf({ foot }: StudySheet, page: number, pages: number, [width, height]: readonly [number, number]): readonly Shape[] {
  const y = height - MARGIN + 8;
  const number = pages > 1 ? [text(width - MARGIN, y, `${page + 1} / ${pages}`, { size: 9, anchor: 'end', ink: 'quiet' })] : [];
  return [text(MARGIN, y, foot, { size: 9, anchor: 'start', ink: 'quiet' }), ...number];
}

/** The lines one under the other without pages, as they are shown on a screen. */
export function stackedLines(lines: readonly SheetLine[], instrument: Instrument, width: number, label: string): Drawing {
  const strings = instrument.tuning.length;
  const shapes: Shape[] = [];
  let y = 0;
  for (const { system, over, overHeight } of lines) {
    shapes.push(
      ...over.map((shape) => moved(shape, 0, y)),
      ...drawTab(system, strings, 'TAB').map((shape) => moved(shape, 0, y + overHeight)),
    );
    y += overHeight + tabHeight(strings) + LINE_GAP;
  }
  return { width, height: y, label, shapes };
}
