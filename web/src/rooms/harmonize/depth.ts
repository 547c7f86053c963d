import { type Depth, isMinorScale, type Key, scaleIntervals } from '@aurora/core';
import { HARMONIZE_WORDS } from '../../wording/harmonize.ts';

/** How the chords of the key are built: thirds to a depth on every degree, or fourths. */
export type Build =
  | {
      readonly kind: 'thirds';
      readonly depth: Depth /** Degrees (0–6) with a depth of their own. */;
      readonly own: Readonly<Record<number, Depth>>;
    }
  | { readonly kind: 'band' }
  | { readonly kind: 'fourths'; readonly size: 'four' | 'five' };

/** The builds one can choose, as they are offered. */
export const BUILD_CHOICES = [
  ['triad', HARMONIZE_WORDS.triads],
  ['seventh', HARMONIZE_WORDS.sevenths],
  ['ninth', HARMONIZE_WORDS.ninths],
  ['eleventh', HARMONIZE_WORDS.elevenths],
  ['thirteenth', HARMONIZE_WORDS.thirteenths],
  ['band', HARMONIZE_WORDS.asBandsPlayThem],
  ['four', HARMONIZE_WORDS.fourths],
  ['five', HARMONIZE_WORDS.fourthsAndAThird],
] as const;

export type BuildName = (typeof BUILD_CHOICES)[number][0];

export function buildOf(name: BuildName): Build {
  if (name === 'band') return { kind: 'band' };
  if (name === 'four' || name === 'five') return { kind: 'fourths', size: name };
  return { kind: 'thirds', depth: name, own: {} };
}

export function buildName(build: Build): BuildName {
  if (build.kind === 'band') return 'band';
  return build.kind === 'fourths' ? build.size : build.depth;
}

/** The build after this one, triads again after the last. */
export function nextBuild(build: Build): Build {
  const names = BUILD_CHOICES.map(([name]) => name);
  return buildOf(names[(names.indexOf(buildName(build)) + 1) % names.length] as BuildName);
}

const DEPTHS: readonly Depth[] = ['triad', 'seventh', 'ninth', 'eleventh', 'thirteenth'];

/** The build with one degree a third deeper, triads again after thirteenths. Fourths have no depth. */
export function deepen(build: Build, degreeIndex: number, key: Key): Build {
  if (build.kind === 'fourths') return build;
  const depths = depthsOf(build, key);
  const now = depths[degreeIndex] as Depth;
  const next = DEPTHS[(DEPTHS.indexOf(now) + 1) % DEPTHS.length] as Depth;
  const base = build.kind === 'thirds' ? build.depth : 'triad';
  const own = Object.fromEntries(depths.map((depth, index) => [index, index === degreeIndex ? next : depth]));
  return { kind: 'thirds', depth: base, own };
}

/**
 * How deep each degree is stacked. As bands play them: triads, with a seventh on the 5, and in
 * minor a half-diminished 2.
 */
export function depthsOf(build: Exclude<Build, { kind: 'fourths' }>, key: Key): readonly Depth[] {
  return scaleIntervals(key.scale).map((degree, index) => {
    if (build.kind === 'thirds') return build.own[index] ?? build.depth;
    const seventh = degree === 1 || (degree === 2 && isMinorScale(key.scale));
    return seventh ? 'seventh' : 'triad';
  });
}
