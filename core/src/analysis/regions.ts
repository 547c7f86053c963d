import type { ChordFacts } from './facts.ts';
import { isOwn, isTarget, stepOf } from './home.ts';
import { closesInto, isTonicChord, opensInto } from './key-evidence.ts';
import type { KeyCandidate } from './key-finding.ts';

/** A stretch of chords at home in one key. Indices count chords; `to` is the last one. */
export interface HomeRegion {
  readonly candidate: KeyCandidate;
  readonly from: number;
  readonly to: number;
  /** The first chord of the region, when it belongs to the key before as well. */
  readonly pivot: number | null;
  /** Index of the tonic chord that confirms the key by a cadence; null for a key that needs none. */
  readonly confirmedAt: number | null;
}

/** What leaving one key for another costs: about three chords that explain themselves as visitors. */
const MODULATION_COST = 3;
const CADENCE_GAIN = 0.3;
const MOST_ROUNDS = 8;
const FEWEST_CHORDS = 3;
const STAYS = 2;
const BANNED = 1000;

/**
 * The cheapest way through the song: for every chord a key, so that what the chords cost in their
 * keys, what the keys have speaking for them, and what every change of key costs is least in all.
 * A new key that no cadence confirms, or that hardly stays, is taken back and the way sought again.
 * A song that stays in one key is in the one that ranks best: in a long song the sum of its chords
 * would outweigh how it opens and closes.
 */
export function findRegions(
  chords: readonly ChordFacts[],
  candidates: readonly KeyCandidate[],
  given: KeyCandidate | null,
): readonly HomeRegion[] {
  if (chords.length === 0) return [];
  const costs = candidates.map((candidate) => pathCosts(chords, candidate));
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const regions = regionsOf(chords, cheapestPath(chords.length, candidates, costs, given));
    if (regions.length === 1) break;
    const doubtful = regions.filter((region, index) => index > 0 && !isConfirmed(chords, region, regions));
    if (doubtful.length === 0) return regions;
    for (const { candidate, from, to } of doubtful) {
      const row = costs[candidates.indexOf(candidate)] as number[];
      for (let index = from; index <= to; index += 1) row[index] = BANNED;
    }
  }
  return regionsOf(
    chords,
    chords.map(() => given ?? (candidates[0] as KeyCandidate)),
  );
}

/** What each chord costs on the way: a little less where a cadence closes, much less where the song opens or ends on the tonic. */
function pathCosts(chords: readonly ChordFacts[], { home, costs, opening, ending }: KeyCandidate): number[] {
  const own = costs.map((cost, index) => {
    const [from, to] = [chords[index - 1], chords[index] as ChordFacts];
    return from !== undefined && to.class !== 'dominant' && closesInto(home, from, to) ? cost - CADENCE_GAIN : cost;
  });
  own[0] = (own[0] as number) + opening;
  own[own.length - 1] = (own.at(-1) as number) + ending;
  return own;
}

/** One key for each chord; of equal ways the one that stays longest in its key. */
function cheapestPath(
  length: number,
  candidates: readonly KeyCandidate[],
  costs: readonly (readonly number[])[],
  given: KeyCandidate | null,
): readonly KeyCandidate[] {
  let totals = candidates.map((candidate, key) => {
    if (given !== null && candidate !== given) return Number.POSITIVE_INFINITY;
    return (costs[key] as readonly number[])[0] as number;
  });
  const cameFrom: Int16Array[] = [];
  for (let index = 1; index < length; index += 1) {
    const cheapest = totals.indexOf(Math.min(...totals));
    const entering = (totals[cheapest] as number) + MODULATION_COST;
    const back = new Int16Array(candidates.length);
    totals = totals.map((stay, key) => {
      back[key] = stay <= entering ? key : cheapest;
      return Math.min(stay, entering) + ((costs[key] as readonly number[])[index] as number);
    });
    cameFrom.push(back);
  }
  let key = totals.indexOf(Math.min(...totals));
  const path = [key];
  for (const back of cameFrom.reverse()) {
    key = back[key] as number;
    path.push(key);
  }
  return path.reverse().map((at) => candidates[at] as KeyCandidate);
}

function regionsOf(chords: readonly ChordFacts[], path: readonly KeyCandidate[]): readonly HomeRegion[] {
  const starts = path.flatMap((candidate, index) => (index > 0 && path[index - 1] === candidate ? [] : [index]));
  const regions: HomeRegion[] = [];
  starts.forEach((start, order) => {
    const candidate = path[start] as KeyCandidate;
    const to = (starts[order + 1] ?? path.length) - 1;
    const before = regions.at(-1);
    const entry = before === undefined ? { from: start, pivot: null } : entryOf(chords, before, candidate, start, to);
    if (before !== undefined) regions[regions.length - 1] = { ...before, to: entry.from - 1 };
    regions.push({ candidate, ...entry, to, confirmedAt: before === undefined ? null : cadenceIn(chords, candidate, entry.from, to) });
  });
  return regions;
}

/**
 * Where a new key begins: at the last chord that belongs to both keys, the pivot, when it stands
 * right before the first chord that is foreign to the old one; else at that foreign chord.
 */
function entryOf(
  chords: readonly ChordFacts[],
  before: HomeRegion,
  candidate: KeyCandidate,
  start: number,
  to: number,
): { readonly from: number; readonly pivot: number | null } {
  const inBoth = (index: number) =>
    isOwn(before.candidate.home, chords[index] as ChordFacts) && isOwn(candidate.home, chords[index] as ChordFacts);
  let from = start;
  while (from < to && inBoth(from) && inBoth(from + 1)) from += 1;
  if (inBoth(from)) return { from, pivot: from };
  return from - 1 > before.from && inBoth(from - 1) ? { from: from - 1, pivot: from - 1 } : { from, pivot: null };
}

/** The first tonic in a stretch that a 5 or leading-tone chord of the key leads into. */
function cadenceIn(chords: readonly ChordFacts[], { home }: KeyCandidate, from: number, to: number): number | null {
  for (let index = from + 1; index <= to; index += 1) {
    if (closesInto(home, chords[index - 1] as ChordFacts, chords[index] as ChordFacts)) return index;
  }
  return null;
}

/**
 * A region counts when a cadence confirms it and it is no passing visit: the key goes on behind the
 * cadence, or its tonic is heard more than once, or a whole ii–V–I stands on a tonic that is no
 * degree of the key before. Coming back to an earlier key needs none of these.
 */
function isConfirmed(chords: readonly ChordFacts[], region: HomeRegion, regions: readonly HomeRegion[]): boolean {
  const { candidate, from, to, confirmedAt } = region;
  if (regions.some((other) => other.to < from && other.candidate === candidate)) return true;
  if (confirmedAt === null || to - from + 1 < FEWEST_CHORDS) return false;
  const before = regions[regions.indexOf(region) - 1] as HomeRegion;
  const { home } = before.candidate;
  if (opensInto(candidate.home, chords.slice(from, to + 1)) && !isTarget(home, stepOf(home, candidate.home.tonic))) return true;
  const tonics = chords.slice(from, to + 1).filter((facts) => isTonicChord(candidate.home, facts)).length;
  return to - confirmedAt >= STAYS || tonics >= STAYS;
}
