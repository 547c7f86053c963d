import type { ChordFacts } from '../rules/facts.ts';
import { type Home, isOwn, isRelative, isSameHome, isTarget, stepOf } from './home.ts';
import { isCadenceInto, isRelativeCadence, isTonicChord, opensInto } from './key-evidence.ts';
import type { KeyCandidate } from './key-finding.ts';
import type { Loop } from './loops.ts';

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

/** What moved stretches settle: a home for each chord, as far as it is settled, and where a stretch that moved begins. */
export interface Settled {
  readonly homes: readonly (Home | null)[];
  readonly starts: readonly number[];
}

/** What the way through the song is looked for with. */
export interface RegionQuestion {
  readonly chords: readonly ChordFacts[];
  readonly candidates: readonly KeyCandidate[];
  readonly given: KeyCandidate | null;
  readonly settled: Settled;
  /** Whether a section of the chart begins at a chord: a natural border. */
  readonly opensSection: readonly boolean[];
  readonly loops: readonly Loop[];
}

/** What leaving one key for another costs: about three chords that explain themselves as visitors; less for the key with the same notes. */
const MODULATION_COST = 3;
const RELATIVE_COST = 1.3;
const BORDER_GAIN = 0.6;
/** A key that a moved stretch brings needs no more, and is best entered by what leads into it. */
const HELD_COST = 0.2;
const LEAD_IN_GAIN = 0.05;
/** A loop keeps its key; only its last chords may lead out of it. */
const IN_LOOP_COST = 3;
const LEAD_IN = 2;
const CADENCE_GAIN = 0.5;
/** A section that opens on the tonic. */
const SECTION_GAIN = 0.8;
/** In minor, what a cadence into the relative major costs, by a plain triad and by a seventh. */
const RELATIVE_TRIAD_COST = 0.5;
const RELATIVE_SEVENTH_COST = 0.9;
const MOST_ROUNDS = 8;
const FEWEST_CHORDS = 3;
const STAYS = 2;
const BANNED = 1000;

/**
 * The cheapest way through the song: for every chord a key, so that what the chords cost in their
 * keys, what the keys have speaking for them, and what every change of key costs is least in all.
 * A new key that no cadence confirms, or that hardly stays, is taken back and the way sought again,
 * unless a moved stretch speaks for it. A song that stays in one key is in the one that ranks best:
 * in a long song the sum of its chords would outweigh how it opens and closes.
 */
export function findRegions(question: RegionQuestion): readonly HomeRegion[] {
  const { chords, candidates, given, settled } = question;
  if (chords.length === 0) return [];
  const costs = candidates.map((candidate) => pathCosts(question, candidate));
  settled.homes.forEach((home, index) => {
    if (home === null) return;
    candidates.forEach((candidate, row) => {
      if (!isSameHome(candidate.home, home)) (costs[row] as number[])[index] = BANNED;
    });
  });
  for (let round = 0; round < MOST_ROUNDS; round += 1) {
    const regions = regionsOf(question, cheapestPath(question, costs));
    if (regions.length === 1 && settled.starts.length === 0) break;
    const isHeld = ({ from, to }: HomeRegion) => settled.homes.slice(from, to + 1).some((home) => home !== null);
    const doubtful = regions.filter((region, index) => index > 0 && !isHeld(region) && !isConfirmed(question, region, regions));
    if (doubtful.length === 0) return regions;
    for (const { candidate, from, to } of doubtful) {
      const row = costs[candidates.indexOf(candidate)] as number[];
      for (let index = from; index <= to; index += 1) row[index] = BANNED;
    }
  }
  return regionsOf(
    question,
    chords.map(() => given ?? (candidates[0] as KeyCandidate)),
  );
}

/** What a way through the song costs in all: its chords in their keys and every change of key. */
export function wayCost(question: RegionQuestion, regions: readonly HomeRegion[]): number {
  const { candidates } = question;
  const entrance = entranceCosts(question);
  let sum = 0;
  regions.forEach(({ candidate, from, to }, order) => {
    const costs = pathCosts(question, candidate);
    for (let index = from; index <= to; index += 1) sum += costs[index] as number;
    const before = regions[order - 1];
    if (before !== undefined) sum += entrance(from, candidates.indexOf(candidate), candidates.indexOf(before.candidate));
  });
  return sum;
}

/** What each chord costs on the way: a little less where a cadence closes, much less where the song opens or ends on the tonic. */
function pathCosts({ chords, opensSection }: RegionQuestion, { home, costs, opening, ending }: KeyCandidate): number[] {
  const own = costs.map((cost, index) => {
    if (index === 0) return cost;
    if (opensSection[index] === true && isTonicChord(home, chords[index] as ChordFacts)) return cost - SECTION_GAIN;
    if (isCadenceInto(home, chords, index)) return cost - CADENCE_GAIN;
    if (!isRelativeCadence(home, chords, index)) return cost;
    return cost + (chords[index - 1]?.class === 'major' ? RELATIVE_TRIAD_COST : RELATIVE_SEVENTH_COST);
  });
  own[0] = (own[0] as number) + opening;
  own[own.length - 1] = (own.at(-1) as number) + ending;
  return own;
}

