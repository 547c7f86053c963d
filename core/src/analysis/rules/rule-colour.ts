import type { ScaleName } from '../../scale/scale-table.ts';
import { type Home, type ModeFacts, modeFacts, ownsChord, stepOf } from '../home/home.ts';
import type { Claim } from '../reading.ts';
import { promiseTo } from './promise.ts';
import type { Scene } from './scene.ts';

/**
 * Where a key borrows from, nearest first. The parallel major or minor comes before the modes: it
 * is the one with the same tonic that everybody knows.
 */
const PARALLELS: Readonly<Record<'major' | 'minor', readonly (readonly [ScaleName, number])[]>> = {
  major: [
    ['natural minor', 1.2],
    ['harmonic minor', 1.25],
    ['melodic minor', 1.3],
    ['mixolydian', 1.3],
    ['dorian', 1.35],
    ['lydian', 1.4],
    ['harmonic major', 1.45],
    ['phrygian', 1.5],
    ['major', 1.2],
  ],
  minor: [
    ['major', 1.1],
    ['natural minor', 1.2],
    ['harmonic minor', 1.2],
    ['melodic minor', 1.3],
    ['dorian', 1.25],
    ['mixolydian', 1.4],
    ['phrygian', 1.4],
    ['harmonic major', 1.45],
    ['lydian', 1.5],
    ['locrian', 1.6],
  ],
};

interface Parallel {
  readonly mode: ModeFacts;
  readonly cost: number;
}

const KNOWN = new Map<'major' | 'minor', readonly Parallel[]>();

function parallelsOf({ mode }: Home): readonly Parallel[] {
  const third = mode.minor ? 'minor' : 'major';
  const parallels = KNOWN.get(third) ?? PARALLELS[third].map(([scale, cost]) => ({ mode: modeFacts(scale), cost }));
  KNOWN.set(third, parallels);
  return parallels;
}

const LEADING_TONE = 11;
const OWN_FIVE_COST = 0.4;
const PULLING_MORE = 0.6;

/** A chord that belongs to another scale on the same tonic. */
export function borrowedChord(scene: Scene): Claim | null {
  const { here, home, step, own } = scene;
  if (own) return null;
  const sources = parallelsOf(home).filter(({ mode }) => mode.scale !== home.mode.scale && ownsChord(mode, home.tonic, here));
  const nearest = sources[0];
  if (nearest === undefined) return null;
  const scales = sources.map(({ mode }) => mode.scale);
  const claim: Claim = {
    kind: 'borrowed',
    rule: isPicardy(scene) ? 'picardy' : 'borrowed',
    cost: costOf(scene, nearest.cost),
    sources: scales,
  };
  return step === 7 && here.class === 'dominant' ? { ...claim, ...promiseTo(scene, 0) } : claim;
}

/** The major 1 that closes a minor song or a phrase of it. */
function isPicardy({ here, home, step, before, after, turns }: Scene): boolean {
  if (!home.mode.minor || step !== 0 || here.class !== 'major' || before === null) return false;
  const arrives = stepOf(home, before.root) === 7 || stepOf(home, before.root) === 5;
  return arrives && (turns || after === null);
}

/** The key's own 5 with colours from the parallel key stays its 5, as long as the key has the leading tone. */
function costOf({ here, home, step }: Scene, cost: number): number {
  const leads = home.mode.degrees[LEADING_TONE] !== undefined;
  if (step === 7 && here.class === 'dominant' && leads) return OWN_FIVE_COST;
  if (here.class === 'dominant') return cost + PULLING_MORE;
  return here.class === 'major' && !home.mode.minor ? Math.min(cost, EVERYDAY[step] ?? cost) : cost;
}

/** ♭7, ♭3 and ♭6 as major chords are everyday visitors of a major key. */
const EVERYDAY: Readonly<Record<number, number>> = { 10: 0.7, 3: 0.9, 8: 0.9 };

const CADENTIAL = 1.1;
const FLAT_TWO = 1.45;

/** ♭2 as a major chord, on its way to the 5. */
export function neapolitan({ here, home, step, nextStep, after, own }: Scene): Claim | null {
  if (step !== 1 || here.class !== 'major' || own) return null;
  const toFive = nextStep === 7 || nextStep === 11 || (nextStep === 0 && after !== null && (after.bass - home.tonic + 12) % 12 === 7);
  if (!toFive && here.seventh) return null;
  return { kind: 'neapolitan', rule: 'neapolitan', cost: toFive ? CADENTIAL : FLAT_TWO };
}

const MEDIANT_COST = 1.9;
const NEIGHBOUR_MEDIANT_COST = 2.1;
const THIRDS = new Set([3, 4, 8, 9]);

/** A major or minor chord a third away from the tonic, or from the chord before it, with changed notes. */
export function chromaticMediant({ here, home, step, before, own }: Scene): Claim | null {
  if ((here.class !== 'major' && here.class !== 'minor') || own) return null;
  const ofTonic = THIRDS.has(step);
  const ofNeighbour = before !== null && before.class === here.class && THIRDS.has(stepOf({ ...home, tonic: before.root }, here.root));
  if (!ofTonic && !ofNeighbour) return null;
  return { kind: 'chromatic-mediant', rule: 'mediant', cost: ofTonic ? MEDIANT_COST : NEIGHBOUR_MEDIANT_COST };
}
