import { type Drawing, line, moved, type Shape, text } from './drawing.ts';
import { PAPERS, type Paper } from './study-sheet.ts';

/** A line of a set list as it is printed. */
export interface SetSheetLine {
  readonly kind: 'song' | 'break';
  /** Its number among the songs; empty for a break. */
  readonly number: string;
  readonly title: string;
  /** Tonight's key, large at the right; empty for a break. */
  readonly key: string;
  /** `20:45`, `3:30`. */
  readonly time: string;
  /** Capos, tempo, who starts, notes: what a musician needs beside the title. */
  readonly details: readonly string[];
  /** Whether it goes straight into the next line. */
  readonly joins: boolean;
}

export interface SetSheetContent {
  readonly title: string;
  readonly facts: string;
  readonly lines: readonly SetSheetLine[];
}

const MARGIN = 40;
const HEAD = 58;
const LETTER_WIDTH = 0.56;
const LARGEST = { list: 22, floor: 54 } as const;
const SMALLEST = { list: 11, floor: 24 } as const;
const STEP = 0.94;

/**
 * A set on paper: with everything for a music stand, or titles and keys alone in the largest type
 * for the floor. The type is as large as lets the set stand on one page; a long set takes more.
 */
export function setPages(content: SetSheetContent, paper: Paper, kind: 'list' | 'floor'): readonly Drawing[] {
  const [width, height] = PAPERS[paper];
  let size: number = LARGEST[kind];
  while (size > SMALLEST[kind] && heightOf(content, size, kind) > height - 2 * MARGIN - HEAD) size *= STEP;
  const pages: Shape[][] = [headOf(content, kind, width)];
  let y = MARGIN + (kind === 'floor' ? HEAD * 0.6 : HEAD);
  for (const one of content.lines) {
    const room = lineHeight(one, size, kind);
    if (y + room > height - MARGIN && y > MARGIN) {
      pages.push([]);
      y = MARGIN;
    }
    pages.at(-1)?.push(...lineShapes(one, size, kind, width - 2 * MARGIN).map((shape) => moved(shape, MARGIN, y)));
    y += room;
  }
  return pages.map((shapes, index) => ({
    width,
    height,
    label: pages.length === 1 ? content.title : `${content.title}, page ${index + 1} of ${pages.length}`,
    shapes,
  }));
}

function headOf({ title, facts }: SetSheetContent, kind: 'list' | 'floor', width: number): Shape[] {
  if (kind === 'floor') return [text(width - MARGIN, MARGIN + 12, title, { size: 12, anchor: 'end', ink: 'quiet' })];
  return [
    text(MARGIN, MARGIN + 20, title, { size: 24, anchor: 'start', face: 'bold' }),
    text(MARGIN, MARGIN + 38, facts, { size: 12, anchor: 'start', ink: 'quiet' }),
  ];
}

function heightOf({ lines }: SetSheetContent, size: number, kind: 'list' | 'floor'): number {
  return lines.reduce((sum, one) => sum + lineHeight(one, size, kind), 0);
}

function lineHeight({ details }: SetSheetLine, size: number, kind: 'list' | 'floor'): number {
  return kind === 'floor' ? size * 1.3 : size * (1.5 + 0.72 * details.length);
}

function lineShapes(one: SetSheetLine, size: number, kind: 'list' | 'floor', width: number): readonly Shape[] {
  const baseline = size;
  const isBreak = one.kind === 'break';
  const numberRoom = 1.7 * size;
  const keyRoom = 3.2 * size;
  const time = kind === 'list' ? one.time : '';
  const timeRoom = time === '' ? 0 : 0.62 * size * LETTER_WIDTH * (time.length + 2);
  const left = isBreak ? 0 : numberRoom;
  const room = width - left - keyRoom - timeRoom;
  const title = isBreak ? `– ${one.title} –` : one.title;
  const fit = Math.min(isBreak ? 0.7 * size : size, room / (LETTER_WIDTH * Math.max(1, title.length)));
  const small = { size: 0.6 * size, anchor: 'start', ink: 'quiet' } as const;
  return [
    ...(one.number === '' ? [] : [text(numberRoom - 0.5 * size, baseline, one.number, { size: 0.6 * size, anchor: 'end', ink: 'quiet' })]),
    text(left, baseline, title, { size: fit, anchor: 'start', face: isBreak ? 'text' : 'bold', ink: isBreak ? 'quiet' : 'ink' }),
    ...(time === '' ? [] : [text(width - keyRoom, baseline, time, { size: 0.6 * size, anchor: 'end', ink: 'quiet' })]),
    ...(one.key === ''
      ? []
      : [
          text(width, baseline, one.key, {
            size: Math.min(size, keyRoom / (LETTER_WIDTH * (one.key.length + 0.5))),
            anchor: 'end',
            face: 'bold',
          }),
        ]),
    ...(kind === 'list'
      ? one.details.map((words, index) => text(left, baseline + 0.74 * size * (index + 1), fitted(words, width - left, 0.6 * size), small))
      : []),
    ...(one.joins ? [line(0.5 * size, baseline + 0.18 * size, 0.5 * size, lineHeight(one, size, kind) + 0.2 * size, 1.6, 'ink')] : []),
  ];
}

/** Words cut where the line ends. */
function fitted(words: string, width: number, size: number): string {
  const most = Math.floor(width / (size * LETTER_WIDTH * 0.94));
  return words.length <= most ? words : `${words.slice(0, Math.max(1, most - 1)).trimEnd()}…`;
}
