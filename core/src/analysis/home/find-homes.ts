import { type ChordFacts, canPull, isSuspendedFive } from '../rules/facts.ts';
import { momentsOf } from '../rules/scene.ts';
import { type Home, isSameHome, stepOf } from './home.ts';
import { costBook, judgeHome, type KeyCandidate, rankHomes, type SongFacts } from './key-finding.ts';
import { findLoops, periodOf } from './loops.ts';
import { type Echo, findEchoes } from './moved.ts';
import { findRegions, type HomeRegion, type RegionQuestion, type Settled, wayCost } from './regions.ts';

/** The keys a song may be in, and the ones it goes through. */
export interface FoundHomes {
  /** Best first; a given one stands first. */
  readonly candidates: readonly KeyCandidate[];
  readonly regions: readonly HomeRegion[];
  /** What was asked to find them, and what that way through the song costs. */
  readonly question: RegionQuestion;
  readonly cost: () => number;
}

/** A progression as a song to be judged: one round of it. */
export function songOf(chords: readonly ChordFacts[], bluesTonic: number | null): SongFacts {
  const period = periodOf(chords);
  const round = chords.slice(0, period);
  const moments = momentsOf(round, findLoops(round));
  return { chords: round, moments, rounds: chords.length / Math.max(period, 1), book: costBook(moments), bluesTonic };
}

/** The first chords of a song as a song of their own: one round of them. */
export function openingOf(song: SongFacts, length: number): SongFacts {
  const chords = song.chords.slice(0, length);
  const period = periodOf(chords);
  return { ...song, chords: chords.slice(0, period), moments: song.moments.slice(0, period), rounds: length / Math.max(period, 1) };
}

/**
 * Finds the homes of one round of a song. A stretch that is played again some half steps away is
 * heard in the key that has moved as far, cadence or not, when that explains it better than the key
 * it would otherwise be in.
 */
export function findHomes(song: SongFacts, given: Home | null, opensSection: readonly boolean[]): FoundHomes {
  let found = homesWithout(song, given, opensSection);
  for (const echo of longest(findEchoes(song.chords))) {
    if (mayMove(song.chords, echo, found.question.settled)) found = withMoved(found, song, given, echo) ?? found;
  }
  return found;
}

/** No song moves more often; what is longer than any song must still be read at once. */
const MOST_ECHOES = 16;

/** The longest echoes, from left to right. */
function longest(echoes: readonly Echo[]): readonly Echo[] {
  if (echoes.length <= MOST_ECHOES) return echoes;
  const kept = [...echoes].sort((a, b) => b.changes - a.changes).slice(0, MOST_ECHOES);
  return kept.sort((a, b) => a.from - b.from);
}

/** The homes of a song in which nothing is taken to have moved. */
function homesWithout(song: SongFacts, given: Home | null, opensSection: readonly boolean[]): FoundHomes {
  const ranked = rankHomes(song);
  const first = given === null ? null : judgeHome(song, given);
  const candidates = first === null ? ranked : [first, ...ranked.filter(({ home }) => !isSameHome(home, first.home))];
  return wayThrough({ chords: song.chords, candidates, given: first, settled: UNSETTLED, opensSection, loops: findLoops(song.chords) });
}

function wayThrough(question: RegionQuestion): FoundHomes {
  const regions = findRegions(question);
  return { candidates: question.candidates, regions, question, cost: () => wayCost(question, regions) };
}

const UNSETTLED: Settled = { homes: [], starts: [] };

