import type { Key } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import type { Progression } from '../progression/progression.ts';
import type { AnalysisWish, Lead, Region } from './analysis.ts';
import { findBluesForms } from './home/blues-form.ts';
import { findHomes, openingOf, songOf } from './home/find-homes.ts';
import { type Home, homeMode, isRelative, isSameHome } from './home/home.ts';
import { judgeHome, type KeyCandidate, rankHomes, type SongFacts } from './home/key-finding.ts';
import { findLoops } from './home/loops.ts';
import { keyOfHome } from './home/region-key.ts';
import type { HomeRegion } from './home/regions.ts';
import type { Override, RegionOverride } from './override-text.ts';
import type { Claim } from './reading.ts';
import { type ChordFacts, factsOfAll } from './rules/facts.ts';
import { claimsOn } from './rules/rules.ts';
import { type Moment, momentsOf, type Scene, sceneIn } from './rules/scene.ts';
import { findTwoFives, type TwoFive } from './rules/two-fives.ts';

/** What the rules make of a progression, before it is told. */
export interface Heard {
  readonly chords: readonly ChordFacts[];
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
  const song = songOf(chords, blues[0]?.tonic ?? null);
  const period = song.chords.length;
  const pinned = wish.key ?? (progression.keyGiven ? progression.keys[0] : undefined);
  const found = findHomes(song, pinned === undefined ? null : homeOfKey(pinned), sectionStarts(progression, period));
  const whole: Whole = { chords, moments: period === chords.length ? song.moments : momentsOf(chords, loops) };
  const regions = nameRegions(
    chords,
    forcedRegions(progression, wish, overrides, unrolled(found.regions, period, chords.length), song),
    pinned,
  );
  const regionOf = regions.flatMap(({ from, to }, region) => Array.from({ length: to - from + 1 }, () => region));
  const scenes = sharedScenes(whole, regions, regionOf);
  const claims = new Map([...new Set(scenes)].map((scene) => [scene, claimsOn(scene)]));
  const twoFives = findTwoFives(chords);
  const homes = rankFirstHome(song, found.candidates, regions);
  return {
    chords,
    homes,
    lead: leadOf(homes, pinned !== undefined),
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

type Whole = Pick<SongFacts, 'chords' | 'moments'>;

/** The regions of one round, played as often as it is; a round that ends in the key it begins in goes on in it. */
function unrolled(regions: readonly HomeRegion[], period: number, length: number): readonly HomeRegion[] {
  const all: HomeRegion[] = [];
  for (let start = 0; start < length; start += Math.max(period, 1)) {
    for (const { candidate, from, to, pivot, confirmedAt } of regions) {
      const last = all.at(-1);
      if (last?.candidate === candidate) all[all.length - 1] = { ...last, to: start + to };
      else {
        const moved = (index: number | null) => (index === null ? null : start + index);
        all.push({ candidate, from: start + from, to: start + to, pivot: moved(pivot), confirmedAt: moved(confirmedAt) });
      }
    }
  }
  return all;
}

/** Where a section of the chart begins, but for the first. */
function sectionStarts({ chords, chart }: Progression, period: number): readonly boolean[] {
  const sectionOf = (index: number) => chart.bars[chords[index]?.bar ?? -1]?.section;
  return Array.from({ length: period }, (_, index) => index > 0 && sectionOf(index) !== sectionOf(index - 1));
}

function partsOf(twoFives: readonly TwoFive[]): ReadonlyMap<number, TwoFive> {
  const parts = new Map<number, TwoFive>();
  for (const found of twoFives)
    for (const index of [found.two, found.five, found.one]) if (index !== null && !parts.has(index)) parts.set(index, found);
  return parts;
}

/** The scene of every chord; the same moment in the same region is one value. */
function sharedScenes({ moments }: Whole, regions: readonly HeardRegion[], regionOf: readonly number[]): readonly Scene[] {
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

const CLEAR_GAP = 0.75;
const CLEAR_RELATIVE_GAP = 2.5;

function leadOf([best, second]: readonly KeyCandidate[], isGiven: boolean): Lead {
  if (best === undefined) return 'none';
  if (isGiven) return 'given';
  if (second === undefined) return 'clear';
  if (disagree(best, second)) return 'two-homes';
  // relative keys share their notes: only cadences and the ends of the song tell them apart
  const gap = isRelative(best.home, second.home) ? CLEAR_RELATIVE_GAP : CLEAR_GAP;
  return second.total - best.total < gap ? 'two-homes' : 'clear';
}

/** What opening on a chord is worth that its own dominant follows: it may be a 2, and claims no key. */
const OPENS_AS_TWO = -1.5;

/** Whether the song closes whole in one key and opens on the 1 of the next best: then neither leads clearly. */
function disagree(best: KeyCandidate, second: KeyCandidate): boolean {
  const says = ({ reasons }: KeyCandidate, wanted: KeyCandidate['reasons'][number]['code']) => reasons.some(({ code }) => code === wanted);
  const opensAtHome = says(best, 'first-chord') || says(best, 'opens-into');
  return says(best, 'closes-whole') && !opensAtHome && says(second, 'first-chord') && second.opening < OPENS_AS_TWO;
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
  const opening = openingOf(song, first.to + 1);
  return [judgeHome(opening, home), ...others(rankHomes(opening))];
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

function nameRegions(chords: readonly ChordFacts[], regions: readonly MarkedRegion[], pinned: Key | undefined): readonly HeardRegion[] {
  return regions.map((region, index) => {
    const found = () => keyOfHome(region.candidate.home, chords.slice(region.from, region.to + 1));
    const atHome = pinned !== undefined && isSameHome(region.candidate.home, homeOfKey(pinned));
    const key = region.written ?? (atHome && (index === 0 || region.by === 'rules') ? pinned : found());
    return { ...region, key };
  });
}
