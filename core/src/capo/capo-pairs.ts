import type { CapoOption } from './capo-plan.ts';

/** Two guitars with their capos. */
export interface CapoPair {
  readonly first: CapoOption;
  readonly second: CapoOption;
  /** Half steps the second guitar's shapes lie above the first's as they sound; below 0 for lower. */
  readonly apart: number;
  /** 0–100: both easy, and neither doubles the other. */
  readonly score: number;
}

const DOUBLED = -30;
const MUDDY = -4;
const COMPLEMENT = 6;
const FAR = 2;
const MUDDY_UNTIL = 2;
const COMPLEMENT_UNTIL = 7;

/**
 * Every pair of frets for two guitars, the best first. Guitars on the same fret of the same tuning
 * play the same shapes and double each other; a third to a fifth apart they fill the sound.
 */
export function pairCapos(first: readonly CapoOption[], second: readonly CapoOption[]): readonly CapoPair[] {
  const pairs = first.flatMap((one) =>
    second.map((other): CapoPair => {
      const apart = liftOf(other) - liftOf(one);
      const score = (one.score + other.score) / 2 + togetherness(Math.abs(apart));
      return { first: one, second: other, apart, score: Math.max(0, Math.min(100, Math.round(score))) };
    }),
  );
  return pairs.sort(
    (a, b) => b.score - a.score || a.first.cost + a.second.cost - b.first.cost - b.second.cost || Math.abs(a.apart) - Math.abs(b.apart),
  );
}

/** Half steps the shapes sound above where they would in standard tuning without a capo. */
function liftOf({ fret, tuning }: CapoOption): number {
  return fret + tuning;
}

function togetherness(apart: number): number {
  if (apart === 0) return DOUBLED;
  if (apart <= MUDDY_UNTIL) return MUDDY;
  return apart <= COMPLEMENT_UNTIL ? COMPLEMENT : FAR;
}
