import type { PAGE_SIZES } from '../choices.ts';
import { symbolText } from '../naming/symbol-view.ts';
import { type Drawing, line, moved, type Shape, text } from '../notation/drawing.ts';
import { againSign, beatDots, formSign, pushMark, repeatSign, ringMark, stopMark } from '../notation/page-signs.ts';
import { PAPERS, type Paper } from '../notation/study-sheet.ts';
import type { ChartPart } from './chart-part.ts';
import { BARS_A_ROW, type BarCell, type CellRow, type CellSection, type ChordCell } from './projection.ts';

const MARGIN = 40;
const TITLE_ROOM = 54;
const FOOT_ROOM = 22;
/** From large enough for a dark stage down to what can still be read on a stand. */
const SIZES = [34, 31, 28, 25.5, 23, 21, 19, 17.5, 16] as const;
/** For long charts two lines of bars stand side by side. */
const CLOSE_SIZES = [15, 13.5, 12, 10.5, 9] as const;
const MOST_PAGES = 2;

/** Whether a reader wants the chart on as few pages as can be read, or in larger type on more of them. */
export type PageSize = (typeof PAGE_SIZES)[number];

/**
 * The chart in the largest type with which it fits one page, or else two; for a reader of large type
 * two pages are as good as one. A section is kept on one
 * page where it fits, so that the page is turned between sections. A long chart has eight bars a
 * line; one that is too long even so takes more pages, in type that can be read.
 */
export function chartPages(content: ChartPart, paper: Paper, size: PageSize = 'fewest pages'): readonly Drawing[] {
  const laid = (most: number) => SIZES.map((size) => layOut(content, paper, size)).find((pages) => pages.length <= most);
  const close = { ...content, sections: content.sections.map((section) => ({ ...section, rows: sideBySide(section.rows) })) };
  const closely = () => CLOSE_SIZES.map((size) => layOut(close, paper, size)).find((pages) => pages.length <= MOST_PAGES);
  const pages =
    (size === 'large type' ? undefined : laid(1)) ?? laid(MOST_PAGES) ?? closely() ?? layOut(content, paper, SIZES.at(-1) as number);
  const [width, height] = PAPERS[paper];
  return pages.map((shapes, index) => ({
    width,
    height,
    label: `${content.title}, page ${index + 1} of ${pages.length}`,
    shapes: [...shapes, ...footOf(content, index, pages.length, width, height)],
  }));
}

/** Lines of four bars two by two, where no words stand between them. */
function sideBySide(rows: readonly CellRow[]): readonly CellRow[] {
  const joined: CellRow[] = [];
  for (const row of rows) {
    const before = joined.at(-1);
    const fits =
      before !== undefined &&
      !before.isPickup &&
      !row.isPickup &&
      before.words.length === 0 &&
      before.bars.length + row.bars.length <= 2 * BARS_A_ROW;
    if (fits) joined[joined.length - 1] = { ...row, bars: [...before.bars, ...row.bars] };
    else joined.push(row);
  }
  return joined;
}

function footOf({ foot, title }: ChartPart, page: number, pages: number, width: number, height: number): readonly Shape[] {
  const y = height - MARGIN + 10;
  const right = pages > 1 ? [text(width - MARGIN, y, `${title}  ${page + 1} / ${pages}`, { size: 9, anchor: 'end', ink: 'quiet' })] : [];
  return [text(MARGIN, y, foot, { size: 9, anchor: 'start', ink: 'quiet' }), ...right];
}

interface Block {
  readonly height: number;
  readonly shapes: readonly Shape[];
}