/** The way through the song with one more stretch that moves its key; undefined when that explains no more. What it moves from is judged by the song before it. */
function withMoved(found: FoundHomes, song: SongFacts, given: Home | null, echo: Echo): FoundHomes | undefined {
  const { chords } = song;
  const { settled, opensSection } = found.question;
  const opening = openingOf(song, echo.from);
  const period = opening.chords.length;
  const before = settled.starts.length > 0 ? found : homesWithout(opening, given, opensSection.slice(0, period));
  const homeAt = (index: number) => {
    const known = settled.homes[index];
    if (known !== null && known !== undefined) return known;
    const inRound = before === found ? index : index % period;
    return (before.regions.find(({ to }) => to >= inRound) as HomeRegion).candidate.home;
  };
  const homes = sourcesOf(chords, echo).map((index) => shifted(homeAt(index), echo.shift));
  if (homes.every((home) => isSameHome(home, homeAt(echo.from - 1)))) return undefined;
  const lead = leadInto(found.question, echo.from, homes[0] as Home);
  const fixed = chords.slice(0, echo.from).map((_, index) => (index < echo.from - lead ? homeAt(index) : null));
  const moved: Settled = { homes: [...fixed, ...homes], starts: [...settled.starts, echo.from] };
  const way = wayThrough({ ...found.question, candidates: withHomes(found.candidates, song, moved.homes), settled: moved });
  return way.cost() < found.cost() + believed(echo) ? way : undefined;
}

/** The candidates, and the homes that only a part of the song is in: they are none for the whole. */
function withHomes(candidates: readonly KeyCandidate[], song: SongFacts, homes: readonly (Home | null)[]): readonly KeyCandidate[] {
  const added: KeyCandidate[] = [];
  for (const home of new Set(homes)) {
    if (home === null || [...candidates, ...added].some((known) => isSameHome(known.home, home))) continue;
    added.push(judgeHome(song, home));
  }
  return added.length === 0 ? candidates : [...candidates, ...added];
}

const LONGEST_LEAD = 2;

/** How many chords right before a key lead into it: its 5 or leading-tone chord, and its 2. What a loop or a moved stretch holds does not. */
function leadInto({ chords, loops, settled }: RegionQuestion, from: number, home: Home): number {
  let lead = 0;
  for (; lead < LONGEST_LEAD && from - lead > settled.homes.length; lead += 1) {
    const index = from - lead - 1;
    if (loops.some((loop) => index >= loop.from && index <= loop.to) || !leads(home, chords[index] as ChordFacts)) break;
  }
  return lead;
}

function leads(home: Home, facts: ChordFacts): boolean {
  switch (stepOf(home, facts.root)) {
    case 7:
      return canPull(facts) || isSuspendedFive(facts);
    case 11:
      return facts.class === 'diminished' || facts.class === 'half-diminished';
    case 2:
      return facts.class === 'minor' || facts.class === 'half-diminished';
    default:
      return false;
  }
}

/**
 * What a moved stretch may cost more than a way without it: a short one must explain things better, a long one is
 * believed by itself, and what comes back as it was the most.
 */
function believed({ changes, shift }: Echo): number {
  const moved = SHORT[changes] ?? 0.9 * (changes - 5);
  return shift === 0 ? moved + COMES_BACK : moved;
}

const SHORT: Readonly<Record<number, number>> = { 3: -1.2, 4: -0.5 };
const COMES_BACK = 3;

const SURE = 6;
const FEWEST = 3;
const SCALE_SIZE = 7;

/**
 * Whether a stretch can bring a key at all: it is transposed, or something before it was. A short one that falls by fifths
 * is a sequence, and one of three chords whose notes, with those of its model, fit in one scale is a figure within a key.
 */
function mayMove(chords: readonly ChordFacts[], { from, to, source, shift, changes }: Echo, { starts }: Settled): boolean {
  if (shift === 0) return starts.length > 0;
  if (changes >= SURE) return true;
  if (isSequence(chords.slice(from, to + 1))) return false;
  if (changes > FEWEST) return true;
  const both = [...chords.slice(from, to + 1), ...chords.slice(source, source + to - from + 1)];
  const pitches = both.reduce((mask, facts) => mask | facts.mask, 0);
  return [...pitches.toString(2)].filter((bit) => bit === '1').length > SCALE_SIZE;
}

const FIFTH_DOWN = 5;

function isSequence(stretch: readonly ChordFacts[]): boolean {
  return stretch.every(({ root }, index) => {
    const before = stretch[index - 1]?.root;
    return before === undefined || before === root || (root - before + 12) % 12 === FIFTH_DOWN;
  });
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
