import type { RidgeSpan, SongProfile } from '../analysis/profile.ts';
import { measureAt } from '../score/place.ts';
import { TICKS } from '../score/score.ts';
import type { Reduction } from './reduction.ts';

const INSIDE: readonly string[] = ['diatonic', 'pedal', 'line-cliche'];

/** The ridge of a piece, in quarters: every harmony a plateau; what is undecided lies on the ground of its key. */
export function pieceProfile({ score, columns, analysis }: Reduction): SongProfile {
  const spans = columns.map(({ from, to, analyzed, place }, index): RidgeSpan => {
    const { ground, height } = analysis.ridge[place ?? -1] ?? { ground: 0, height: 0 };
    const isInside = analyzed !== null && INSIDE.includes(analyzed.reading.kind) && analyzed.function !== 'other';
    return {
      index,
      bar: measureAt(score, from),
      from: from / TICKS,
      to: to / TICKS,
      ground,
      top: ground + height,
      role: isInside ? (analyzed.function as RidgeSpan['role']) : 'outside',
    };
  });
  return { spans, sections: [], beats: (score.measures.at(-1)?.to ?? 0) / TICKS };
}
