import { chroma, letterStep } from '../pitch/note.ts';

/**
 * An interval within the octave, as a distance on the line of fifths: perfect fifth 1,
 * major third 4, minor third −3, augmented fourth 6, diminished fifth −6.
 */
export type Interval = number;

const MAJOR_STEPS_IN_FIFTHS: readonly Interval[] = [0, 2, 4, -1, 1, 3, 5];
const PERFECT_STEPS = new Set([0, 3, 4]);

/** How many letters the interval spans, counting both ends: third 3, fifth 5. */
export function intervalNumber(interval: Interval): number {
  return letterStep(interval) + 1;
}

/** Half steps upward within the octave, 0–11. */
export function intervalSemitones(interval: Interval): number {
  return chroma(interval);
}

/** The major or perfect interval on the given letter step (0–6), as fifths. */
export function majorInterval(step: number): Interval {
  return MAJOR_STEPS_IN_FIFTHS[step] as Interval;
}

/**
 * The interval's short name: `P5`, `M3`, `m3`, `A4`, `d5`; doubly augmented `AA`, doubly
 * diminished `dd`. The octave is folded: an octave is `P1`.
 */
export function intervalName(interval: Interval): string {
  const step = letterStep(interval);
  const alteration = (interval - majorInterval(step)) / 7;
  return `${qualityLetters(alteration, PERFECT_STEPS.has(step))}${step + 1}`;
}

function qualityLetters(alteration: number, perfect: boolean): string {
  if (alteration > 0) return 'A'.repeat(alteration);
  if (perfect) return alteration === 0 ? 'P' : 'd'.repeat(-alteration);
  if (alteration === 0) return 'M';
  return alteration === -1 ? 'm' : 'd'.repeat(-alteration - 1);
}