/** What it costs to come into a home at a chord, from another one. */
function entranceCosts({
  chords,
  candidates,
  settled,
  opensSection,
  loops,
}: RegionQuestion): (index: number, to: number, from: number) => number {
  const relatives = relativesAmong(candidates);
  const brought = settled.starts.length === 0 ? null : candidates.map(({ home }) => broughtCosts(settled, home));
  const border = chords.map((_, index) => (opensSection[index] === true ? -BORDER_GAIN : 0));
  for (const { from, to } of loops) for (let index = from + 1; index < to + 1 - LEAD_IN; index += 1) border[index] = IN_LOOP_COST;
  return (index, to, from) => {
    const held = brought?.[to]?.[index];
    if (held !== undefined) return held;
    return (relatives[to] === from ? RELATIVE_COST : MODULATION_COST) + (border[index] as number);
  };
}

/** Indexed as the chords: what it costs to come into a home that is settled there, or soon is; undefined where it is not. */
function broughtCosts({ homes, starts }: Settled, home: Home): readonly (number | undefined)[] {
  // a stretch has one home value for all its chords: each is compared once
  const known = new Map<Home, boolean>();
  const isSettled = (index: number) => {
    const one = homes[index] ?? null;
    if (one === null) return false;
    const same = known.get(one) ?? isSameHome(one, home);
    known.set(one, same);
    return same;
  };
  const costs: (number | undefined)[] = homes.map((_, index) => (isSettled(index) ? HELD_COST : undefined));
  for (const from of starts) {
    if (!isSettled(from)) continue;
    for (let lead = 1; lead <= Math.min(LEAD_IN, from); lead += 1) costs[from - lead] ??= HELD_COST - LEAD_IN_GAIN * lead;
  }
  return costs;
}

const RELATIVES = new WeakMap<readonly KeyCandidate[], readonly number[]>();

/** For every candidate the place of its relative among them; -1 for none. */
function relativesAmong(candidates: readonly KeyCandidate[]): readonly number[] {
  const known = RELATIVES.get(candidates) ?? candidates.map(({ home }) => candidates.findIndex((other) => isRelative(home, other.home)));
  RELATIVES.set(candidates, known);
  return known;
}

/** One key for each chord; of equal ways the one that stays longest in its key. */
function cheapestPath(question: RegionQuestion, costs: readonly (readonly number[])[]): readonly KeyCandidate[] {
  const { chords, candidates, given } = question;
  const relatives = relativesAmong(candidates);
  const entrance = entranceCosts(question);
  let totals = Float64Array.from(candidates, (candidate, key) =>
    given !== null && candidate !== given ? Number.POSITIVE_INFINITY : (costs[key]?.[0] as number),
  );
  const cameFrom: Int16Array[] = [];
  for (let index = 1; index < chords.length; index += 1) {
    const cheapest = leastOf(totals);
    const least = totals[cheapest] as number;
    const next = new Float64Array(totals.length);
    const back = new Int16Array(totals.length);
    for (let key = 0; key < totals.length; key += 1) {
      const stay = totals[key] as number;
      // nothing is entered for less than the cheapest way so far
      const [from, cost] =
        stay > least ? bestWayIn({ totals, entrance, index, key }, stay, [cheapest, relatives[key] as number]) : [key, stay];
      back[key] = from;
      next[key] = cost + (costs[key]?.[index] as number);
    }
    totals = next;
    cameFrom.push(back);
  }
  let key = leastOf(totals);
  const path = [key];
  for (const back of cameFrom.reverse()) {
    key = back[key] as number;
    path.push(key);
  }
  return path.reverse().map((at) => candidates[at] as KeyCandidate);
}

interface Step {
  readonly totals: Float64Array;
  readonly entrance: ReturnType<typeof entranceCosts>;
  readonly index: number;
  readonly key: number;
}

/** Where a key is come into from at a chord, and what that costs in all: from itself, or from one of the others. */
function bestWayIn({ totals, entrance, index, key }: Step, stay: number, others: readonly number[]): readonly [from: number, cost: number] {
  let [from, cost] = [key, stay];
  for (const other of others) {
    if (other < 0) continue;
    const entering = (totals[other] as number) + entrance(index, key, other);
    if (entering < cost) [from, cost] = [other, entering];
  }
  return [from, cost];
}

function leastOf(totals: Float64Array): number {
  let least = 0;
  for (let key = 1; key < totals.length; key += 1) if ((totals[key] as number) < (totals[least] as number)) least = key;
  return least;
}

function regionsOf(question: RegionQuestion, path: readonly KeyCandidate[]): readonly HomeRegion[] {
  const { chords } = question;
  const starts = path.flatMap((candidate, index) => (index > 0 && path[index - 1] === candidate ? [] : [index]));
  const regions: HomeRegion[] = [];
  starts.forEach((start, order) => {
    const candidate = path[start] as KeyCandidate;
    const to = (starts[order + 1] ?? path.length) - 1;
    const before = regions.at(-1);
    const entry = before === undefined ? { from: start, pivot: null } : entryOf(question, before, candidate, start, to);
    if (before !== undefined) regions[regions.length - 1] = { ...before, to: entry.from - 1 };
    regions.push({ candidate, ...entry, to, confirmedAt: before === undefined ? null : cadenceIn(chords, candidate, entry.from, to) });
  });
  return regions;
}

