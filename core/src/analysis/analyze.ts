import { writableChord } from '../chord/chord.ts';
import { formulaOf } from '../chord/formula.ts';
import type { Degree, NumberChord } from '../degree/degree.ts';
import { printRoman } from '../degree/roman-text.ts';
import type { HarmonicFunction } from '../harmony/function-table.ts';
import { functionOfDegree } from '../harmony/harmonize.ts';
import type { Key } from '../key/key.ts';
import type { Note } from '../pitch/note.ts';
import { type Progression, readProgression } from '../progression/progression.ts';
import type { Analysis, AnalysisWish, AnalyzedChord, Hearing, LocalPart, RankedKey, Region, WithoutOptional } from './analysis.ts';
import { localRoman } from './applied-roman.ts';
import { scalesFor } from './chord-scales.ts';
import { type Heard, type HeardRegion, hear } from './hear.ts';
import { degreeOf, homeMode, isTarget, stepOf } from './home/home.ts';
import { keyOfHome } from './home/region-key.ts';
import { type Override, type ReadingOverride, readOverrides } from './override-text.ts';
import { findPatterns } from './patterns.ts';
import type { Claim, Reading } from './reading.ts';
import { groundOf, ridgePoint } from './ridge.ts';
import type { ChordFacts } from './rules/facts.ts';
import type { Scene } from './rules/scene.ts';
import { factsOnDegree, ownNumber, trueNumber } from './rules/true-degree.ts';
/** Reads and analyzes chart text or plain chords. Any text gives an analysis, an empty one at least. */
export function analyzeText(source: string, wish: AnalysisWish = {}): Analysis {
  return analyze(readProgression(source), wish);
}

/**
 * Analyzes a progression: its keys ranked, its regions, and for every chord exactly one reading
 * with number, Roman numeral, function and scales. The same input always gives the same answer.
 */
export function analyze(progression: Progression, wish: AnalysisWish = {}): Analysis {
  const overrides = readOverrides(progression);
  const heard = hear(progression, wish, overrides);
  const optional = progression.chords.some((chord) => chord.optional);
  return { ...describe(progression, heard, wish, overrides), withoutOptional: optional ? withoutOptional(progression, wish, heard) : [] };
}

function describe(
  progression: Progression,
  heard: Heard,
  wish: AnalysisWish,
  overrides: readonly Override[],
): Omit<Analysis, 'withoutOptional'> {
  const hearing = wish.hearing ?? 'local';
  const regions = heard.regions.map((region, index) => tellRegion(region, heard.regions[index - 1], heard));
  const chords = tellChords(heard, hearing, wish, overrides);
  const homeKey = regions[0]?.key;
  return {
    progression,
    hearing,
    lead: heard.lead,
    keys: rankedKeys(heard, homeKey),
    regions,
    chords,
    patterns: findPatterns({
      chords: heard.scenes.map(({ here, home, line }, index) => ({
        facts: here,
        home,
        tonic: regionAt(heard, index).key.tonic,
        endsPhrase: progression.chords[index]?.endsPhrase ?? false,
        inLine: line === 'inside',
      })),
      twoFives: heard.twoFives,
      loops: heard.loops,
      blues: heard.blues,
      hearing,
    }),
    ridge: chords.map(({ reading, function: role }, index) => {
      const { here, home } = heard.scenes[index] as Scene;
      const ground = homeKey === undefined ? 0 : groundOf(regionAt(heard, index).key, homeKey);
      return ridgePoint({ facts: here, home, function: role, resolution: reading.resolution, ground });
    }),
    overrides,
  };
}

function regionAt({ regions, regionOf }: Heard, index: number): HeardRegion {
  return regions[regionOf[index] as number] as HeardRegion;
}

function tellRegion({ key, from, to, pivot, confirmedAt, by }: HeardRegion, before: HeardRegion | undefined, { chords }: Heard): Region {
  const shared = pivot === null || before === undefined ? null : (chords[pivot] as ChordFacts);
  return {
    key,
    from,
    to,
    by,
    confirmedAt,
    pivot: shared === null ? null : { index: pivot as number, numberBefore: numberBefore(shared, before as HeardRegion) },
  };
}

function numberBefore(facts: ChordFacts, { candidate, key }: HeardRegion): NumberChord {
  return ownNumber(candidate.home, facts, key.tonic);
}

