import type { Pass } from './pass.ts';

/** By how much the tempo goes up and down, in beats a minute. */
export interface LadderSteps {
  readonly up: number;
  readonly down: number;
}

export const USUAL_STEPS: LadderSteps = { up: 4, down: 6 };
export const SLOWEST = 30;
export const FASTEST = 260;
/** So many clean passes in a row raise the tempo. */
const CLEAN_PASSES = 3;
const SITTING_MS = 30 * 60_000;

/**
 * The tempo for the next pass of an item in a key: three clean ones in a row raise it by a step, a stop
 * lowers it, a shaky one leaves it. A new sitting begins a step below the last clean tempo. `passes` are
 * those of the item, oldest first; `first` is the tempo nobody has played yet; `now` in milliseconds.
 */
export function nextTempo(passes: readonly Pass[], first: number, { up, down }: LadderSteps, now: number): number {
  const timed = passes.filter((pass): pass is Pass & { readonly tempo: number } => pass.tempo !== null);
  const last = timed.at(-1);
  if (last === undefined) return within(first);
  if (now - last.at >= SITTING_MS) {
    const clean = timed.findLast(({ outcome }) => outcome === 'clean');
    return within((clean?.tempo ?? last.tempo) - (clean === undefined ? down : up));
  }
  if (last.outcome === 'stopped') return within(last.tempo - down);
  return cleanInARow(sittingOf(timed)) >= CLEAN_PASSES ? within(last.tempo + up) : last.tempo;
}

/** The passes since the last pause. */
function sittingOf(timed: readonly Pass[]): readonly Pass[] {
  const begins = timed.findLastIndex(({ at }, place) => place === 0 || at - (timed[place - 1] as Pass).at >= SITTING_MS);
  return timed.slice(begins);
}

/** How many of three clean passes at the present tempo are done. */
export function cleanInARow(passes: readonly Pass[]): number {
  const last = passes.at(-1);
  let count = 0;
  for (const pass of [...passes].reverse()) {
    if (pass.outcome !== 'clean' || pass.tempo !== last?.tempo || count === CLEAN_PASSES) break;
    count += 1;
  }
  return count;
}

function within(tempo: number): number {
  return Math.min(FASTEST, Math.max(SLOWEST, Math.round(tempo)));
}
