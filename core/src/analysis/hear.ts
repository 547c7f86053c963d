import type { Key } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import type { Progression } from '../progression/progression.ts';
import type { AnalysisWish, Lead, Region } from './analysis.ts';
import { findBluesForms } from './blues-form.ts';
import { factsOfAll } from './facts.ts';
import { type Home, homeMode, MINORS } from './home.ts';
import { judgeHome, type KeyCandidate, rankHomes, type SongFacts } from './key-finding.ts';
import { closesSong, findLoops } from './loops.ts';
import type { Override, RegionOverride } from './override-text.ts';
import type { Claim } from './reading.ts';
import { keyOfHome } from './region-key.ts';
import { findRegions, type HomeRegion } from './regions.ts';
import { claimsOn } from './rules.ts';
import { type Moment, momentsOf, type Scene, sceneIn } from './scene.ts';
import { findTwoFives, type TwoFive } from './two-fives.ts';

/** What the rules make of a progression, before it is told. */
export interface Heard {
  readonly song: SongFacts;
  /** The keys the song may begin in, the one it was found in first. */
  readonly homes: readonly KeyCandidate[];
  readonly lead: Lead;
  readonly regions: readonly HeardRegion[];
  /** Index of the region of every chord. */
  readonly regionOf: readonly number[];
  readonly scenes: readonly Scene[];
  readonly claims: readonly (readonly Claim[])[];
  readonly loops: ReturnType<typeof findLoops>;
  readonly blues: ReturnType<typeof findBluesForms>;
  readonly twoFives: readonly TwoFive[];
  /** The ii–V each chord has a part in, the first one it is in. */
  readonly twoFiveOf: ReadonlyMap<number, TwoFive>;
}

export interface HeardRegion extends HomeRegion {
  readonly key: Key;
  readonly by: Region['by'];
}

export function hear(progression: Progression, wish: AnalysisWish, overrides: readonly Override[]): Heard {
  const chords = factsOfAll(progression.chords.map(({ chord }) => chord));
  const loops = findLoops(chords);
  const blues = findBluesForms(chords.map((facts, index) => ({ facts, bar: progression.chords[index]?.bar ?? 0 })));
  const song: SongFacts = { chords, moments: momentsOf(chords), closes: closesSong(chords, loops), bluesTonic: blues[0]?.tonic ?? null };
  const pinned = wish.key ?? (progression.keyGiven ? progression.keys[0] : undefined);
  const ranked = rankHomes(song);
  const given = pinned === undefined ? null : judgeHome(song, homeOfKey(pinned));
  const candidates = given === null ? ranked : [given, ...ranked.filter(({ home }) => !isSameHome(home, given.home))];
  const regions = nameRegions(song, forcedRegions(progression, wish, overrides, findRegions(chords, candidates, given), song), pinned);
  const regionOf = regions.flatMap(({ from, to }, region) => Array.from({ length: to - from + 1 }, () => region));
  const scenes = sharedScenes(song, regions, regionOf);
  const claims = new Map([...new Set(scenes)].map((scene) => [scene, claimsOn(scene)]));
  const twoFives = findTwoFives(chords);
  const homes = rankFirstHome(song, candidates, regions);
  return {
    song,
    homes,
    lead: leadOf(homes, given !== null),
    regions,
    regionOf,
    scenes,
    claims: scenes.map((scene) => claims.get(scene) as readonly Claim[]),
    loops,
    blues,
    twoFives,
    twoFiveOf: partsOf(twoFives),
  };
}

function partsOf(twoFives: readonly TwoFive[]): ReadonlyMap<number, TwoFive> {
  const parts = new Map<number, TwoFive>();
  for (const found of twoFives)
    for (const index of [found.two, found.five, found.one]) if (index !== null && !parts.has(index)) parts.set(index, found);
  return parts;
}

/** The scene of every chord; the same moment in the same region is one value. */
function sharedScenes({ moments }: SongFacts, regions: readonly HeardRegion[], regionOf: readonly number[]): readonly Scene[] {
  const known = regions.map(() => new Map<Moment, Scene>());
  return moments.map((moment, index) => {
    const region = regionOf[index] as number;
    const { home, blues } = (regions[region] as HeardRegion).candidate;
    const scene = known[region]?.get(moment) ?? sceneIn(moment, home, blues);
    known[region]?.set(moment, scene);
    return scene;
  });
}

function homeOfKey(key: Key): Home {
  return { tonic: chroma(key.tonic), mode: homeMode(key.scale) };
}

