import { type Drawing, line, moved, type Shape, text } from './drawing.ts';
import { textWidth } from './letter-width.ts';
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
const LARGEST = { list: 22, floor: 54 } as const;
/** Details beside a title are six tenths of it, and no letter is smaller than nine points. */
const SMALLEST = { list: 15, floor: 24 } as const;
const STEP = 0.94;

/**
 * A set on paper: with everything for a music stand, or titles and keys alone in the largest type
 * for the floor. The type is as large as lets the set stand on one page; a long set takes more.
 */
export function setPages(content: SetSheetContent, paper: Paper, kind: 'list' | 'floor'): readonly Drawing[] {
  const [width, height] = PAPERS[paper];
  let size: number = LARGEST[kind];
  while (size > SMALLEST[kind] && heightOf(content, size, kind) > height - 2 * MARGIN - HEAD) size = Math.max(SMALLEST[kind], size * STEP);
  // all titles in one size, that of the longest
  const title = Math.min(size, ...content.lines.map((one) => titleSize(one, size, kind, width - 2 * MARGIN)));
  const pages: Shape[][] = [headOf(content, kind, width)];
  let y = MARGIN + (kind === 'floor' ? HEAD * 0.6 : HEAD);
  for (const one of content.lines) {
    const room = lineHeight(one, size, kind);
    if (y + room > height - MARGIN && y > MARGIN) {
      pages.push([]);
      y = MARGIN;
    }
    pages.at(-1)?.push(...lineShapes(one, { size, title, kind }, width - 2 * MARGIN).map((shape) => moved(shape, MARGIN, y)));
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
    text(MARGIN, MARGIN + 20, title, { size: 24, anchor: 'start', face: 'numeral' }),
    text(MARGIN, MARGIN + 38, facts, { size: 12, anchor: 'start', ink: 'quiet' }),
  ];
}

function heightOf({ lines }: SetSheetContent, size: number, kind: 'list' | 'floor'): number {
  return lines.reduce((sum, one) => sum + lineHeight(one, size, kind), 0);
}

function lineHeight({ details }: SetSheetLine, size: number, kind: 'list' | 'floor'): number {
  return kind === 'floor' ? size * 1.3 : size * (1.5 + 0.72 * details.length);
}

interface LineLook {
  readonly size: number;
  /** Size of the titles. */
  readonly title: number;
  readonly kind: 'list' | 'floor';
}

const NUMBER_ROOM = 1.7;
const KEY_ROOM = 3.2;
const SMALL = 0.6;

function timeRoom({ time }: SetSheetLine, size: number, kind: 'list' | 'floor'): number {
  return kind === 'floor' || time === '' ? 0 : SMALL * size * (textWidth(time, 'text') + 1);
}

/** The size with which a song's title fits between its number and its time. */
function titleSize(one: SetSheetLine, size: number, kind: 'list' | 'floor', width: number): number {
  if (one.kind === 'break') return size;
  const room = width - (NUMBER_ROOM + KEY_ROOM) * size - timeRoom(one, size, kind);
  return room / Math.max(1, textWidth(one.title, 'numeral'));
}

function lineShapes(one: SetSheetLine, { size, title, kind }: LineLook, width: number): readonly Shape[] {
  if (one.kind === 'break') return breakShapes(one, { size, title, kind }, width);
  const baseline = size;
  const left = NUMBER_ROOM * size;
  const small = { size: SMALL * size, ink: 'quiet' } as const;
  // the title is what is looked for; its key stands beside it
  const keySize = Math.min(KEY_PART * title, (KEY_ROOM * size) / (textWidth(one.key, 'numeral') + 0.3));
  const details = kind === 'list' ? one.details : [];
  return [
    text(left - 0.5 * size, baseline, one.number, { ...small, anchor: 'end' }),
    text(left, baseline, one.title, { size: title, anchor: 'start', face: 'numeral' }),
    text(width, baseline, one.key, { size: keySize, anchor: 'end', face: 'numeral' }),
    ...(kind === 'list' && one.time !== '' ? [text(width - KEY_ROOM * size, baseline, one.time, { ...small, anchor: 'end' })] : []),
    ...details.map((words, index) =>
      text(left, baseline + 0.74 * size * (index + 1), fitted(words, width - left, small.size), { ...small, anchor: 'start' }),
    ),
    ...(one.joins ? joinArrow(JOIN_AT * size, baseline + 0.2 * size, lineHeight(one, size, kind) + 0.22 * size, size) : []),
  ];
}

const KEY_PART = 0.85;
const JOIN_AT = 0.42;

/** Down to the next song, which begins without a pause. */
function joinArrow(x: number, from: number, to: number, size: number): readonly Shape[] {
  const head = Math.max(3, 0.12 * size);
  const d = `M ${x - head} ${to - 1.6 * head} L ${x + head} ${to - 1.6 * head} L ${x} ${to} Z`;
  return [line(x, from, x, to - 1.4 * head, Math.max(1.6, 0.07 * size), 'ink'), { kind: 'path', d, fill: 'ink', stroke: null, width: 0 }];
}

function breakShapes({ title: name, time }: SetSheetLine, { size, kind }: LineLook, width: number): readonly Shape[] {
  const small = { size: SMALL * size, ink: 'quiet' } as const;
  return [
    text(NUMBER_ROOM * size, size, `– ${name} –`, { ...small, anchor: 'start' }),
    ...(kind === 'list' && time !== '' ? [text(width - KEY_ROOM * size, size, time, { ...small, anchor: 'end' })] : []),
  ];
}

/** Words cut where the line ends. */
function fitted(words: string, width: number, size: number): string {
  const fits = (some: string) => textWidth(some, 'text') * size <= width;
  if (fits(words)) return words;
  let cut = words.length - 1;
  while (cut > 1 && !fits(`${words.slice(0, cut).trimEnd()}…`)) cut -= 1;
  return `${words.slice(0, cut).trimEnd()}…`;
}
