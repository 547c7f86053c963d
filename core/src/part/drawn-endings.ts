import type { WrittenBar } from '../chart/bars.ts';

/** How a repeat and its endings are drawn at a bar, as musicians read them. */
export interface DrawnForm {
  readonly closesRepeat: number | null;
  /** Whether the bracket of an ending closes here; the bracket of the last one stays open. */
  readonly endsEnding: boolean;
}

/** Bars side by side under one bracket. */
interface Run {
  readonly from: number;
  readonly to: number;
  readonly passes: readonly number[];
}

const TWICE = 2;

/**
 * Where `:|` and closed brackets stand. A chart writes one `:|` behind all endings of a repeat; drawn, each ending from
 * which one goes back has its own, and the last one has none and is open to the right. Bars that need no change are left out.
 */
export function drawnEndings(bars: readonly WrittenBar[]): ReadonlyMap<number, DrawnForm> {
  // one bracket alone says nothing of where the others are
  const groups = groupsOf(bars).filter(({ length }) => length >= TWICE);
  return new Map(groups.flatMap((group) => group.map((run) => [run.to, drawnAt(run, group, bars)] as const)));
}

/** The end of one ending among the others of its repeat. */
function drawnAt(run: Run, group: readonly Run[], bars: readonly WrittenBar[]): DrawnForm {
  const last = group.at(-1) as Run;
  const passes = bars[last.to]?.form.closesRepeat ?? Math.max(...group.flatMap((one) => one.passes));
  const own = bars[run.to]?.form.closesRepeat ?? null;
  if (run !== last) return { closesRepeat: own ?? TWICE, endsEnding: true };
  const goesBack = run.passes.some((pass) => pass < passes);
  return { closesRepeat: goesBack ? own : null, endsEnding: goesBack };
}

/** Endings that stand one behind the other, in the order they are written. */
function groupsOf(bars: readonly WrittenBar[]): readonly (readonly Run[])[] {
  const groups: Run[][] = [];
  let run: Run | null = null;
  bars.forEach(({ form: { ending } }, index) => {
    if (ending === null) {
      run = null;
      return;
    }
    const group = groups.at(-1);
    const isNew = run === null || ending.begins;
    const next: Run = isNew ? { from: index, to: index, passes: ending.passes } : { ...(run as Run), to: index };
    if (!isNew && group !== undefined) group[group.length - 1] = next;
    else if (run !== null && group !== undefined) group.push(next);
    else groups.push([next]);
    run = next;
  });
  return groups;
}
