import { type SymbolView, symbolText } from '../naming/symbol-view.ts';
import { line, moved, type Shape, text } from '../notation/drawing.ts';
import { LEAST_POINTS, textWidth, wrapped } from '../notation/letter-width.ts';
import { againSign, countSign, marksOver, pushMark, repeatSign, stopMark } from '../notation/page-signs.ts';
import { type OverBar, overBar, overRoom, overShapes } from './over-bar.ts';
import type { PageType } from './page-type.ts';
import { BARS_A_ROW, type BarCell, type CellRow, type CellSection, type ChordCell } from './projection.ts';

/** A piece of a page, from its top. */
export interface Block {
  readonly height: number;
  readonly shapes: readonly Shape[];
}

/** Smaller numbers than this are not set: their line is broken instead. */
const LEAST_NUMBER = 11;
const INSET = 0.22;
/** Room between the letters of chords that share a bar. */
const UNDER_GAP = 0.3;

/** The row in as many lines as it takes for every letter in it to be readable. */
export function fittingRows(row: CellRow, width: number, type: PageType): readonly CellRow[] {
  const side = row.bars.length > BARS_A_ROW ? 2 * BARS_A_ROW : BARS_A_ROW;
  const columns = [side, BARS_A_ROW, 2].find((count) => count <= side && row.bars.every((bar) => fits(bar, width / count, type))) ?? 1;
  if (columns === side) return [row];
  const lines = Math.ceil(row.bars.length / columns);
  return Array.from({ length: lines }, (_, at) => ({
    ...row,
    columns,
    bars: row.bars.slice(at * columns, (at + 1) * columns),
    words: at === lines - 1 ? row.words : [],
  }));
}

/** A row that was broken says how many bars have room side by side. */
type SetRow = CellRow & { readonly columns?: number };

/** Whether everything in a bar can be set in letters that can be read. */
function fits(bar: BarCell, barWidth: number, type: PageType): boolean {
  if (bar.sign !== 'chords') return true;
  const { inside } = insideOf(bar, barWidth, type.size);
  return shares(bar, inside).every(({ chord, room }) => {
    const under = underText(chord);
    const below = under === '' || (room - UNDER_GAP * LEAST_POINTS) / textWidth(under, 'text') >= LEAST_POINTS;
    return (
      below && numberSize(chord, room, bar.chords.length, type.size) >= Math.max(LEAST_POINTS, Math.min(type.size * CROWDED, LEAST_NUMBER))
    );
  });
}

/** A line of bars with what stands over and under it; `section` is what begins with it. */
export function rowBlock(row: SetRow, section: CellSection | null, width: number, type: PageType): Block {
  const { size, room } = type;
  const columns = row.columns ?? (row.bars.length > BARS_A_ROW ? 2 * BARS_A_ROW : BARS_A_ROW);
  const barWidth = width / columns;
  // a pickup stands over the last bar, so that full bars stand under each other
  const first = row.isPickup ? Math.max(0, columns - row.bars.length) : 0;
  const named = section !== null && (section.name !== null || section.beside !== '');
  const top = named ? room.section : 0;
  const overs = row.bars.map((bar) => overBar(bar, barWidth, type));
  const most = Math.max(0, ...overs.map(({ lines }) => lines.length));
  const raised = row.bars.some(({ sign, chords }) => sign === 'chords' && chords.some(hasMarksOver)) ? MARKS_ROOM * size : 0;
  const under = row.bars.some(({ chords, sign }) => sign === 'chords' && chords.some((chord) => underText(chord) !== '')) ? room.under : 0;
  const remarks = Math.max(0, ...row.bars.map((bar) => remarkLines(bar, barWidth, type).length));
  const barTop = top + overRoom(most, type);
  const baseline = barTop + raised + room.number - 0.08 * size;
  const barBottom = baseline + 0.24 * size + under;
  const words = row.words.flatMap((one) => wrapped(one, width / type.words, 'text'));
  const remarksTop = barBottom + 0.12 * size;
  const wordsTop = remarksTop + remarks * room.remark;
  const place = { barWidth, barTop, baseline, barBottom, type, under: under > 0, remarksTop, most };
  const shapes = [
    ...(named ? sectionShapes(section, type) : []),
    ...row.bars.flatMap((bar, index) =>
      barShapes(bar, overs[index] as OverBar, { ...place, last: index === row.bars.length - 1 }).map((shape) =>
        moved(shape, (first + index) * barWidth, 0),
      ),
    ),
    ...words.map((one, index) => text(0, wordsTop + (index + 0.8) * room.words, one, { size: type.words, anchor: 'start', ink: 'quiet' })),
  ];
  return { height: wordsTop + words.length * room.words + room.gap, shapes };
}

