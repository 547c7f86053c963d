import type { CADENCE_KINDS } from '../choices.ts';
import type { Chord } from '../chord/chord.ts';
import { formulaOf } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import { accentAt } from '../score/place.ts';
import type { Score } from '../score/score.ts';
import type { Harmony } from './columns.ts';

export type CadenceKind = (typeof CADENCE_KINDS)[number];

/** Where a phrase closes. */
export interface Cadence {
  readonly kind: CadenceKind;
  /** The harmony it goes to, by its place. */
  readonly harmony: number;
  readonly at: number;
}

const MAJOR_THIRD = formulaOf('3');
const SEVENTHS = formulaOf('b7', '7', 'bb7');

/**
 * The cadences of a piece: 5 to 1 where 1 is in the root and rests, 4 to 1 at the end of a phrase, a 5 that
 * rests, and a 5 that turns to the 6. A harmony rests when it is longer than most, or the last.
 */
export function cadencesOf(score: Score, harmonies: readonly Harmony[], keys: readonly Key[]): readonly Cadence[] {
  const usual = usualLength(harmonies);
  return harmonies.flatMap(({ chord, from, to }, index): readonly Cadence[] => {
    const before = harmonies[index - 1]?.chord ?? null;
    if (chord === null || before === null) return [];
    const rests = index === harmonies.length - 1 || to - from > RESTS * usual || isSilentAfter(harmonies, index);
    const kind = kindOf({ chord, before, key: keys[index] as Key, rests, isStrong: accentAt(score, from) > 0 });
    return kind === null ? [] : [{ kind, harmony: index, at: from }];
  });
}

const RESTS = 1.3;

interface Close {
  readonly chord: Chord;
  readonly before: Chord;
  readonly key: Key;
  readonly rests: boolean;
  readonly isStrong: boolean;
}

function kindOf(close: Close): CadenceKind | null {
  const { chord, key, rests, isStrong } = close;
  if (chord.bass !== null) return null;
  const here = stepOf(chord, key);
  if (here === 0) return rests && isStrong && (chord.formula & SEVENTHS) === 0 ? intoHome(close) : null;
  if (here === (key.scale === 'major' ? 9 : 8)) return comesFromFive(close) && close.before.bass === null ? 'deceptive' : null;
  return here === 7 && rests && isStrong && isMajor(chord) && stepOf(close.before, key) !== 7 ? 'half' : null;
}

function intoHome(close: Close): CadenceKind | null {
  const there = stepOf(close.before, close.key);
  if (there === 5) return 'plagal';
  return comesFromFive(close) || (there === 11 && close.before.bass === null) ? 'authentic' : null;
}

function comesFromFive({ before, key }: Close): boolean {
  return stepOf(before, key) === 7 && isMajor(before);
}

const isMajor = ({ formula }: Chord) => (formula & MAJOR_THIRD) !== 0;

function stepOf({ root }: Chord, { tonic }: Key): number {
  return mod(chroma(root) - chroma(tonic), 12);
}

/** The length, in ticks, that half of the harmonies do not reach. */
function usualLength(harmonies: readonly Harmony[]): number {
  const lengths = harmonies.filter(({ chord }) => chord !== null).map(({ from, to }) => to - from);
  lengths.sort((a, b) => a - b);
  return lengths[lengths.length >> 1] ?? 0;
}

function isSilentAfter(harmonies: readonly Harmony[], index: number): boolean {
  const next = harmonies[index + 1];
  return next !== undefined && next.chord === null;
}
