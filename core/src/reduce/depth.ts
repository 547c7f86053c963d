import { accentAt } from '../score/place.ts';
import type { Column, Reduction } from './reduction.ts';

/** How much of the harmony is shown: every chord, those that carry it, or only what a phrase closes with. */
export type Depth = 'every' | 'main' | 'cadences';
export const REDUCTION_DEPTHS: readonly Depth[] = ['every', 'main', 'cadences'];

/** A column that is kept, and until when it then lasts. */
export interface KeptColumn {
  /** Its place among all columns. */
  readonly index: number;
  readonly from: number;
  readonly to: number;
}

/** The columns of a depth; what is left out belongs to the one before it. */
export function columnsAt(reduction: Reduction, depth: Depth): readonly KeptColumn[] {
  const { columns } = reduction;
  const closing = closingColumns(reduction);
  const kept = columns.flatMap((column, index) =>
    depth === 'every' || index === 0 || closing.has(index) || (depth === 'main' && isMain(reduction, column, index)) ? [index] : [],
  );
  return kept.map((index, place) => {
    const next = kept[place + 1];
    return {
      index,
      from: (columns[index] as Column).from,
      to: next === undefined ? (columns.at(-1) as Column).to : (columns[next] as Column).from,
    };
  });
}

/** The chords of every cadence: the one it goes to, and the one before. */
function closingColumns({ cadences }: Reduction): ReadonlySet<number> {
  return new Set(cadences.flatMap(({ harmony }) => [harmony - 1, harmony]));
}

/** A chord carries the harmony where it begins strongly, or is long, and neither goes back to what was before nor only leans on what comes. */
function isMain({ score, columns }: Reduction, { from, to, chord, inversion, analyzed }: Column, index: number): boolean {
  if (chord === null) return false;
  const [before, after] = [columns[index - 1], columns[index + 1]];
  const goesBack = before?.chord?.root === after?.chord?.root && before !== undefined && to - from <= before.to - before.from;
  const usual = (columns.at(-1) as Column).to / columns.length;
  const weight = accentAt(score, from) + (to - from) / usual + (inversion === 0 ? 1 : 0) - (goesBack ? 2 : 0);
  return weight - (analyzed !== null && analyzed.reading.kind !== 'diatonic' ? 1 : 0) >= ENOUGH;
}

const ENOUGH = 3.5;