/** Room for beats and diamonds over the numbers of a row, as a part of their size. */
const MARKS_ROOM = 0.3;

function hasMarksOver({ beats, marks }: ChordCell): boolean {
  return beats !== null || marks.ring;
}

function sectionShapes({ name, beside }: CellSection, { label, beside: small, room }: PageType): readonly Shape[] {
  const y = 0.69 * room.section;
  const title = text(0, y, name ?? '', { size: label, anchor: 'start', face: 'numeral' });
  if (beside === '') return [title];
  const gap = name === null ? 0 : textWidth(name, 'numeral') * label + 0.8 * label;
  return [title, text(gap, y, beside, { size: small, anchor: 'start' })];
}

interface BarRoom {
  readonly barWidth: number;
  readonly barTop: number;
  /** On which the numbers stand. */
  readonly baseline: number;
  readonly barBottom: number;
  readonly type: PageType;
  readonly under: boolean;
  readonly remarksTop: number;
  /** Lines over the fullest bar of the row. */
  readonly most: number;
  readonly last: boolean;
}

function insideOf(
  { opensRepeat, closesRepeat }: BarCell,
  barWidth: number,
  size: number,
): { readonly inset: number; readonly inside: number } {
  const inset = (opensRepeat ? 0.5 : INSET) * size;
  return { inset, inside: barWidth - inset - (closesRepeat === null ? 0.1 : 0.42) * size };
}

function barShapes(bar: BarCell, over: OverBar, room: BarRoom): readonly Shape[] {
  const { barWidth, barTop, barBottom, type, remarksTop, last, most } = room;
  const { size, small } = type;
  const { inset, inside } = insideOf(bar, barWidth, size);
  const remarks = remarkLines(bar, barWidth, type).map((words, index) =>
    text(INSET * size, remarksTop + (index + 0.75) * type.room.remark, words, { size: small, anchor: 'start', ink: 'quiet' }),
  );
  return [
    ...(bar.opensRepeat ? repeatSign(0, barTop, barBottom, size, 1) : [line(0, barTop, 0, barBottom, 1.1, 'ink')]),
    ...(bar.closesRepeat === null ? [] : repeatSign(barWidth, barTop, barBottom, size, -1)),
    ...(last && bar.closesRepeat === null ? [line(barWidth, barTop, barWidth, barBottom, 1.1, 'ink')] : []),
    ...overShapes(over, barWidth, barTop, most, type),
    ...insideShapes(bar, inset, inside, room),
    ...remarks,
  ];
}

function insideShapes(bar: BarCell, inset: number, inside: number, room: BarRoom): readonly Shape[] {
  const { barWidth, barTop, baseline, barBottom, type } = room;
  switch (bar.sign) {
    case 'chords':
      return chordRow(bar, inset, inside, room);
    case 'count':
      return countSign(bar.counts, inset, inside, baseline, type.size);
    default:
      return againSign(bar.sign === '%%', barWidth / 2, (barTop + barBottom) / 2, type.size);
  }
}

interface Share {
  readonly chord: ChordCell;
  readonly x: number;
  readonly room: number;
}

/** Chords beside each other, each with room for its beats. */
function shares({ chords }: Pick<BarCell, 'chords'>, inside: number): readonly Share[] {
  const total = chords.reduce((sum, { share }) => sum + share, 0) || 1;
  let x = 0;
  return chords.map((chord) => {
    const room = (inside * chord.share) / total;
    const at = x;
    x += room;
    return { chord, x: at, room };
  });
}

/** The chords of a bar side by side; a line under a shared bar. */
function chordRow(bar: BarCell, inset: number, inside: number, { baseline, barBottom, type, under }: BarRoom): readonly Shape[] {
  const { size } = type;
  const shapes = shares(bar, inside).flatMap(({ chord, x, room }): readonly Shape[] => {
    const set = chordShapes(chord, room, size, bar.chords.length).map((shape) => moved(shape, inset + x, baseline));
    const words = underText(chord);
    if (!under || words === '') return set;
    const fit = Math.min(type.under, (room - UNDER_GAP * LEAST_POINTS) / textWidth(words, 'text'));
    return [...set, text(inset + x, barBottom - 0.1 * size, words, { size: fit, anchor: 'start' })];
  });
  const y = baseline + 0.14 * size;
  return bar.chords.length > 1 ? [line(inset, y, inset + inside - 0.1 * size, y, 0.7), ...shapes] : shapes;
}

