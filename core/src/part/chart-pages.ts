import type { PAGE_SIZES } from '../choices.ts';
import { type Drawing, moved, type Shape, text } from '../notation/drawing.ts';
import { LEAST_POINTS, textWidth } from '../notation/letter-width.ts';
import { PAPERS, type Paper } from '../notation/study-sheet.ts';
import type { ChartPart } from './chart-part.ts';
import { pageType } from './page-type.ts';
import { BARS_A_ROW, type CellRow } from './projection.ts';
import { fittingRows, rowBlock } from './row-block.ts';

const MARGIN = 40;
const TITLE_ROOM = 54;
const FOOT_ROOM = 22;
/** From large enough for a dark stage down to what can still be read on a stand. */
const SIZES = [34, 31, 28, 25.5, 23, 21, 19, 17.5, 16] as const;
/** For long charts two lines of bars stand side by side. */
const CLOSE_SIZES = [16, 15, 14, 13, 12, 11, 10, 9] as const;
const MOST_PAGES = 2;

/** Whether a reader wants the chart on as few pages as can be read, or in larger type on more of them. */
export type PageSize = (typeof PAGE_SIZES)[number];

/**
 * The chart in the largest type with which it fits one page, or else two; for a reader of large type
 * two pages are as good as one. A section is kept on one
 * page where it fits, so that the page is turned between sections. A long chart has eight bars a
 * line; one that is too long even so takes more pages. No letter is smaller than can be read on a stand.
 */
export function chartPages(content: ChartPart, paper: Paper, size: PageSize = 'fewest pages'): readonly Drawing[] {
  const laid = (most: number) => SIZES.map((size) => layOut(content, paper, size)).find((pages) => pages.length <= most);
  const close = { ...content, sections: content.sections.map((section) => ({ ...section, rows: sideBySide(section.rows) })) };
  const closely = () => CLOSE_SIZES.map((size) => layOut(close, paper, size)).find((pages) => pages.length <= MOST_PAGES);
  const pages = (size === 'large type' ? undefined : laid(1)) ?? laid(MOST_PAGES) ?? closely() ?? layOut(close, paper, CLOSE_SIZES[0]);
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

function layOut(content: ChartPart, paper: Paper, size: number): readonly Shape[][] {
  const [width, height] = PAPERS[paper];
  const inside = width - 2 * MARGIN;
  const bottom = height - MARGIN - FOOT_ROOM;
  const pages: Shape[][] = [headOf(content, inside)];
  let y = MARGIN + TITLE_ROOM;
  const turn = () => {
    pages.push([]);
    y = MARGIN;
  };
  const type = pageType(size);
  for (const section of content.sections) {
    const rows = section.rows.flatMap((row) => fittingRows(row, inside, type));
    const blocks = rows.map((row, index) => rowBlock(row, index === 0 ? section : null, inside, type));
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

function headOf({ title, facts }: ChartPart, width: number): Shape[] {
  const fitted = (words: string, size: number, face: 'numeral' | 'text') =>
    Math.max(LEAST_POINTS, Math.min(size, width / Math.max(1, textWidth(words, face))));
  return [
    text(MARGIN, MARGIN + 20, title, { size: fitted(title, TITLE_SIZE, 'numeral'), anchor: 'start', face: 'numeral' }),
    text(MARGIN, MARGIN + 40, facts, { size: fitted(facts, FACTS_SIZE, 'text'), anchor: 'start', ink: 'quiet' }),
  ];
}

const TITLE_SIZE = 26;
const FACTS_SIZE = 12;
