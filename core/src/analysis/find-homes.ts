import type { ChordFacts } from './facts.ts';
import { type Home, isSameHome, stepOf } from './home.ts';
import { judgeHome, type KeyCandidate, rankHomes, type SongFacts } from './key-finding.ts';
import { findLoops, periodOf } from './loops.ts';
import { type Echo, findEchoes } from './moved.ts';
import { findRegions, type HomeRegion, type Settled, wayCost } from './regions.ts';
import { momentsOf } from './scene.ts';

/** The keys a song may be in, and the ones it goes through. */
export interface FoundHomes {
  /** Best first; a given one stands first. */
  readonly candidates: readonly KeyCandidate[];
  readonly regions: readonly HomeRegion[];
  /** What that way through the song costs. */
  readonly cost: () => number;
}

/** A progression as a song to be judged: one round of it. */
export function songOf(chords: readonly ChordFacts[], bluesTonic: number | null): SongFacts {
  const period = periodOf(chords);
  const round = chords.slice(0, period);
  return { chords: round, moments: momentsOf(round, findLoops(round)), rounds: chords.length / period, bluesTonic };
}

/**
 * Finds the homes of one round of a song. A stretch that is played again some half steps away is
 * heard in the key that has moved as far, cadence or not, when that explains it better than the key
 * it would otherwise be in.
 */
export function findHomes(song: SongFacts, given: Home | null, opensSection: readonly boolean[]): FoundHomes {
  return findWith(song, given, opensSection, settledBy(song, given, opensSection));
}

function findWith(song: SongFacts, given: Home | null, opensSection: readonly boolean[], settled: Settled): FoundHomes {
  const ranked = rankHomes(song);
  const first = given === null ? null : judgeHome(song, given);
  const asked = first === null ? ranked : [first, ...ranked.filter(({ home }) => !isSameHome(home, first.home))];
  // a mode that only a part of the song is in is no candidate for the whole
  const added: Home[] = [];
  for (const home of settled.homes) {
    if (home !== null && ![...asked.map((one) => one.home), ...added].some((known) => isSameHome(known, home))) added.push(home);
  }
  const candidates = [...asked, ...added.map((home) => judgeHome(song, home))];
  const question = { chords: song.chords, candidates, given: first, settled, opensSection, loops: findLoops(song.chords) };
  const regions = findRegions(question);
  return { candidates, regions, cost: () => wayCost(question, regions) };
}

const UNSETTLED: Settled = { homes: [], starts: [] };

/** What the stretches that move a key with them settle, from left to right: each is judged by the song up to its end. */
function settledBy(song: SongFacts, given: Home | null, opensSection: readonly boolean[]): Settled {
  const { chords, bluesTonic } = song;
  let settled = UNSETTLED;
  for (const echo of findEchoes(chords)) {
    if (!mayMove(chords, echo, settled)) continue;
    const opening = songOf(chords.slice(0, echo.from), bluesTonic);
    const period = opening.chords.length;
    const { regions } = findWith(opening, given, opensSection.slice(0, period), period === echo.from ? settled : UNSETTLED);
    const homeAt = (index: number) => (regions.find(({ to }) => to >= index % period) as HomeRegion).candidate.home;
    const homes = sourcesOf(chords, echo).map((index) => shifted(homeAt(index), echo.shift));
    if (homes.every((home) => isSameHome(home, homeAt(echo.from - 1)))) continue;
    const lead = leadInto(chords, echo.from, homes[0] as Home);
    const before = chords.slice(0, echo.from).map((_, index) => (index < echo.from - lead ? homeAt(index) : null));
    const moved: Settled = { homes: [...before, ...homes], starts: [...settled.starts, echo.from] };
    const heard: SongFacts = { ...song, chords: chords.slice(0, echo.to + 1), moments: song.moments.slice(0, echo.to + 1), rounds: 1 };
    const costWith = (way: Settled) => findWith(heard, given, opensSection.slice(0, echo.to + 1), way).cost();
    if (costWith(moved) < costWith(settled) + BELIEVED * (echo.changes - FEWEST)) settled = moved;
  }
  return settled;
}

/** What a moved stretch may cost more than a way without it, for every chord change it has above the fewest. */
const BELIEVED = 0.5;
const FEWEST = 3;

const LEADING_STEPS: readonly number[] = [7, 11, 2];
const LONGEST_LEAD = 2;

/** How many chords right before a key lead into it: its 5, its leading-tone chord, its 2. */
function leadInto(chords: readonly ChordFacts[], from: number, home: Home): number {
  let lead = 0;
  while (lead < LONGEST_LEAD && LEADING_STEPS.includes(stepOf(home, chords[from - lead - 1]?.root ?? home.tonic))) lead += 1;
  return lead;
}

const SURE = 6;
const SCALE_SIZE = 7;

/**
 * Whether a stretch can bring a key at all: it is transposed, or something before it was. A short one whose notes, with
 * those of its model, fit in one scale is a figure within a key.
 */
function mayMove(chords: readonly ChordFacts[], { from, to, source, shift, changes }: Echo, { starts }: Settled): boolean {
  if (shift === 0) return starts.length > 0;
  if (changes >= SURE) return true;
  const both = [...chords.slice(from, to + 1), ...chords.slice(source, source + to - from + 1)];
  const pitches = both.reduce((mask, facts) => mask | facts.mask, 0);
  return [...pitches.toString(2)].filter((bit) => bit === '1').length > SCALE_SIZE;
}

/** For every chord of the stretch, the chord it repeats: chords that are held longer repeat the same one. */
function sourcesOf(chords: readonly ChordFacts[], { from, to, source }: Echo): readonly number[] {
  let model = source;
  return Array.from({ length: to - from + 1 }, (_, order) => {
    const here = chords[from + order] as ChordFacts;
    const isChange = order > 0 && here.root !== (chords[from + order - 1] as ChordFacts).root;
    if (isChange) {
      const root = (chords[model] as ChordFacts).root;
      while (model < from - 1 && chords[model]?.root === root) model += 1;
    }
    return model;
  });
}

function shifted({ tonic, mode }: Home, by: number): Home {
  return { tonic: (tonic + by) % 12, mode };
}