/** What stands under a chord: its letters, what sounds, or `A = G`. */
function underText({ under, sounding }: ChordCell): string {
  const letters = under === null ? '' : symbolText(under);
  return sounding === null ? letters : `${letters} = ${symbolText(sounding)}`.trim();
}

/** Numbers that share a bar are a little smaller than one that has it alone. */
const CROWDED = 0.86;
const RAISED = 0.52;
const BASS = 0.62;

const largeOf = ({ prefix, main, sign }: SymbolView) => `${prefix}${main}${sign}`;
const behindOf = ({ bass }: SymbolView) => (bass === null ? '' : `/${bass}`);
/** Raised letters and a bass are smaller than the number, and never too small. */
const raisedSize = (s: number) => Math.max(LEAST_POINTS, RAISED * s);
const bassSize = (s: number) => Math.max(LEAST_POINTS, BASS * s);

/** Before and behind a number, as parts of its size. */
const PUSH_ROOM = 0.36;
const PAREN_ROOM = 0.36;
const STOP_ROOM = 0.3;

function leadOf({ push, optional }: ChordCell['marks']): number {
  return (push ? PUSH_ROOM : 0) + (optional ? PAREN_ROOM : 0);
}

function tailOf({ stop, optional }: ChordCell['marks']): number {
  return (stop ? STOP_ROOM : 0) + (optional ? PAREN_ROOM : 0);
}

/** How wide a chord is with its number in a size. */
function chordWidth({ main, marks }: ChordCell, s: number): number {
  if (main === null) return textWidth('N.C.', 'numeral') * 0.6 * s;
  return (
    (textWidth(largeOf(main), 'numeral') + leadOf(marks) + tailOf(marks) + 0.1) * s +
    textWidth(main.raised, 'numeral') * raisedSize(s) +
    textWidth(behindOf(main), 'numeral') * bassSize(s)
  );
}

/** The largest size with which a chord fits its room. */
function numberSize(chord: ChordCell, room: number, crowd: number, size: number): number {
  let s = crowd > 1 ? Math.max(LEAST_POINTS, CROWDED * size) : size;
  while (s > 4 && chordWidth(chord, s) > room - 2) s *= 0.96;
  return s;
}

/** One chord on its base line, as large as its room allows. */
function chordShapes(chord: ChordCell, room: number, size: number, crowd: number): readonly Shape[] {
  const { main: symbol, beats, marks } = chord;
  const s = numberSize(chord, room, crowd, size);
  if (symbol === null) return [text(0, 0, 'N.C.', { size: Math.max(LEAST_POINTS, 0.6 * s), anchor: 'start', face: 'numeral' })];
  const x = leadOf(marks) * s;
  const large = largeOf(symbol);
  const behind = behindOf(symbol);
  const after = x + textWidth(large, 'numeral') * s;
  const raisedEnd = after + textWidth(symbol.raised, 'numeral') * raisedSize(s);
  const end = raisedEnd + textWidth(behind, 'numeral') * bassSize(s);
  return [
    ...marksOver({ ring: marks.ring, beats }, size),
    text(x, 0, large, { size: s, anchor: 'start', face: 'numeral' }),
    ...(symbol.raised === '' ? [] : [text(after, -0.34 * s, symbol.raised, { size: raisedSize(s), anchor: 'start', face: 'numeral' })]),
    ...(behind === '' ? [] : [text(raisedEnd, 0, behind, { size: bassSize(s), anchor: 'start', face: 'numeral' })]),
    ...(marks.push ? [pushMark(s)] : []),
    ...(marks.stop ? [stopMark(end, s)] : []),
    ...(marks.optional
      ? [text(x - PAREN_ROOM * s, 0, '(', { size: s, anchor: 'start' }), text(end + 0.03 * s, 0, ')', { size: s, anchor: 'start' })]
      : []),
  ];
}

function remarkLines({ remarks }: BarCell, barWidth: number, { size, small }: PageType): readonly string[] {
  return remarks.flatMap(({ to, text: words }) =>
    wrapped(to === null ? words : `${to}: ${words}`, (barWidth - 0.3 * size) / small, 'text'),
  );
}
