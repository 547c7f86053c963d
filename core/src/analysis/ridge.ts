import type { HarmonicFunction } from '../harmony/function-table.ts';
import { type Key, relativeMajorDistance } from '../key/key.ts';
import { degreeOf, type Home, stepOf } from './home/home.ts';
import type { Resolution } from './reading.ts';
import type { ChordFacts } from './rules/facts.ts';

/**
 * How far a chord stands from home, and of what its height is made:
 * outside tones (half a step of height for each fifth a tone lies outside the key, at most 3),
 * what the chord does (1 rests at 0, another resting chord ½, moving away 1, a chord that does
 * neither 1½, pulling back 2) and what it leaves open (a late promise ½, a broken one 1, one that
 * is never answered 1½). The ground rises by half a step for each fifth between the keys.
 */
export interface RidgePoint {
  readonly height: number;
  readonly outside: number;
  readonly does: number;
  readonly pull: number;
  /** Height of the region's ground above the home key's. */
  readonly ground: number;
}

const PER_FIFTH = 0.5;
const MOST_OUTSIDE = 3;
const PULL: Readonly<Record<Resolution, number>> = { resolves: 0, delayed: 0.5, deceptive: 1, unresolved: 1.5 };

/** What the height of a chord is made of. */
export interface RidgeQuestion {
  readonly facts: ChordFacts;
  readonly home: Home;
  readonly function: HarmonicFunction | 'other';
  readonly resolution: Resolution | undefined;
  readonly ground: number;
}

/** The chord's place on the ridge. */
export function ridgePoint({ facts, home, function: role, resolution, ground }: RidgeQuestion): RidgePoint {
  const outside = Math.min(MOST_OUTSIDE, PER_FIFTH * fifthsOutside(home, facts));
  const does = roleHeight(role, stepOf(home, facts.root));
  const pull = resolution === undefined ? 0 : PULL[resolution];
  return { outside, does, pull, ground, height: outside + does + pull };
}

/** For every tone outside the key, how many fifths it lies from the nearest tone of the key; added up. */
function fifthsOutside(home: Home, { root, tones }: ChordFacts): number {
  const degree = degreeOf(home, stepOf(home, root));
  const own = home.mode.degrees.filter((tone) => tone !== undefined);
  return tones.reduce((sum, tone) => sum + Math.min(...own.map((inside) => Math.abs(degree + tone - inside))), 0);
}

/** How far a chord stands from home by what it does alone: `step` counts its degree from 0. */
export function roleHeight(role: HarmonicFunction | 'other', step: number): number {
  switch (role) {
    case 'tonic':
      return step === 0 ? 0 : 0.5;
    case 'subdominant':
      return 1;
    case 'dominant':
      return 2;
    case 'other':
      return 1.5;
  }
}

/** Fifths between the relative majors of two keys, the short way round the circle, as height of the ground. */
export function groundOf(key: Key, home: Key): number {
  return PER_FIFTH * relativeMajorDistance(key, home);
}
