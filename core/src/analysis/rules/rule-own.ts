import { type Home, MINORS, ownsTone, rotated } from '../home/home.ts';
import type { Claim } from '../reading.ts';
import type { ChordFacts } from './facts.ts';
import { promiseTo } from './promise.ts';
import type { Scene } from './scene.ts';

const RAISED_SIXTH = 9;
const RAISED_SIXTH_COST = 0.3;
const DOMINANT_STEP = 7;
const LEADING_STEP = 11;

/** Every tone is the key's own. */
export function ownChord(scene: Scene): Claim | null {
  if (!scene.own) return null;
  const claim: Claim = { kind: 'diatonic', rule: 'own-chord', cost: ownCost(scene.home, scene.here) };
  return isOwnDominant(scene) ? { ...claim, ...ownPromise(scene) } : claim;
}

/** What a chord of the key costs: nothing, but for the 6 of melodic minor, which belongs to Dorian as well. */
export function ownCost({ mode, tonic }: Home, { mask }: ChordFacts): number {
  const raised = MINORS.includes(mode.scale) && (rotated(mask, tonic) & (1 << RAISED_SIXTH)) !== 0;
  return raised ? RAISED_SIXTH_COST : 0;
}

/** The 5 with a major third, or the diminished chord on the leading tone. */
function isOwnDominant({ step, here }: Scene): boolean {
  if (step === DOMINANT_STEP) return here.class === 'dominant' || here.class === 'major' || here.class === 'augmented';
  return step === LEADING_STEP && (here.class === 'diminished' || here.class === 'half-diminished');
}

/** Where a loop goes on from its 5 every time is how the loop goes: it breaks no promise. */
function ownPromise(scene: Scene): Partial<Claim> {
  const promise = promiseTo(scene, 0);
  return scene.inLoop && promise.resolution !== 'resolves' ? {} : promise;
}

const COLOUR_COST = 0.6;
/** ♭3 3 5 ♭5 ♯5 ♭7 7 ♭♭7, as distances from the root. */
const THIRDS_TO_SEVENTHS = [-3, 4, 1, -6, 8, -2, 5, -9];
const MAJOR_THIRD = 4;
const MINOR_SEVENTH = -2;

/** Third, fifth and seventh are the key's; only what is stacked or altered on top leaves it. */
export function colouredChord(scene: Scene): Claim | null {
  const { here, home, step, own } = scene;
  const shell = shellOf(scene);
  const degree = home.mode.degrees[step];
  const fits = degree !== undefined && shell.every((tone) => here.tones.includes(tone) && ownsTone(home, degree, tone));
  const onTop = here.tones.length > shell.length + 1;
  if (!fits || !onTop || own) return null;
  const claim: Claim = { kind: 'diatonic', rule: 'coloured-chord', cost: COLOUR_COST };
  return isOwnDominant(scene) ? { ...claim, ...ownPromise(scene) } : claim;
}

/** What must be the key's own. On the 5 the fifth may be raised or lowered, with a seventh or without. */
function shellOf({ here, step }: Scene): readonly number[] {
  if (step === DOMINANT_STEP && here.class === 'dominant') return [MAJOR_THIRD, MINOR_SEVENTH];
  if (step === DOMINANT_STEP && here.class === 'augmented' && !here.seventh) return [MAJOR_THIRD];
  return THIRDS_TO_SEVENTHS.filter((tone) => here.tones.includes(tone));
}

const PEDAL_GAIN = -0.05;
const PEDAL_COST = 1.25;

/** The bass holds a note that is not the chord's: chord and bass are read apart. */
export function pedalChord({ overPedal, own }: Scene): Claim | null {
  if (!overPedal) return null;
  return { kind: 'pedal', rule: 'pedal', cost: own ? PEDAL_GAIN : PEDAL_COST };
}

const LINE_GAIN = -0.1;
const LINE_COST = 1.5;

/** One voice walks by half steps while the chord is held. */
export function lineChord({ line, home, step }: Scene): Claim | null {
  if (line !== 'inside') return null;
  const cost = home.mode.triads[step] === undefined ? LINE_COST : LINE_GAIN;
  return { kind: 'line-cliche', rule: 'line-cliche', cost };
}

const UNEXPLAINED_COST = 3.5;

/** Nothing else spoke. */
export function unexplainedChord(): Claim {
  return { kind: 'unexplained', rule: 'unexplained', cost: UNEXPLAINED_COST };
}
