import { mod } from '../../fault.ts';
import type { ChordFacts } from '../rules/facts.ts';

/** A stretch of chords that has been played before, here or as many half steps away. Indices count chords; `to` is the last one. */
export interface Echo {
  readonly from: number;
  readonly to: number;
  /** Where the stretch it repeats begins. */
  readonly source: number;
  /** Half steps up from there, 0 to 11. */
  readonly shift: number;
  /** How many changes of chord it has: the more, the surer. */
  readonly changes: number;
}

const FEWEST = 3;
const MOST_SOURCES = 12;

/**
 * Literal repeats from left to right, transposed or not, three changes of chord or more, none of which overlap: the
 * longest of all first, and of two as long the untransposed one.
 */
export function findEchoes(chords: readonly ChordFacts[]): readonly Echo[] {
  const changes = chords.flatMap((facts, index) => (index > 0 && isSame(chords[index - 1] as ChordFacts, facts, 0) ? [] : [index]));
  const known = new Map<string, number[]>();
  const found: Echo[] = [];
  for (let at = 0; at < changes.length; at += 1) {
    if (at >= FEWEST) remember(known, openingOf(chords, changes, at - FEWEST), at - FEWEST);
    const echo = longestAt(chords, changes, at, known.get(openingOf(chords, changes, at)) ?? []);
    if (echo !== undefined) found.push(echo);
  }
  const taken: boolean[] = chords.map(() => false);
  const chosen = found
    .sort((a, b) => b.changes - a.changes || Number(a.shift !== 0) - Number(b.shift !== 0) || a.from - b.from)
    .filter(({ from, to }) => {
      if (taken[from] === true || taken[to] === true) return false;
      taken.fill(true, from, to + 1);
      return true;
    });
  return chosen.sort((a, b) => a.from - b.from);
}

function remember(known: Map<string, number[]>, opening: string, at: number): void {
  const places = known.get(opening) ?? [];
  if (places.length < MOST_SOURCES) known.set(opening, [...places, at]);
}

/** The first chords of a stretch as classes and half steps: the same however far it is moved. */
function openingOf(chords: readonly ChordFacts[], changes: readonly number[], at: number): string {
  const first = chords[changes[at] as number] as ChordFacts;
  const opening = changes.slice(at, at + FEWEST).map((index) => chords[index] as ChordFacts);
  return opening.map((facts) => `${facts.class}${mod(facts.root - first.root, 12)}`).join(' ');
}

function longestAt(chords: readonly ChordFacts[], changes: readonly number[], at: number, sources: readonly number[]): Echo | undefined {
  const factsAt = (change: number) => chords[changes[change] as number] as ChordFacts;
  let best: Echo | undefined;
  for (const source of sources) {
    const shift = mod(factsAt(at).root - factsAt(source).root, 12);
    let length = 0;
    while (source + length < at && at + length < changes.length && isSame(factsAt(source + length), factsAt(at + length), shift))
      length += 1;
    const longer = best === undefined || length > best.changes || (length === best.changes && shift === 0 && best.shift !== 0);
    if (length < FEWEST || !longer) continue;
    const to = (changes[at + length] ?? chords.length) - 1;
    // the chord before may be the same as the first one of the stretch: it starts as long before its second as its model does
    const lead = (changes[source + 1] as number) - (changes[source] as number);
    const from = Math.max(changes[at] as number, (changes[at + 1] as number) - lead);
    best = { from, to, source: changes[source] as number, shift, changes: length };
  }
  return best;
}

function isSame(before: ChordFacts, after: ChordFacts, shift: number): boolean {
  return before.class === after.class && mod(after.root - before.root, 12) === shift && mod(after.bass - before.bass, 12) === shift;
}
