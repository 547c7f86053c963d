import { mod } from '../fault.ts';
import { CHORD_KINDS, type ChordKind } from './kinds.ts';

/** A chord that may be heard, before its notes have names. */
export interface State {
  readonly root: number;
  readonly kind: ChordKind;
  readonly pitches: readonly number[];
  /** The same, one bit each. */
  readonly set: number;
}

/** Every chord on every root. */
export const STATES: readonly State[] = Array.from({ length: 12 }, (_, root) =>
  CHORD_KINDS.map((kind) => ({
    root,
    kind,
    set: ((kind.steps << root) | (kind.steps >> (12 - root))) & 0xfff,
    pitches: Array.from({ length: 12 }, (_, steps) => steps)
      .filter((steps) => (kind.steps & (1 << steps)) !== 0)
      .map((steps) => (root + steps) % 12),
  })),
).flat();

/** The chords' tones in rows of equal length, filled up with none, for the innermost loop. */
export const MOST_TONES = 5;
/** What no chord has, behind the twelve pitch classes. */
export const NONE = 12;
export const TONES = Uint8Array.from(STATES.flatMap(({ pitches }) => Array.from({ length: MOST_TONES }, (_, at) => pitches[at] ?? NONE)));
export const MISSED = Float64Array.from(
  STATES.flatMap(({ root, kind, pitches }) =>
    Array.from({ length: MOST_TONES }, (_, at) =>
      pitches[at] === undefined ? 0 : (kind.missing[mod((pitches[at] as number) - root, 12)] as number),
    ),
  ),
);
