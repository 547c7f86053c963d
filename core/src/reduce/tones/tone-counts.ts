import { accentAt, placeOf } from '../../score/place.ts';
import type { Reduction } from '../reduction.ts';
import type { ToneKind } from './tone-kinds.ts';

/** How often a piece has a kind of note outside its chords, and where it has it again and again. */
export interface ToneCount {
  readonly kind: ToneKind;
  readonly count: number;
  /** How many bars have one on their first beat. */
  readonly onFirstBeats: number;
}

/** A gesture: a kind on the first beat of at least this part of the bars. */
const GESTURE = 0.25;
const FEWEST = 3;

/** The kinds of a piece, the most frequent first. */
export function toneCounts({ score, tones }: Reduction): readonly ToneCount[] {
  const counts = new Map<ToneKind, { count: number; bars: Set<number> }>();
  for (const { kind, at } of tones) {
    const own = counts.get(kind) ?? { count: 0, bars: new Set<number>() };
    own.count += 1;
    if (accentAt(score, at) === 3) own.bars.add(placeOf(score, at).bar);
    counts.set(kind, own);
  }
  return [...counts].map(([kind, { count, bars }]) => ({ kind, count, onFirstBeats: bars.size })).sort((a, b) => b.count - a.count);
}

/** The gesture of a piece: the note beside the chord that its first beats have most often; null where there is none. */
export function gestureOf(reduction: Reduction): ToneCount | null {
  const most = toneCounts(reduction)
    .filter(({ kind }) => kind !== 'pedal')
    .reduce<ToneCount | null>((best, one) => (best === null || one.onFirstBeats > best.onFirstBeats ? one : best), null);
  const bars = reduction.score.measures.length;
  return most !== null && most.onFirstBeats >= Math.max(FEWEST, GESTURE * bars) ? most : null;
}
