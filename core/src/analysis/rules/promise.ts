import type { Claim, Resolution } from '../reading.ts';
import type { ChordFacts } from './facts.ts';
import type { Scene } from './scene.ts';

/** The part of a claim that tells what it promises. */
interface Promised extends Pick<Claim, 'onTurn'> {
  readonly target: number;
  readonly resolution: Resolution;
}

/** What becomes of a chord that points at a half step: does that chord follow, later, or never? */
export function promiseTo(scene: Scene, target: number): Promised {
  const resolution = resolutionTo(scene, target);
  return resolution === 'resolves' && scene.turns ? { target, resolution, onTurn: true } : { target, resolution };
}

/** What follows only because the song is played again answers a promise, but breaks none. */
export function resolutionTo({ home, after, afterThat, nextStep, here, turns }: Scene, target: number): Resolution {
  if (after === null) return 'unresolved';
  if (nextStep === target) return 'resolves';
  if (turns) return 'unresolved';
  if (afterThat !== null && (afterThat.root - home.tonic + 12) % 12 === target && isArrival(afterThat, target)) return 'delayed';
  // the same root gone minor takes the pull back
  return after.root === here.root ? 'unresolved' : 'deceptive';
}

const OWN_FIVE = 7;

/** Whether this is the chord that was promised: a dominant on its root is another promise, but on the key's own 5. */
function isArrival({ class: kind }: ChordFacts, target: number): boolean {
  return kind !== 'dominant' || target === OWN_FIVE;
}

/** A kept promise explains a chord best; a broken one explains it less, and none least. */
export function promiseCost(resolution: Resolution, kept: number, broken: number): number {
  switch (resolution) {
    case 'resolves':
      return kept;
    case 'delayed':
      return kept + 0.3;
    case 'deceptive':
      return broken;
    case 'unresolved':
      return broken + 0.2;
  }
}
