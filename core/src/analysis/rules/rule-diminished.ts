import { isTarget } from '../home/home.ts';
import type { Claim } from '../reading.ts';
import { promiseCost, promiseTo } from './promise.ts';
import type { Scene } from './scene.ts';

const LEADING_KEPT = 1;
const HALF_DIMINISHED_MORE = 0.2;
const LEADING_BROKEN = 1.9;
const TURNED_OVER = 1.3;

/** A diminished or half-diminished chord a half step below a chord of the key. */
export function appliedLeadingTone(scene: Scene): Claim | null {
  const { here, home, step, own } = scene;
  if ((here.class !== 'diminished' && here.class !== 'half-diminished') || own) return null;
  const target = (step + 1) % 12;
  if (target === 0 || !isTarget(home, target)) return turnedOver(scene);
  const promise = promiseTo(scene, target);
  const half = here.class === 'half-diminished';
  if (half && promise.resolution !== 'resolves') return null;
  if (promise.resolution !== 'resolves' && promise.resolution !== 'delayed') {
    const turned = turnedOver(scene);
    if (turned !== null) return turned;
  }
  const cost = promiseCost(promise.resolution, LEADING_KEPT, LEADING_BROKEN) + (half ? HALF_DIMINISHED_MORE : 0);
  return { kind: 'secondary-leading-tone', rule: 'leading-tone', cost, ...promise };
}

/** Any note of a full diminished chord may be the leading tone: the one below the next root is. */
function turnedOver({ here, home, after, nextStep }: Scene): Claim | null {
  if (!here.symmetric || after === null || nextStep === null || nextStep === 0 || !isTarget(home, nextStep)) return null;
  const leading = (after.root + 11) % 12;
  if ((here.mask & (1 << leading)) === 0) return null;
  return { kind: 'secondary-leading-tone', rule: 'leading-tone', cost: TURNED_OVER, target: nextStep, resolution: 'resolves' };
}

const PASSING_UP = 0.9;
const PASSING_DOWN = 1;
const SLIDING_DOWN = 1.3;

/** A diminished chord that fills the step between two chords by its root or bass, or slides down a half step into the next. */
export function passingDiminished({ here, before, after, own }: Scene): Claim | null {
  if (here.class !== 'diminished' || before === null || after === null || own) return null;
  const up = fillsStep(before.root, here.root, after.root) || fillsStep(before.bass, here.bass, after.bass);
  const down = fillsStep(after.root, here.root, before.root) || fillsStep(after.bass, here.bass, before.bass);
  const slides = here.symmetric && (after.root + 1) % 12 === here.root;
  if (!up && !down && !slides) return null;
  const cost = up ? PASSING_UP : down ? PASSING_DOWN : SLIDING_DOWN;
  return { kind: 'passing-diminished', rule: 'passing-diminished', cost };
}

function fillsStep(low: number, between: number, high: number): boolean {
  return (low + 1) % 12 === between && (between + 1) % 12 === high;
}

const AUXILIARY = 0.95;
const SHARED_ROOT = 1.1;

/** A full diminished chord that holds the next chord's root or bass while its other notes slide into place. */
export function commonToneDiminished({ here, before, after, own }: Scene): Claim | null {
  if (!here.symmetric || after === null || own) return null;
  const shares = ((1 << after.root) | (1 << after.bass)) & here.mask;
  if (shares === 0) return null;
  const auxiliary = before !== null && before.root === after.root;
  return { kind: 'common-tone-diminished', rule: 'common-tone', cost: auxiliary ? AUXILIARY : SHARED_ROOT };
}
