import type { CapoOption } from './capo-plan.ts';

/** The capo of one guitar in one song of a set. */
export interface SetCapo {
  readonly option: CapoOption;
  /** Whether it is moved before this song, with no break in between. */
  readonly moves: boolean;
}

/** Frets so little worse than a song's best are as good for the sake of a capo that stays. */
const AS_GOOD = 10;

interface Way {
  readonly moves: number;
  readonly score: number;
  readonly frets: readonly CapoOption[];
}

/**
 * A fret for every song of a set with the fewest capo moves, and among those the kindest frets.
 * Every song only takes frets about as kind as its best one. A break (null) lets the capo be moved
 * at leisure and is answered with null.
 */
export function planSetCapos(songs: readonly (readonly CapoOption[] | null)[]): readonly (SetCapo | null)[] {
  let ways: readonly Way[] = [{ moves: 0, score: 0, frets: [] }];
  let free = true;
  for (const options of songs) {
    if (options === null) free = true;
    else if (options.length > 0) {
      ways = goodFrets(options).map((option) => bestWay(ways, option, free));
      free = false;
    }
  }
  return withMoves(songs, ways.reduce((best, way) => (isBetter(way, best) ? way : best), ways[0] as Way).frets);
}

function goodFrets(options: readonly CapoOption[]): readonly CapoOption[] {
  const best = Math.max(...options.map(({ score }) => score));
  return options.filter(({ score }) => score >= best - AS_GOOD);
}

function bestWay(ways: readonly Way[], option: CapoOption, free: boolean): Way {
  const led = ways.map((way): Way => {
    const before = way.frets.at(-1);
    const moves = !free && before !== undefined && before.fret !== option.fret;
    return { moves: way.moves + (moves ? 1 : 0), score: way.score + option.score, frets: [...way.frets, option] };
  });
  return led.reduce((best, way) => (isBetter(way, best) ? way : best));
}

function isBetter(a: Way, b: Way): boolean {
  return a.moves < b.moves || (a.moves === b.moves && a.score > b.score);
}

function withMoves(songs: readonly (readonly CapoOption[] | null)[], frets: readonly CapoOption[]): readonly (SetCapo | null)[] {
  let at = 0;
  let before: number | null = null;
  return songs.map((options) => {
    if (options === null || options.length === 0) {
      if (options === null) before = null;
      return null;
    }
    const option = frets[at] as CapoOption;
    const moves = before !== null && before !== option.fret;
    at += 1;
    before = option.fret;
    return { option, moves };
  });
}