const BEST_SCORE = 100;
const SCORE_PER_COST = 12;
const MOST_KEYS = 6;

/** The best keys with scores that fall with what they cost above the best. */
function rankedKeys({ homes, chords, lead }: Heard, homeKey: Key | undefined): readonly RankedKey[] {
  if (homeKey === undefined || chords.length === 0) return [];
  const least = Math.min(...homes.map(({ total }) => total));
  return homes.slice(0, MOST_KEYS).map((candidate, index) => ({
    key: index === 0 ? homeKey : keyOfHome(candidate.home, chords),
    score: Math.max(0, Math.round(BEST_SCORE - SCORE_PER_COST * (candidate.total - least))),
    reasons: index === 0 && lead === 'given' ? [{ code: 'given' }, ...candidate.reasons] : candidate.reasons,
  }));
}

const MOST_OTHERS = 2;

/** Every chord with its reading. A round that comes again is told once: the same moment, in the same part, says the same. */
function tellChords(heard: Heard, hearing: Hearing, wish: AnalysisWish, overrides: readonly Override[]): readonly AnalyzedChord[] {
  const told = new Map<Scene, AnalyzedChord[]>();
  return heard.scenes.map((scene, index) => {
    const local = hearing === 'local' ? localPart(index, heard) : null;
    const override = overrides.find((said): said is ReadingOverride => said.kind === 'reading' && said.index === index) ?? null;
    const melody = wish.melody?.get(index) ?? null;
    if (override !== null || melody !== null) return tellChord({ index, heard, hearing, local, override, melody });
    const before = told.get(scene)?.find((chord) => isSamePart(chord.local, local));
    if (before !== undefined) return before;
    const chord = tellChord({ index, heard, hearing, local, override, melody });
    told.set(scene, [...(told.get(scene) ?? []), chord]);
    return chord;
  });
}

function isSamePart(a: LocalPart | null, b: LocalPart | null): boolean {
  if (a === null || b === null) return a === b;
  return a.part === b.part && isSameNumber(a.target, b.target);
}

function isSameNumber(a: NumberChord, b: NumberChord): boolean {
  return a.degree === b.degree && a.formula === b.formula && a.bass === b.bass;
}

interface Telling {
  readonly index: number;
  readonly heard: Heard;
  readonly hearing: Hearing;
  readonly local: LocalPart | null;
  readonly override: ReadingOverride | null;
  readonly melody: Note | null;
}

function tellChord({ index, heard, hearing, local, override, melody }: Telling): AnalyzedChord {
  const scene = heard.scenes[index] as Scene;
  const region = regionAt(heard, index);
  const claims = heard.claims[index] as readonly Claim[];
  const claim = chosenClaim(claims, override);
  const number = trueNumber(claim, scene, region.key.tonic);
  const reading = tellReading(claim, scene);
  const next = scene.after;
  return {
    chord: writableChord(scene.here.chord),
    number,
    region: heard.regionOf[index] as number,
    roman: hearing === 'local' ? localRoman({ number, reading, local }) : printRoman(number),
    function: functionOf(claim, scene),
    reading,
    others: otherReadings(claims, claim, scene),
    local,
    scales: scalesFor({
      facts: factsOnDegree(scene.here, number.degree, region.key.tonic),
      claim,
      home: scene.home,
      key: region.key,
      step: scene.step,
      next: next?.chord ?? null,
      nextFacts: next,
      local: local === null || local.part === 'five' ? null : local.part,
      melody,
    }),
    override,
  };
}

/** The player's word stands above the rules; what a rule knows about that reading is kept with it. */
function chosenClaim(claims: readonly Claim[], override: ReadingOverride | null): Claim {
  const best = claims[0] as Claim;
  if (override === null) return best;
  return claims.find(({ kind }) => kind === override.reading) ?? { kind: override.reading, rule: 'player', cost: best.cost };
}

function otherReadings(claims: readonly Claim[], chosen: Claim, scene: Scene): readonly Reading[] {
  const kinds = new Set<string>([chosen.kind, 'unexplained']);
  const others: Reading[] = [];
  for (const claim of claims) {
    if (kinds.has(claim.kind) || others.length === MOST_OTHERS) continue;
    kinds.add(claim.kind);
    others.push(tellReading(claim, scene));
  }
  return others;
}