type Entry = Pick<HomeRegion, 'from' | 'pivot'>;

/**
 * Where a new key begins. A moved stretch brings it where it starts. The relative key begins where a section does,
 * or with its own tonic. Else it begins at the last chord that belongs to both keys, the pivot, when
 * that stands right before the first chord that is foreign to the old one; else at that foreign chord.
 */
function entryOf(
  { chords, settled, opensSection }: RegionQuestion,
  before: HomeRegion,
  candidate: KeyCandidate,
  start: number,
  to: number,
): Entry {
  const inBoth = (index: number) =>
    isOwn(before.candidate.home, chords[index] as ChordFacts) && isOwn(candidate.home, chords[index] as ChordFacts);
  const entry = (from: number): Entry => ({ from, pivot: inBoth(from) ? from : null });
  if (settled.starts.some((from) => from >= start && from <= start + LEAD_IN)) return entry(start);
  let last = start;
  while (last < to && inBoth(last) && inBoth(last + 1)) last += 1;
  if (isRelative(before.candidate.home, candidate.home)) return entry(relativeEntry(chords, opensSection, candidate, start, last));
  if (inBoth(last)) return { from: last, pivot: last };
  const isFree = (index: number) => index > before.from && (settled.homes[index] ?? null) === null;
  return isFree(last - 1) && inBoth(last - 1) ? { from: last - 1, pivot: last - 1 } : { from: last, pivot: null };
}

function relativeEntry(
  chords: readonly ChordFacts[],
  opensSection: readonly boolean[],
  { home }: KeyCandidate,
  start: number,
  last: number,
): number {
  const places = Array.from({ length: last - start + 1 }, (_, order) => start + order);
  return (
    places.find((index) => opensSection[index] === true) ?? places.find((index) => isTonicChord(home, chords[index] as ChordFacts)) ?? start
  );
}

/** The first tonic in a stretch that a 5 or leading-tone chord of the key leads into. */
function cadenceIn(chords: readonly ChordFacts[], { home }: KeyCandidate, from: number, to: number): number | null {
  for (let index = from + 1; index <= to; index += 1) {
    if (isCadenceInto(home, chords, index)) return index;
  }
  return null;
}

/**
 * A region counts when a cadence confirms it and it is no passing visit: the key goes on behind the
 * cadence, or its tonic is heard more than once, or a whole ii–V–I stands on a tonic that is no
 * degree of the key before. Coming back to an earlier key needs none of these.
 */
function isConfirmed(question: RegionQuestion, region: HomeRegion, regions: readonly HomeRegion[]): boolean {
  const { chords } = question;
  const { candidate, from, to, confirmedAt } = region;
  if (regions.some((other) => other.to < from && other.candidate === candidate)) return true;
  const before = regions[regions.indexOf(region) - 1] as HomeRegion;
  const { home } = before.candidate;
  if (to - from + 1 < FEWEST_CHORDS) return false;
  if (isRelative(home, candidate.home)) return isRelativeConfirmed(question, region, before);
  if (confirmedAt === null) return false;
  if (opensInto(candidate.home, chords.slice(from, to + 1)) && !isTarget(home, stepOf(home, candidate.home.tonic))) return true;
  const tonics = chords.slice(from, to + 1).filter((facts) => facts.class !== 'dominant' && isTonicChord(candidate.home, facts)).length;
  return to - confirmedAt >= STAYS || tonics >= STAYS;
}

/**
 * The relative key shares its notes with the one before, which must have been there: it takes two cadences, or one where a
 * section opens or the song ends on its tonic, or a section that opens on its tonic, comes back to it and never closes into the other.
 */
function isRelativeConfirmed({ chords, opensSection }: RegionQuestion, { candidate, from, to }: HomeRegion, before: HomeRegion): boolean {
  const stretch = chords.slice(from, to + 1);
  const tonicsOf = ({ home }: KeyCandidate, among: readonly ChordFacts[]) => among.filter((facts) => isTonicChord(home, facts)).length;
  if (before.to - before.from + 1 < FEWEST_CHORDS || tonicsOf(before.candidate, chords.slice(before.from, before.to + 1)) === 0)
    return false;
  const inside = Array.from({ length: to - from }, (_, order) => from + 1 + order);
  const cadences = inside.filter((index) => isCadenceInto(candidate.home, chords, index)).length;
  const ends = to === chords.length - 1 && to - from > FEWEST_CHORDS && isTonicChord(candidate.home, chords[to] as ChordFacts);
  if (cadences >= STAYS || (cadences > 0 && (opensSection[from] === true || ends))) return true;
  const opens = opensSection[from] === true && isTonicChord(candidate.home, chords[from] as ChordFacts);
  const closesAway = inside.some((index) => isCadenceInto(before.candidate.home, chords, index));
  return opens && !closesAway && tonicsOf(candidate, stretch) >= STAYS;
}
