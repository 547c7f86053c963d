import { type BarCell, type CellRow, type ChordCell, symbolText } from '@aurora/core';
import { plainEms, symbolEms } from '../notation/symbol-width.ts';

/** Between two chords of a bar, in ems of the number. */
const BETWEEN_EMS = 0.4;

/** How wide a bar's chords are side by side, in ems of their numbers; letters under them are so much of a number's size. */
export function barEms({ chords }: Pick<BarCell, 'chords'>, under: number): number {
  const wide = chords.map((chord) => Math.max(chord.main === null ? 2 : symbolEms(chord.main), under * underEms(chord)));
  return wide.reduce((sum, one) => sum + one, 0) + BETWEEN_EMS * Math.max(0, chords.length - 1);
}

function underEms({ under }: ChordCell): number {
  return under === null ? 0 : plainEms(symbolText(under));
}

/** More than this beside three others is not readable on a phone, nor beside one other. */
const MOST_EMS_IN_FOUR = 1.9;
const MOST_EMS_IN_TWO = 8.5;
/** Letters under numbers, beside the smallest numbers. */
const UNDER_SMALL = 1;

/** What is not the numbers' own of a bar's width, in pixels: its lines, and the edges of every chord. */
const BESIDE = 22;
const PER_CHORD = 8;
/** Room for the signs before and behind a number, in ems of it. */
const PUSH = 0.4;
const STOP = 0.5;
const OPTIONAL = 0.8;
/** Letters under a number on the sheet, and the smallest numbers there, in pixels. */
const LETTERS = 16;
const SMALLEST = 16;

/** Whether the chords of a bar fit into a bar of the sheet so wide, in pixels, with numbers of a size. */
export function fitsBar(bar: Pick<BarCell, 'chords'>, size: number, pixels: number): boolean {
  const marked = bar.chords.reduce(
    (sum, { marks }) => sum + (marks.push ? PUSH : 0) + (marks.stop ? STOP : 0) + (marks.optional ? OPTIONAL : 0),
    0,
  );
  return (barEms(bar, LETTERS / size) + marked) * size <= pixels - BESIDE - PER_CHORD * bar.chords.length;
}

/** On less than this, long bars stand two by two. */
const NARROW = 560;

/** How many bars of a row of the sheet stand side by side in so many pixels: four where all can be read, else two, or each alone. */
export function sheetColumns(row: Pick<CellRow, 'bars'>, pixels: number): 1 | 2 | 4 {
  const wanted = pixels < NARROW ? phoneColumns(row) : 4;
  const columns = ([4, 2] as const).find((count) => count <= wanted && row.bars.every((bar) => fitsBar(bar, SMALLEST, pixels / count)));
  return columns ?? 1;
}

/** How many bars of a row stand side by side on a phone: all four where they are short, two, or each alone. */
export function phoneColumns({ bars }: Pick<CellRow, 'bars'>): 1 | 2 | 4 {
  if (bars.every((bar) => barEms(bar, 0) <= MOST_EMS_IN_FOUR)) return 4;
  return bars.every((bar) => barEms(bar, UNDER_SMALL) <= MOST_EMS_IN_TWO) ? 2 : 1;
}
