import type { Chord } from '../src/chord/chord.ts';
import type { Key } from '../src/key/key.ts';
import type { ToneKind } from '../src/reduce/tones/tone-kinds.ts';
import type { Score } from '../src/score/score.ts';

/** The ways a planned piece is written out. */
export const STYLES = ['chorale', 'broken', 'study', 'waltz', 'horns', 'two-part'] as const;
export type Style = (typeof STYLES)[number];

/** A harmony of the plan: what it is called, how long, and which tone is in the bass. */
export interface PlannedHarmony {
  readonly from: number;
  readonly to: number;
  readonly chord: Chord;
  readonly key: Key;
}

/** A harmony with every chord that the notes of the plan cannot tell from it, and every key it may be heard in. */
interface AcceptedHarmony extends PlannedHarmony {
  readonly accept: readonly Chord[];
  readonly keys: readonly Key[];
}

export interface PlannedTone {
  readonly part: string;
  readonly at: number;
  readonly midi: number;
  readonly kind: ToneKind;
}

export interface PlannedPiece {
  readonly style: Style;
  readonly score: Score;
  readonly harmonies: readonly AcceptedHarmony[];
  readonly tones: readonly PlannedTone[];
}