function layOut(content: ChartPart, paper: Paper, size: number): readonly Shape[][] {
  const [width, height] = PAPERS[paper];
  const inside = width - 2 * MARGIN;
  const bottom = height - MARGIN - FOOT_ROOM;
  const pages: Shape[][] = [headOf(content)];
  let y = MARGIN + TITLE_ROOM;
  const turn = () => {
    pages.push([]);
    y = MARGIN;
  };
  for (const section of content.sections) {
    const blocks = section.rows.map((row, index) => rowBlock(row, index === 0 ? section : null, inside, size));
    const whole = blocks.reduce((sum, block) => sum + block.height, 0);
    if (y + whole > bottom && whole <= bottom - MARGIN && y > MARGIN + TITLE_ROOM) turn();
    for (const block of blocks) {
      if (y + block.height > bottom && y > MARGIN) turn();
      pages.at(-1)?.push(...block.shapes.map((shape) => moved(shape, MARGIN, y)));
      y += block.height;
    }
  }
  return pages;
}

function headOf({ title, facts }: ChartPart): Shape[] {
  return [
    text(MARGIN, MARGIN + 20, title, { size: 26, anchor: 'start', face: 'bold' }),
    text(MARGIN, MARGIN + 40, facts, { size: 12, anchor: 'start', ink: 'quiet' }),
  ];
}

/** About how wide a letter is, as a part of its size. */
const LETTER_WIDTH = 0.56;
const UNDER = 0.46;
/** Room between the letters of chords that share a bar. */
const UNDER_GAP = 0.4;
const SMALL = 0.36;
const INSET = 0.22;

/** How high the parts of a row are, as parts of the size of its numbers. */
const ROOM = { section: 0.95, over: 0.62, number: 1.02, under: 0.56, remark: 0.44, words: 0.5, gap: 0.42 } as const;

function rowBlock(row: CellRow, section: CellSection | null, width: number, size: number): Block {
  const barWidth = width / (row.bars.length > BARS_A_ROW ? 2 * BARS_A_ROW : BARS_A_ROW);
  // a pickup stands over the last bar, so that full bars stand under each other
  const first = row.isPickup ? BARS_A_ROW - row.bars.length : 0;
  const named = section !== null && (section.name !== null || section.beside !== '');
  const top = named ? ROOM.section * size : 0;
  const over = row.bars.some(hasOver) ? ROOM.over * size : 0.2 * size;
  const under = row.bars.some(({ chords }) => chords.some((chord) => underText(chord) !== '')) ? ROOM.under * size : 0;
  const remarks = Math.max(0, ...row.bars.map((bar) => remarkLines(bar, barWidth, size).length));
  const barTop = top + over;
  const barBottom = barTop + (ROOM.number + 0.16) * size + under;
  const words = row.words.flatMap((one) => wrapped(one, width, SMALL * size * 1.15));
  const remarksTop = barBottom + 0.12 * size;
  const wordsTop = remarksTop + remarks * ROOM.remark * size;
  const shapes = [
    ...(named ? sectionShapes(section, size) : []),
    ...row.bars.flatMap((bar, index) =>
      barShapes(bar, { barWidth, barTop, barBottom, size, under: under > 0, remarksTop, last: index === row.bars.length - 1 }).map(
        (shape) => moved(shape, (first + index) * barWidth, 0),
      ),
    ),
    ...words.map((one, index) =>
      text(0, wordsTop + (index + 0.8) * ROOM.words * size, one, { size: SMALL * size * 1.15, anchor: 'start', ink: 'quiet' }),
    ),
  ];
  return { height: wordsTop + words.length * ROOM.words * size + ROOM.gap * size, shapes };
}

function hasOver({ heading, ending, signs, after, closesRepeat }: BarCell): boolean {
  return heading !== '' || ending !== null || signs.length > 0 || after.length > 0 || (closesRepeat ?? 2) !== 2;
}

function sectionShapes({ name, beside }: CellSection, size: number): readonly Shape[] {
  const label = 0.52 * size;
  const y = 0.66 * size;
  return [
    text(0, y, name ?? '', { size: label, anchor: 'start', face: 'bold' }),
    ...(beside === ''
      ? []
      : [text(((name ?? '').length + 1.2) * LETTER_WIDTH * label * 1.06, y, beside, { size: label * 0.84, anchor: 'start' })]),
  ];
}