function isSameHome(a: Home, b: Home): boolean {
  const family = ({ mode }: Home) => (MINORS.includes(mode.scale) ? 'minor' : mode.scale);
  return a.tonic === b.tonic && family(a) === family(b);
}

const CLEAR_GAP = 0.75;
const CLEAR_RELATIVE_GAP = 1.6;

function leadOf([best, second]: readonly KeyCandidate[], isGiven: boolean): Lead {
  if (best === undefined) return 'none';
  if (isGiven) return 'given';
  if (second === undefined) return 'clear';
  // relative keys share their notes: only cadences and the ends of the song tell them apart
  const gap = isRelative(best.home, second.home) ? CLEAR_RELATIVE_GAP : CLEAR_GAP;
  return second.total - best.total < gap ? 'two-homes' : 'clear';
}

/**
 * The homes the song may have, the one it was found in first. A song that moves is judged by its
 * first region: what is played in another key says nothing of where it began.
 */
function rankFirstHome(song: SongFacts, candidates: readonly KeyCandidate[], regions: readonly HeardRegion[]): readonly KeyCandidate[] {
  const [first] = regions;
  if (first === undefined) return [];
  const { home } = first.candidate;
  const others = (ranked: readonly KeyCandidate[]) => ranked.filter((candidate) => !isSameHome(candidate.home, home));
  if (regions.length === 1) return [first.candidate, ...others(candidates)];
  const opening: SongFacts = {
    ...song,
    chords: song.chords.slice(first.from, first.to + 1),
    moments: song.moments.slice(first.from, first.to + 1),
    closes: false,
  };
  return [judgeHome(opening, home), ...others(rankHomes(opening))];
}

function isRelative(a: Home, b: Home): boolean {
  const signature = ({ tonic, mode }: Home) => (mode.minor ? tonic + 3 : tonic) % 12;
  return a.mode.minor !== b.mode.minor && signature(a) === signature(b);
}

interface MarkedRegion extends HomeRegion {
  readonly by: Region['by'];
  /** The key as somebody wrote it; null for one that was found. */
  readonly written: Key | null;
}

/** The keys that the chart names, or the player, put in place of what was found. */
function forcedRegions(
  progression: Progression,
  wish: AnalysisWish,
  overrides: readonly Override[],
  found: readonly HomeRegion[],
  song: SongFacts,
): readonly MarkedRegion[] {
  const byChart = wish.key === undefined && progression.keyGiven && progression.keys.length > 1;
  const said = overrides.filter((override): override is RegionOverride => override.kind === 'region' && override.fits);
  if (!byChart && said.length === 0) return found.map((region) => ({ ...region, by: 'rules', written: null }));
  const marks = progression.chords.map(({ bar, stretch }, index) => {
    const player = said.find(({ firstBar, lastBar }) => bar >= firstBar - 1 && bar <= lastBar - 1);
    if (player !== undefined) return { by: 'player' as const, key: player.key };
    if (byChart) return { by: 'chart' as const, key: progression.keys[stretch] as Key };
    return { by: 'rules' as const, region: found.find(({ from, to }) => index >= from && index <= to) as HomeRegion };
  });
  const nameOf = (mark: (typeof marks)[number]) =>
    mark.by === 'rules' ? `rules ${found.indexOf(mark.region)}` : `${mark.by} ${mark.key.tonic} ${mark.key.scale}`;
  const starts = marks.flatMap((mark, index) => (index > 0 && nameOf(marks[index - 1] as typeof mark) === nameOf(mark) ? [] : [index]));
  return starts.map((from, order) => {
    const mark = marks[from] as (typeof marks)[number];
    const to = (starts[order + 1] ?? marks.length) - 1;
    if (mark.by === 'rules') {
      const { pivot } = mark.region;
      return { ...mark.region, from, to, pivot: pivot !== null && pivot >= from && pivot <= to ? pivot : null, by: mark.by, written: null };
    }
    return { candidate: judgeHome(song, homeOfKey(mark.key)), from, to, pivot: null, confirmedAt: null, by: mark.by, written: mark.key };
  });
}

function nameRegions(song: SongFacts, regions: readonly MarkedRegion[], pinned: Key | undefined): readonly HeardRegion[] {
  return regions.map((region, index) => {
    const found = () => keyOfHome(region.candidate.home, song.chords.slice(region.from, region.to + 1));
    const atHome = pinned !== undefined && isSameHome(region.candidate.home, homeOfKey(pinned));
    const key = region.written ?? (atHome && (index === 0 || region.by === 'rules') ? pinned : found());
    return { ...region, key };
  });
}
