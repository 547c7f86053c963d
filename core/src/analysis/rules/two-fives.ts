import { mod } from '../../fault.ts';
import { type ChordFacts, isFive } from './facts.ts';

/** A ii–V wherever it stands, with the chord it arrives at. Indices count chords. */
export interface TwoFive {
  readonly two: number;
  readonly five: number;
  /** The chord it points at, when that follows; null when it goes elsewhere. */
  readonly one: number | null;
  /** Last chord of the pattern: repeats of the goal are not counted. */
  readonly to: number;
  /** The root it points at, in half steps above C. */
  readonly goal: number;
  /** Into a minor chord: what follows is minor, or its 2 is half-diminished. */
  readonly minor: boolean;
}

const FALL = 5;
const HALF_STEP_DOWN = 11;

/** Every ii–V of the progression; the V may stand as its tritone substitute. A plain triad counts as a V only when it arrives. */
export function findTwoFives(chords: readonly ChordFacts[]): readonly TwoFive[] {
  return chords.flatMap((two, index) => {
    if (two.class !== 'minor' && two.class !== 'half-diminished') return [];
    const five = nextOther(chords, index);
    if (five === null) return [];
    const found = twoFiveAt(chords, index, five);
    return found === undefined ? [] : [found];
  });
}

function twoFiveAt(chords: readonly ChordFacts[], index: number, at: number): TwoFive | undefined {
  const two = chords[index] as ChordFacts;
  const five = chords[at] as ChordFacts;
  const fall = mod(five.root - two.root, 12);
  const goal = fall === FALL ? mod(five.root + FALL, 12) : mod(five.root + HALF_STEP_DOWN, 12);
  const end = lastOfSame(chords, at);
  const one = chords[end + 1]?.root === goal ? end + 1 : null;
  const pulls = chords.slice(at, end + 1).some(isFive);
  const dominant = pulls || (fall === FALL && one !== null && five.class === 'major');
  if (!dominant || (fall !== FALL && fall !== HALF_STEP_DOWN)) return undefined;
  const arrival = one === null ? undefined : chords[one]?.class;
  const minor = arrival === undefined ? two.class === 'half-diminished' : arrival === 'minor' || arrival === 'minor-major';
  return { two: index, five: at, one, to: one ?? end, goal, minor };
}

/** The next chord with another root; null at the end. */
function nextOther(chords: readonly ChordFacts[], from: number): number | null {
  const next = lastOfSame(chords, from) + 1;
  return next < chords.length ? next : null;
}

function lastOfSame(chords: readonly ChordFacts[], from: number): number {
  let last = from;
  while (chords[last + 1]?.root === chords[from]?.root) last += 1;
  return last;
}