interface BarRoom {
  readonly barWidth: number;
  readonly barTop: number;
  readonly barBottom: number;
  readonly size: number;
  readonly under: boolean;
  readonly remarksTop: number;
  readonly last: boolean;
}

function barShapes(bar: BarCell, room: BarRoom): readonly Shape[] {
  const { barWidth, barTop, barBottom, size, remarksTop, last } = room;
  const inset = (bar.opensRepeat ? 0.5 : INSET) * size;
  const inside = barWidth - inset - (bar.closesRepeat === null ? 0.1 : 0.42) * size;
  const remarks = remarkLines(bar, barWidth, size).map((words, index) =>
    text(INSET * size, remarksTop + (index + 0.75) * ROOM.remark * size, words, { size: SMALL * size, anchor: 'start', ink: 'quiet' }),
  );
  return [
    ...(bar.opensRepeat ? repeatSign(0, barTop, barBottom, size, 1) : [line(0, barTop, 0, barBottom, 1.1, 'ink')]),
    ...(bar.closesRepeat === null ? [] : repeatSign(barWidth, barTop, barBottom, size, -1)),
    ...(last && bar.closesRepeat === null ? [line(barWidth, barTop, barWidth, barBottom, 1.1, 'ink')] : []),
    ...overShapes(bar, room),
    ...(bar.sign === 'chords'
      ? chordRow(bar, inset, inside, room)
      : againSign(bar.sign === '%%', barWidth / 2, (barTop + barBottom) / 2, size)),
    ...remarks,
  ];
}

/** What stands over a bar: signs, new keys, endings, jumps. */
function overShapes({ heading, ending, signs, after, closesRepeat }: BarCell, { barWidth, barTop, size }: BarRoom): readonly Shape[] {
  const y = barTop - 0.16 * size;
  const small = SMALL * size;
  const lead = signs.length * 0.62 * size;
  const headed = heading === '' ? [] : [text(lead + 0.08 * size, y, heading, { size: small, anchor: 'start', face: 'bold' })];
  const words = [...after, closesRepeat !== null && closesRepeat !== 2 ? `×${closesRepeat}` : ''].filter((part) => part !== '').join('  ');
  const bracket = ending === null ? [] : endingShapes(ending, barWidth, barTop - 0.58 * size, size);
  return [
    ...signs.flatMap((sign, index) => formSign(sign, (index * 0.62 + 0.28) * size, y - 0.12 * size, 0.5 * size)),
    ...headed,
    ...(words === '' ? [] : [text(barWidth - 0.06 * size, y, words, { size: small, anchor: 'end', face: 'bold' })]),
    ...bracket,
  ];
}

function endingShapes({ label, begins, ends }: NonNullable<BarCell['ending']>, width: number, y: number, size: number): readonly Shape[] {
  const drop = 0.4 * size;
  return [
    line(begins ? 1 : 0, y, width - (ends ? 2 : 0), y, 1, 'ink'),
    ...(begins
      ? [
          line(1, y, 1, y + drop, 1, 'ink'),
          text(0.12 * size, y + 0.36 * size, label, { size: SMALL * size, anchor: 'start', face: 'bold' }),
        ]
      : []),
    ...(ends ? [line(width - 2, y, width - 2, y + drop, 1, 'ink')] : []),
  ];
}

