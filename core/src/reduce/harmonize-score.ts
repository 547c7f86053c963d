import type { Chord } from '../chord/chord.ts';
import { type Key, sameKey } from '../key/key.ts';
import type { Score } from '../score/score.ts';
import { chordPath, type Evidence, evidenceOf, type Rhythm } from './chord-path.ts';
import { type Harmony, harmoniesOf } from './columns.ts';
import { type Grid, gridOf, type TonesSaid } from './grid.ts';
import { keysByHarmony } from './keys/harmony-keys.ts';
import { keysByNotes } from './keys/local-keys.ts';

/** What a piece comes to before it is told: its harmonies, and the key of each. */
export interface Harmonized {
  readonly grid: Grid;
  readonly harmonies: readonly Harmony[];
  /** As the harmonies. */
  readonly keys: readonly Key[];
}

/** What is fixed beforehand. Times are in ticks. */
export interface HarmonizeWish {
  readonly rhythm: Rhythm;
  readonly borders: ReadonlyMap<number, boolean>;
  readonly chords: ReadonlyMap<number, Chord>;
  readonly keys: ReadonlyMap<number, Key>;
  readonly tones: TonesSaid;
}

const NO_WISH: HarmonizeWish = { rhythm: 'auto', borders: new Map(), chords: new Map(), keys: new Map(), tones: new Map() };

/** The harmonies of a piece: by the keys its notes are in first, then by those its chords make. */
export function harmonizeScore(score: Score, wish: HarmonizeWish = NO_WISH): Harmonized {
  const grid = gridOf(score, wish.tones, new Set([...wish.borders.keys(), ...wish.chords.keys()]));
  const evidence = evidenceOf(grid);
  const byBar = keysByNotes(score);
  const first = round(
    grid,
    evidence,
    wish,
    grid.moments.map(({ measure }) => byBar[measure] as Key),
  );
  const heard = keysOf(score, first, wish);
  let at = 0;
  const byMoment = grid.moments.map(({ from }) => {
    while (at < first.length - 1 && (first[at] as Harmony).to <= from) at += 1;
    return heard[at] as Key;
  });
  const harmonies = round(grid, evidence, wish, byMoment);
  return { grid, harmonies, keys: keysOf(score, harmonies, wish) };
}

function round(grid: Grid, evidence: Evidence, { rhythm, borders, chords }: HarmonizeWish, keys: readonly Key[]): readonly Harmony[] {
  const drawn = new Map([...borders, ...[...chords.keys()].map((at) => [at, true] as const)]);
  const found = harmoniesOf(grid, chordPath(grid, { rhythm, keys, borders: drawn }, evidence), keys, drawn);
  return found.map((harmony) => {
    const chord = chords.get(harmony.from);
    return chord === undefined ? harmony : { ...harmony, chord, isPedal: false };
  });
}

/** The keys of harmonies; one that is said holds until the next is said or found. */
function keysOf(score: Score, harmonies: readonly Harmony[], { keys }: HarmonizeWish): readonly Key[] {
  const found = keysByHarmony(score, harmonies);
  let said: Key | null = null;
  return harmonies.map(({ from }, index) => {
    const own = found[index] as Key;
    if (index > 0 && !sameKey(own, found[index - 1] as Key)) said = null;
    said = keys.get(from) ?? said;
    return said ?? own;
  });
}
