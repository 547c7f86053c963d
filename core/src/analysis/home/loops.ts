import { mod } from '../../fault.ts';
import type { ChordFacts } from '../rules/facts.ts';

/** A block of chords that is played at least twice in a row. Indices count chords; `to` is the last one. */
export interface Loop {
  readonly from: number;
  readonly to: number;
  readonly period: number;
}

const LONGEST_PERIOD = 8;
const SHORTEST_PERIOD = 2;

/** The loops of a progression from left to right, each with its shortest period. */
export function findLoops(chords: readonly ChordFacts[]): readonly Loop[] {
  const loops: Loop[] = [];
  for (let from = 0; from < chords.length; ) {
    const loop = loopFrom(chords, from);
    if (loop !== undefined) loops.push(loop);
    from = loop === undefined ? from + 1 : loop.to + 1;
  }
  return loops;
}

function loopFrom(chords: readonly ChordFacts[], from: number): Loop | undefined {
  for (let period = SHORTEST_PERIOD; period <= LONGEST_PERIOD; period += 1) {
    if (chords[from] !== chords[from + period]) continue;
    // one chord over and over is no loop, however long it goes on
    if (new Set(chords.slice(from, from + period)).size < 2) continue;
    let end = from + period;
    while (end < chords.length && chords[end] === chords[end - period]) end += 1;
    const rounds = Math.floor((end - from) / period);
    if (rounds >= 2) return { from, to: from + rounds * period - 1, period };
  }
  return undefined;
}

/** How many chords one round of the progression has, when it is nothing but that round repeated; all of them otherwise. */
export function periodOf(chords: readonly ChordFacts[]): number {
  const { length } = chords;
  for (let period = 1; period <= length / 2; period += 1) {
    if (length % period === 0 && chords.every((facts, index) => index < period || facts === chords[index - period])) return period;
  }
  return length;
}

/** The triad class that a loop is recognised by, whatever is stacked on it. */
export function plainClass(facts: ChordFacts): string {
  switch (facts.class) {
    case 'minor':
    case 'minor-major':
      return 'm';
    case 'half-diminished':
    case 'diminished':
      return 'o';
    case 'augmented':
      return '+';
    default:
      return 'M';
  }
}

/**
 * A name for a round of chords that is the same in every key and from whichever chord it starts:
 * each chord's class with the half steps to the next root, in the rotation that sorts first.
 */
export function roundName(chords: readonly ChordFacts[]): string {
  const steps = chords.map((facts, index) => {
    const next = chords[(index + 1) % chords.length] as ChordFacts;
    return `${plainClass(facts)}${mod(next.root - facts.root, 12)}`;
  });
  const turned = steps.map((_, by) => [...steps.slice(by), ...steps.slice(0, by)].join(' '));
  return turned.sort()[0] ?? '';
}
