import type { BarCell } from '@aurora/core';

/** A bar has two lines of its row's grid: what stands over it, as high as the fullest of the row needs, and itself. */
export const ROW_AND_OVER = 'row-span-2 grid grid-rows-subgrid gap-0';

/** Whether beats or diamonds stand over the chords of a bar. */
export function hasMarksOver({ chords }: Pick<BarCell, 'chords'>): boolean {
  return chords.some(({ beats, marks }) => beats !== null || marks.ring);
}
