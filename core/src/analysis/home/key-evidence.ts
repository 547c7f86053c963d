import { mod } from '../../fault.ts';
import type { ChordFacts } from '../rules/facts.ts';
import { canPull, isFive, isSuspendedFive } from '../rules/facts.ts';
import type { Home } from './home.ts';

/** What speaks for or against a key, apart from the chords one by one. */
export type KeyReason =
  | { readonly code: 'given' }
  | { readonly code: 'first-chord' }
  | { readonly code: 'last-chord' }
  | { readonly code: 'cadences'; readonly count: number }
  | { readonly code: 'coverage'; readonly own: number; readonly of: number }
  | { readonly code: 'explained'; readonly others: number }
  | { readonly code: 'opens-into' }
  | { readonly code: 'points-home' }
  | { readonly code: 'closes-whole' }
  | { readonly code: 'opens-on-four' }
  | { readonly code: 'blues-form' }
  | { readonly code: 'modal-colour' }
  | { readonly code: 'tonic-absent' };

/** Tonic chords on this home: the right root, and no third against its own. */
export function isTonicChord(home: Home, { root, class: kind }: ChordFacts): boolean {
  if (root !== home.tonic) return false;
  if (kind === 'suspended' || kind === 'power') return true;
  return home.mode.minor ? kind === 'minor' || kind === 'minor-major' : kind === 'major' || kind === 'dominant';
}

/** Whether two neighbouring chords close into the home: its 5 or leading-tone chord, then its 1. */
export function closesInto(home: Home, from: ChordFacts, to: ChordFacts): boolean {
  if (!isTonicChord(home, to)) return false;
  const step = mod(from.root - home.tonic, 12);
  if (step === 7) return canPull(from) || from.class === 'suspended';
  if (step === 11) return from.class === 'diminished' || from.class === 'half-diminished';
  return step === 1 && from.class === 'dominant';
}

/** How a song's chord changes speak for a home, from each chord to the next and from the last to the first. */
export interface Arrivals {
  /** Cadences that close into it. */
  readonly cadences: number;
  /** In minor: dominants that close into its relative major instead. */
  readonly elsewhere: number;
}

/** Counts the arrivals of a round. A tonic that is itself a dominant, or a link in a chain of them, goes on rather than rests. */
export function arrivalsIn(home: Home, round: readonly ChordFacts[]): Arrivals {
  let [cadences, elsewhere] = [0, 0];
  round.forEach((_, index) => {
    if (isCadenceInto(home, round, index)) cadences += 1;
    if (isRelativeCadence(home, round, index)) elsewhere += 1;
  });
  return { cadences, elsewhere };
}

/** Whether a 5 of the home closes into its 1 at this place of a round. */
export function isCadenceInto(home: Home, round: readonly ChordFacts[], index: number): boolean {
  const to = round[index] as ChordFacts;
  if (to.root !== home.tonic || to.class === 'dominant') return false;
  return closesInto(home, at(round, index - 1), to) && !isLink(round, index);
}

const RELATIVE_FIVE = 10;
const RELATIVE_ONE = 3;

/** In a minor home: whether ♭7 closes into ♭3 at this place, the cadence of the relative major. */
export function isRelativeCadence({ tonic, mode }: Home, round: readonly ChordFacts[], index: number): boolean {
  if (!mode.minor) return false;
  const [from, to] = [at(round, index - 1), round[index] as ChordFacts];
  if (mod(from.root - tonic, 12) !== RELATIVE_FIVE || mod(to.root - tonic, 12) !== RELATIVE_ONE) return false;
  return (canPull(from) || isSuspendedFive(from)) && to.class === 'major' && !isOnCircle(round, index);
}

const FIFTH_DOWN = 5;
const FIFTH_UP = 7;
const SHARP_FOUR = 6;
const FLAT_SEVEN = 10;

/** A chord that pulls on by a fifth, having been fallen into by one from a chord that had fallen itself: a link of a chain. */
function isLink(round: readonly ChordFacts[], index: number): boolean {
  return canPull(round[index] as ChordFacts) && isOnCircle(round, index);
}

/** Whether roots fall by fifths all around: two into the chord, one out of it. */
function isOnCircle(round: readonly ChordFacts[], index: number): boolean {
  const roots = [-2, -1, 0, 1].map((by) => at(round, index + by).root);
  return roots.slice(1).every((root, order) => mod(root - (roots[order] as number), 12) === FIFTH_DOWN);
}

function at(round: readonly ChordFacts[], index: number): ChordFacts {
  return round[mod(index, round.length)] as ChordFacts;
}

/** How much the last chord rests on the home: it came by its 5 or comes round to the first chord's root, came from its 4 or over the diminished chord on its ♯4, or just stops there. */
export type Ending = 'closed' | 'plagal' | 'plain' | 'elsewhere';

