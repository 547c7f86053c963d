import type { BarCell, CellRow } from '@aurora/core';
import { symbolEms } from '../notation/symbol-width.ts';

/** Between two chords of a bar, in ems of the number. */
const BETWEEN_EMS = 0.4;

/** How wide a bar's numbers are side by side, in ems of their size. */
export function barEms({ chords }: Pick<BarCell, 'chords'>): number {
  const wide = chords.map(({ main }) => (main === null ? 2 : symbolEms(main)));
  return wide.reduce((sum, one) => sum + one, 0) + BETWEEN_EMS * Math.max(0, chords.length - 1);
}

/** More than this beside three others is not readable on a phone. */
const MOST_EMS_IN_FOUR = 1.9;

/** How many bars of a row stand side by side on a phone: all four where they are short, else two. */
export function phoneColumns({ bars }: Pick<CellRow, 'bars'>): 2 | 4 {
  return bars.every((bar) => barEms(bar) <= MOST_EMS_IN_FOUR) ? 4 : 2;
}
