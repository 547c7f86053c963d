import { type Column, placeOf, type Reduction, type Said, TICKS } from '@aurora/core';

/** A border moved from where a column begins to another time: gone there, drawn here. */
export function moveBorder({ score, columns }: Reduction, index: number, to: number): readonly Said[] {
  const column = columns[index];
  const [before, after] = [columns[index - 1], column];
  if (column === undefined || before === undefined || after === undefined) return [];
  if (to <= before.from || to >= after.to || to === column.from) return [];
  return [
    { kind: 'border', at: placeOf(score, column.from), isBorder: false },
    { kind: 'border', at: placeOf(score, to), isBorder: true },
  ];
}

/** A column joined with the one before it. */
export function joinBefore({ score, columns }: Reduction, index: number): readonly Said[] {
  const column = columns[index];
  return column === undefined || index === 0 ? [] : [{ kind: 'border', at: placeOf(score, column.from), isBorder: false }];
}

/** A column cut in two, on the beat nearest to its middle. */
export function splitColumn({ score, columns }: Reduction, index: number): readonly Said[] {
  const column = columns[index];
  if (column === undefined) return [];
  const at = beatsIn(score, column).reduce<number | null>((best, time) => {
    const middle = (column.from + column.to) / 2;
    return best === null || Math.abs(time - middle) < Math.abs(best - middle) ? time : best;
  }, null);
  return at === null ? [] : [{ kind: 'border', at: placeOf(score, at), isBorder: true }];
}

/** The times of the beats and half beats strictly inside a column. */
export function beatsIn({ measures }: Reduction['score'], { from, to }: Pick<Column, 'from' | 'to'>): readonly number[] {
  return measures
    .filter((measure) => measure.from < to && measure.to > from)
    .flatMap((measure) => {
      const half = (TICKS * 2) / measure.meter.unit;
      const count = Math.round((measure.to - measure.from) / half);
      return Array.from({ length: count }, (_, step) => measure.from + step * half);
    })
    .filter((time) => time > from && time < to);
}

/** The next beat or half beat before or after a time, within the columns on both sides of a border. */
export function stepFrom({ score, columns }: Reduction, index: number, by: 1 | -1): number | null {
  const [before, column] = [columns[index - 1], columns[index]];
  if (before === undefined || column === undefined) return null;
  const times = by < 0 ? beatsIn(score, { from: before.from, to: column.from }) : beatsIn(score, column);
  return (by < 0 ? times.at(-1) : times[0]) ?? null;
}
