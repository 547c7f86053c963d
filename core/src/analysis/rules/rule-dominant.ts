import { isTarget } from '../home/home.ts';
import type { Claim } from '../reading.ts';
import { type ChordFacts, canPull, isFive } from './facts.ts';
import { promiseCost, promiseTo, resolutionTo } from './promise.ts';
import type { Scene } from './scene.ts';

const FIFTH_DOWN = 5;
const KEPT = 1;
/** Into a chord from outside the key. */
const KEPT_OUTSIDE = 1.2;
const BROKEN_SEVENTH = 1.7;
const BROKEN_TRIAD = 2.1;

/** A major or dominant chord a fifth above a chord of the key, with a tone outside it. */
export function appliedDominant(scene: Scene): Claim | null {
  const target = appliedTarget(scene);
  if (target === null || scene.own) return null;
  const promise = promiseTo(scene, target);
  const kept = isTarget(scene.home, target) ? KEPT : KEPT_OUTSIDE;
  const cost = promiseCost(promise.resolution, kept, isStrongPromise(scene) ? BROKEN_SEVENTH : BROKEN_TRIAD);
  return { kind: 'secondary-dominant', rule: 'applied-dominant', cost, ...promise };
}

/** What a chord a fifth above a degree aims at; a diminished degree, or a chord from outside the key, only when that really follows. */
function appliedTarget({ here, home, step, after }: Scene): number | null {
  if (!canPull(here)) return null;
  const target = (step + FIFTH_DOWN) % 12;
  if (target === 0) return null;
  if (isTarget(home, target)) return target;
  const chained = home.mode.degrees[target] !== undefined && after !== null && after.root === (here.root + FIFTH_DOWN) % 12;
  return chained || (here.class === 'dominant' && comesToRest(after, (here.root + FIFTH_DOWN) % 12)) ? target : null;
}

/** Whether a chord on this root is one that is arrived at: a major or minor chord that does not pull on by itself. */
function comesToRest(facts: ChordFacts | null, root: number): boolean {
  return facts !== null && facts.root === root && (facts.class === 'major' || facts.class === 'minor' || facts.class === 'minor-major');
}

/** A seventh promises more than a triad; so does a triad that slides up to the chord beside the one it promised. */
function isStrongPromise({ here, after }: Scene): boolean {
  if (here.class !== 'major') return true;
  const rise = after === null ? 0 : (after.root - here.root + 12) % 12;
  return rise === 1 || rise === 2;
}

const TWO_COST = 1;

/** A minor or half-diminished chord whose dominant follows: together a ii–V into a degree of the key, or into whatever chord it closes in. */
export function relatedTwo(scene: Scene): Claim | null {
  const target = localTarget(scene);
  if (target === null || scene.own) return null;
  return { kind: 'related-two', rule: 'related-two', cost: TWO_COST, target };
}

/**
 * The step that a ii–V starting here points at: the dominant a fifth below follows, or that
 * dominant's tritone substitute, or the dominant is itself a substitute that slides down. Null
 * when there is none.
 */
function localTarget(scene: Scene): number | null {
  const { here, home, after, nextStep, afterThat } = scene;
  if (here.class !== 'minor' && here.class !== 'half-diminished') return null;
  if (after === null || nextStep === null || !isFive(after)) return null;
  const fall = (after.root - here.root + 12) % 12;
  if ((fall !== FIFTH_DOWN && fall !== HALF_STEP_DOWN) || isBeforeOwn(scene)) return null;
  const slid = (nextStep + HALF_STEP_DOWN) % 12;
  const slides = fall === HALF_STEP_DOWN || afterThat?.root === (after.root + HALF_STEP_DOWN) % 12;
  const target = slides ? slid : (nextStep + FIFTH_DOWN) % 12;
  const arrives = fall === FIFTH_DOWN && comesToRest(afterThat, (after.root + FIFTH_DOWN) % 12);
  return isTarget(home, target) || arrives ? target : null;
}

/** Before the key's own 5 it is no visitor's 2 but a 2 of another colour; the backdoor and a dominant at rest in a blues have none. */
function isBeforeOwn({ home, after, nextStep, afterThat, blues }: Scene): boolean {
  if (after === null || nextStep === OWN_FIVE) return true;
  if (nextStep === FLAT_SEVEN && afterThat?.root === home.tonic) return true;
  return blues && (nextStep === 0 || nextStep === FIFTH_DOWN) && afterThat?.root !== (after.root + FIFTH_DOWN) % 12;
}

const HALF_STEP_DOWN = 11;
const OWN_FIVE = 7;

const SUBSTITUTE_KEPT = 1;
const SUBSTITUTE_ELSEWHERE = 1.2;
const SUBSTITUTE_BROKEN = 2.2;