export function endingOn(home: Home, round: readonly ChordFacts[]): Ending {
  const [before, last] = [at(round, -2), at(round, -1)];
  if (!isTonicChord(home, last)) return 'elsewhere';
  if (round.length === 1 || round[0]?.root === last.root || (closesInto(home, before, last) && !isLink(round, round.length - 1)))
    return 'closed';
  const step = mod(before.root - home.tonic, 12);
  // one 4 before another: C G D A E comes to rest by fourths down all the way
  if (step === FIFTH_DOWN) return [-2, -3].every((place) => isFourthDown(round, place)) ? 'closed' : 'plagal';
  if (step === SHARP_FOUR && before.class === 'diminished') return 'plagal';
  return step === FLAT_SEVEN && before.class === 'dominant' ? 'plagal' : 'plain';
}

function isFourthDown(round: readonly ChordFacts[], place: number): boolean {
  return mod(at(round, place).root - at(round, place - 1).root, 12) === FIFTH_UP;
}

/**
 * Whether the song's last cadence is a whole one into the home: its 5 with a seventh, and before that its 2, its 1 over the
 * 5 in the bass, or the dominant of one of these. What is held or repeated at the end changes nothing.
 */
export function closesWhole(home: Home, chords: readonly ChordFacts[]): boolean {
  const rests = (facts: ChordFacts | undefined) => facts !== undefined && isTonicChord(home, facts) && facts.class !== 'dominant';
  let end = chords.length - 1;
  if (!rests(chords[end])) return false;
  while (rests(chords[end - 1])) end -= 1;
  let five = end - 1;
  while (five > 0 && isSuspendedFive(chords[five] as ChordFacts) && chords[five]?.root === chords[five - 1]?.root) five -= 1;
  const [before, dominant] = [chords[five - 1], chords[five]];
  if (before === undefined || dominant === undefined || !isFive(dominant) || stepAbove(home, dominant) !== FIFTH_UP) return false;
  return isTwo(home, before) || stepAbove(home, before) === SECOND || isSixFour(home, before);
}

const SECOND = 2;

function stepAbove({ tonic }: Home, { root }: ChordFacts): number {
  return mod(root - tonic, 12);
}

/** The 1 over its fifth: it leads to the 5 and does not rest. */
function isSixFour(home: Home, facts: ChordFacts): boolean {
  return isTonicChord(home, facts) && mod(facts.bass - home.tonic, 12) === FIFTH_UP;
}

/** Whether the song opens on a ii–V that arrives at the home's 1. */
export function opensInto(home: Home, chords: readonly ChordFacts[]): boolean {
  const [two, five, one] = chords.filter(
    (facts, index) => index === 0 || facts.root !== chords[index - 1]?.root || isTonicChord(home, facts),
  );
  if (two === undefined || five === undefined || one === undefined) return false;
  // a 1 that pulls on is another key's 5
  return isTwo(home, two) && isFive(five) && closesInto(home, five, one) && !isSuspendedFive(one) && one.class !== 'dominant';
}

/** Whether the song opens on the shape of a ii–V: a minor chord, then the dominant a fifth below. */
export function opensTwoFive([two, five]: readonly ChordFacts[]): boolean {
  if (two?.class !== 'minor' || five === undefined) return false;
  return isFive(five) && mod(five.root - two.root, 12) === FIFTH_DOWN;
}

/** The 2 of a ii–V: half-diminished in minor, where the fifth of a minor 2 is not the key's; either in major. */
function isTwo({ tonic, mode }: Home, { root, class: kind }: ChordFacts): boolean {
  return root === (tonic + 2) % 12 && (kind === 'half-diminished' || (kind === 'minor' && !mode.minor));
}

/** Whether the song stops on the ii7 and V7 of the home. */
export function pointsHome(home: Home, chords: readonly ChordFacts[]): boolean {
  const [two, five] = chords.slice(-2);
  return two !== undefined && five !== undefined && isTwoFive(home, two, five);
}

/** Whether a key whose 1 is never played has its own 5 with a seventh to speak for it. */
export function hasOwnFive(home: Home, chords: readonly ChordFacts[]): boolean {
  return chords.some((facts) => isFive(facts) && facts.root === (home.tonic + 7) % 12);
}

/** Whether its ii–V stands anywhere in the round. */
export function hasTwoFive(home: Home, round: readonly ChordFacts[]): boolean {
  return round.some((facts, index) => isTwoFive(home, facts, at(round, index + 1)));
}

function isTwoFive(home: Home, two: ChordFacts, five: ChordFacts): boolean {
  return isFive(five) && five.root === (home.tonic + 7) % 12 && isTwo(home, two);
}