/** The chords of a bar side by side, each with room for its beats; a line under a shared bar. */
function chordRow({ chords }: BarCell, inset: number, inside: number, { barTop, barBottom, size, under }: BarRoom): readonly Shape[] {
  const total = chords.reduce((sum, { share }) => sum + share, 0) || 1;
  const baseline = barTop + ROOM.number * size - 0.08 * size;
  let x = inset;
  const shapes: Shape[] = [];
  for (const chord of chords) {
    const room = (inside * chord.share) / total;
    shapes.push(...chordShapes(chord, room, size, chords.length).map((shape) => moved(shape, x, baseline)));
    const words = underText(chord);
    if (under && words !== '') {
      const fit = Math.min(UNDER * size, (room - UNDER_GAP * size) / (LETTER_WIDTH * words.length));
      shapes.push(text(x, barBottom - 0.1 * size, words, { size: fit, anchor: 'start' }));
    }
    x += room;
  }
  const shared = chords.length > 1 ? [line(inset, baseline + 0.14 * size, inset + inside - 0.1 * size, baseline + 0.14 * size, 0.7)] : [];
  return [...shared, ...shapes];
}

/** What stands under a chord: its letters, what sounds, or `A = G`. */
function underText({ under, sounding }: ChordCell): string {
  const letters = under === null ? '' : symbolText(under);
  return sounding === null ? letters : `${letters} = ${symbolText(sounding)}`.trim();
}

/** One chord on its base line, as large as its room allows. */
function chordShapes(chord: ChordCell, room: number, size: number, crowd: number): readonly Shape[] {
  const { main: symbol, beats } = chord;
  const { push, ring, stop, optional } = chord.marks;
  if (symbol === null) return [text(0, 0, 'N.C.', { size: Math.min(0.6 * size, room / 2.4), anchor: 'start', face: 'bold' })];
  const wanted = crowd > 1 ? 0.86 * size : size;
  const lead = (push ? 0.24 : 0) + (ring ? 0.34 : 0) + (optional ? 0.24 : 0);
  const tail = (ring ? 0.34 : 0) + (stop ? 0.3 : 0) + (optional ? 0.24 : 0);
  const large = `${symbol.prefix}${symbol.main}${symbol.sign}`;
  const behind = symbol.bass === null ? '' : `/${symbol.bass}`;
  const length = (large.length + 0.52 * symbol.raised.length + 0.62 * behind.length) * LETTER_WIDTH * 1.06 + lead + tail + 0.1;
  const s = Math.min(wanted, (room - 2) / length);
  const x = lead * s;
  const after = x + large.length * LETTER_WIDTH * 1.06 * s;
  const raisedEnd = after + symbol.raised.length * 0.52 * LETTER_WIDTH * 1.06 * s;
  const end = raisedEnd + behind.length * 0.62 * LETTER_WIDTH * 1.06 * s;
  return [
    ...beatDots(beats, size),
    text(x, 0, large, { size: s, anchor: 'start', face: 'bold' }),
    ...(symbol.raised === '' ? [] : [text(after, -0.34 * s, symbol.raised, { size: 0.52 * s, anchor: 'start', face: 'bold' })]),
    ...(behind === '' ? [] : [text(raisedEnd, 0, behind, { size: 0.62 * s, anchor: 'start', face: 'bold' })]),
    ...(push ? [pushMark(s)] : []),
    ...(ring ? [ringMark(x, end, s)] : []),
    ...(stop ? [stopMark(end, s)] : []),
    ...(optional
      ? [text(x - 0.24 * s, 0, '(', { size: s, anchor: 'start' }), text(end + 0.02 * s, 0, ')', { size: s, anchor: 'start' })]
      : []),
  ];
}

function remarkLines({ remarks }: BarCell, barWidth: number, size: number): readonly string[] {
  return remarks.flatMap(({ to, text: words }) => wrapped(to === null ? words : `${to}: ${words}`, barWidth - 0.3 * size, SMALL * size));
}

/** Words in lines that fit the width. */
function wrapped(words: string, width: number, size: number): readonly string[] {
  const most = Math.max(4, Math.floor(width / (size * LETTER_WIDTH * 0.92)));
  const lines: string[] = [''];
  for (const word of words.split(' ')) {
    const last = lines.at(-1) as string;
    if (last.length + word.length + 1 > most && last !== '') lines.push(word);
    else lines[lines.length - 1] = last === '' ? word : `${last} ${word}`;
  }
  return lines;
}