function tellReading({ target, ...claim }: Claim, scene: Scene): Reading {
  return { ...claim, target: target === undefined ? null : targetChord(target, scene) };
}

/** The plain triad aimed at. In minor the 5 is major unless a minor one is what follows; from outside the key it is as it is played. */
function targetChord(step: number, scene: Scene): NumberChord {
  const { home, after, nextStep } = scene;
  const degree = degreeOf(home, step);
  const minorFive = step === 7 && home.mode.minor && nextStep === 7 && after?.class === 'minor';
  const formula = minorFive ? homeMode('phrygian').triads[7] : home.mode.triads[step];
  return { degree, formula: formula ?? playedTriad(step, scene), bass: null };
}

function playedTriad(step: number, { home, here, after, afterThat }: Scene): number {
  const played = [here, after, afterThat].find((facts) => facts !== null && stepOf(home, facts.root) === step);
  return played?.class === 'minor' || played?.class === 'minor-major' ? MINOR_TRIAD : MAJOR_TRIAD;
}

const MAJOR_TRIAD = formulaOf('1', '3', '5');
const MINOR_TRIAD = formulaOf('1', 'b3', '5');

/** The chord's part in a ii–V–I whose goal is a degree of the key other than its tonic. */
function localPart(index: number, heard: Heard): LocalPart | null {
  const found = heard.twoFiveOf.get(index);
  const scene = heard.scenes[index] as Scene;
  if (found === undefined) return null;
  const step = stepOf(scene.home, found.goal);
  const fiveIsOwn = heard.scenes[found.five]?.own === true;
  if (step === 0 || (found.one === null && (fiveIsOwn || !isTarget(scene.home, step)))) return null;
  const target = targetChord(step, scene);
  if (index === found.two) return { part: 'two', target };
  if (index === found.five) return { part: 'five', target };
  return scene.here.class === 'dominant' ? null : { part: 'one', target };
}

/** 1 over 5 in front of the 5 holds it back and belongs to it: a cadential six-four. */
function isSixFour({ here, home, step, nextStep }: Scene): boolean {
  return step === 0 && nextStep === FIVE && stepOf(home, here.bass) === FIVE && !here.foreignBass;
}

const FIVE = 7;

/** What the chord does: by its degree at home, by what it points at away from it. */
function functionOf({ kind }: Claim, scene: Scene): HarmonicFunction | 'other' {
  const { step, home, here } = scene;
  if (kind === 'diatonic' && isSixFour(scene)) return 'dominant';
  switch (kind) {
    case 'secondary-dominant':
    case 'secondary-leading-tone':
    case 'tritone-substitute':
    case 'backdoor-dominant':
      return 'dominant';
    case 'related-two':
    case 'neapolitan':
    case 'augmented-sixth':
      return 'subdominant';
    case 'passing-diminished':
    case 'common-tone-diminished':
    case 'chromatic-mediant':
    case 'unexplained':
      return 'other';
    default:
      return diminishedFunction(here, step) ?? functionOfDegree(degreeOf(home, step) as Degree);
  }
}

/** A diminished chord that holds the leading tone pulls home, whatever its root. */
function diminishedFunction({ symmetric }: ChordFacts, step: number): HarmonicFunction | undefined {
  return symmetric && (step + 1) % 3 === 0 ? 'dominant' : undefined;
}

/** What changes when the players leave the optional chords out. */
function withoutOptional(progression: Progression, wish: AnalysisWish, heard: Heard): readonly WithoutOptional[] {
  const kept = progression.chords.flatMap((chord, index) => (chord.optional ? [] : [{ chord, index }]));
  const home = heard.regions[0]?.key;
  const thinner = hear({ ...progression, chords: kept.map(({ chord }) => chord) }, home === undefined ? wish : { ...wish, key: home }, []);
  return kept.flatMap(({ index }, at) => {
    const [before, now] = [heard.claims[index]?.[0] as Claim, thinner.claims[at]?.[0] as Claim];
    const same = before.kind === now.kind && before.target === now.target && before.resolution === now.resolution;
    return same ? [] : [{ index, reading: tellReading(now, thinner.scenes[at] as Scene) }];
  });
}