/** A dominant seventh a half step above its target. */
export function tritoneSubstitute(scene: Scene): Claim | null {
  const { here, home, step, own } = scene;
  const target = (step + 11) % 12;
  if (here.class !== 'dominant' || !isTarget(home, target) || own) return null;
  const promise = promiseTo(scene, target);
  const kept = target === 0 ? SUBSTITUTE_KEPT : SUBSTITUTE_ELSEWHERE;
  return {
    kind: 'tritone-substitute',
    rule: 'tritone-substitute',
    cost: promiseCost(promise.resolution, kept, SUBSTITUTE_BROKEN),
    ...promise,
  };
}

const FLAT_SEVEN = 10;
const BACKDOOR_KEPT = 0.9;
const BACKDOOR_BROKEN = 1.6;

/** The dominant on ♭7 that rises a step into a major tonic, or to the 3 in its place, where the tonic was expected. */
export function backdoorDominant(scene: Scene): Claim | null {
  const { here, home, step } = scene;
  if (step !== FLAT_SEVEN || here.class !== 'dominant' || home.mode.minor) return null;
  const told = { kind: 'backdoor-dominant', rule: 'backdoor' } as const;
  if (goesToThree(scene))
    return { ...told, target: 0, resolution: 'deceptive', cost: isAfterMinorFour(scene) ? BACKDOOR_KEPT : BACKDOOR_BROKEN };
  const promise = promiseTo(scene, 0);
  if (promise.resolution !== 'resolves' && promise.resolution !== 'delayed') return null;
  return { ...told, cost: promiseCost(promise.resolution, BACKDOOR_KEPT, BACKDOOR_BROKEN), ...promise };
}

const THREE = 4;

/** On to the minor 3, or to the tonic with its 3 in the bass. */
function goesToThree({ after, home, nextStep }: Scene): boolean {
  if (after === null) return false;
  return nextStep === THREE ? after.class === 'minor' : nextStep === 0 && (after.bass - home.tonic + 12) % 12 === THREE;
}

/** The minor 4 before it prepares it. */
function isAfterMinorFour({ before, home }: Scene): boolean {
  return before !== null && before.class === 'minor' && (before.root - home.tonic + 12) % 12 === FIFTH_DOWN;
}

const BLUES_COST = 0.3;
const RESTING_FOUR_COST = 1.2;
const RESTING_ONE_COST = 1.5;

/** 1, 4 and 5 as dominant sevenths that rest, as in a blues. */
export function bluesDominant(scene: Scene): Claim | null {
  const { here, home, step, blues, own } = scene;
  if (here.class !== 'dominant' || home.mode.minor || (step !== 0 && step !== 5 && step !== 7)) return null;
  if (isPrepared(scene) && resolutionTo(scene, (step + FIFTH_DOWN) % 12) === 'resolves') return null;
  if (step === 7) return blues && !own ? { kind: 'blues-dominant', rule: 'blues', cost: BLUES_COST } : null;
  if (own) return null;
  return { kind: 'blues-dominant', rule: 'blues', cost: blues ? BLUES_COST : restingCost(scene) };
}

/** Whether its own 2 stands before it: then it is the 5 of a ii–V. */
function isPrepared({ here, before }: Scene): boolean {
  return (
    before !== null && (before.class === 'minor' || before.class === 'half-diminished') && (before.root + FIFTH_DOWN) % 12 === here.root
  );
}

/** A 4 that falls on, a fifth or a half step, is heard as a dominant of what follows. */
function restingCost(scene: Scene): number {
  const fallsOn = resolutionTo(scene, 10) === 'resolves' || resolutionTo(scene, 4) === 'resolves';
  return scene.step === 0 || fallsOn ? RESTING_ONE_COST : RESTING_FOUR_COST;
}

/** Whether a song on this tonic is a blues: half of its tonic chords or more are dominant, and a dominant 4 is there. */
export function isBlues(chords: readonly ChordFacts[], tonic: number): boolean {
  const onStep = (step: number) => chords.filter(({ root }) => root === (tonic + step) % 12);
  const dominants = (facts: readonly ChordFacts[]) => facts.filter((chord) => chord.class === 'dominant').length;
  const tonics = onStep(0);
  return dominants(tonics) > 0 && 2 * dominants(tonics) >= tonics.length && dominants(onStep(5)) > 0;
}

const SIX_FOUR_STEP = 7;
const SIXTH_COST = 1.1;

/** ♭6 as a dominant seventh that opens into the plain 5, or into 1 over 5: its ♭7 is heard as a ♯6. */
export function augmentedSixth(scene: Scene): Claim | null {
  const { here, home, step, after, nextStep, own } = scene;
  if (step !== 8 || here.class !== 'dominant' || after === null || own) return null;
  const toFive = nextStep === SIX_FOUR_STEP && after.class === 'major';
  const toSixFour = nextStep === 0 && (after.bass - home.tonic + 12) % 12 === SIX_FOUR_STEP;
  if (!toFive && !toSixFour) return null;
  return { kind: 'augmented-sixth', rule: 'augmented-sixth', cost: SIXTH_COST, target: SIX_FOUR_STEP, resolution: 'resolves' };
}
