import type { Measure } from '../score/score.ts';
import type { Stretch } from './chord-path.ts';
import type { Grid, Moment } from './grid.ts';

/** So many bars of silence end a harmony; a shorter rest goes on with it. */
const LONG = 2;

/** Stretches with their rests: the silence before a piece, and one of whole bars, is no harmony; any other belongs to what was before. */
export function withSilence(grid: Grid, stretches: readonly Stretch[]): readonly Stretch[] {
  const isNothing = nothingIn(grid);
  const rows: Stretch[] = [];
  for (const stretch of stretches) {
    for (const { from, to, nothing } of runsOf(stretch, isNothing)) {
      const last = rows.at(-1);
      if (nothing) rows.push({ from, to, chords: [] });
      else if (stretch.chords.length > 0 || last === undefined) rows.push({ ...stretch, from, to });
      else rows[rows.length - 1] = { ...last, to };
    }
  }
  return rows;
}

/** For each moment, whether nothing is heard in it: it lies in a silence that is no rest. */
function nothingIn({ moments, score }: Grid): readonly boolean[] {
  const found = moments.map(() => false);
  const first = score.measures[0] as Measure;
  let from = 0;
  while (from < moments.length) {
    let to = from;
    while (to < moments.length && (moments[to] as Moment).sounding.length === 0) to += 1;
    const length = to === from ? 0 : (moments[to - 1] as Moment).to - (moments[from] as Moment).from;
    if (from === 0 || length >= LONG * (first.to - first.from)) found.fill(true, from, to);
    from = to + 1;
  }
  return found;
}

function runsOf({ from, to }: Stretch, isNothing: readonly boolean[]): readonly { from: number; to: number; nothing: boolean }[] {
  const runs: { from: number; to: number; nothing: boolean }[] = [];
  for (let at = from; at < to; at += 1) {
    const last = runs.at(-1);
    const nothing = isNothing[at] === true;
    if (last !== undefined && last.nothing === nothing) last.to = at + 1;
    else runs.push({ from: at, to: at + 1, nothing });
  }
  return runs;
}
