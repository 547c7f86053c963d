import { mod } from '../fault.ts';
import type { ChordFacts } from './facts.ts';
import { canPull } from './facts.ts';
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

/** How many chord changes close into the home. A tonic that is itself a dominant goes on rather than rests. */
export function cadencesInto(home: Home, chords: readonly ChordFacts[]): number {
  let count = 0;
  for (let index = 1; index < chords.length; index += 1) {
    const to = chords[index] as ChordFacts;
    if (to.class !== 'dominant' && closesInto(home, chords[index - 1] as ChordFacts, to)) count += 1;
  }
  return count;
}

/** Whether the song opens on a ii–V that arrives at the home's 1. */
export function opensInto(home: Home, chords: readonly ChordFacts[]): boolean {
  const [two, five, one] = chords;
  if (two === undefined || five === undefined || one === undefined) return false;
  return isTwo(home, two) && five.class === 'dominant' && closesInto(home, five, one);
}

/** The 2 of a ii–V: half-diminished in minor, where the fifth of a minor 2 is not the key's; either in major. */
function isTwo({ tonic, mode }: Home, { root, class: kind }: ChordFacts): boolean {
  return root === (tonic + 2) % 12 && (kind === 'half-diminished' || (kind === 'minor' && !mode.minor));
}

/** Whether the song stops on the ii7 and V7 of the home. */
export function pointsHome(home: Home, chords: readonly ChordFacts[]): boolean {
  const [two, five] = chords.slice(-2);
  if (two === undefined || five === undefined || five.class !== 'dominant') return false;
  return isTwo(home, two) && five.root === (home.tonic + 7) % 12;
}
