import type { Claim } from '../reading.ts';
import { borrowedChord, chromaticMediant, neapolitan } from './rule-colour.ts';
import { appliedLeadingTone, commonToneDiminished, passingDiminished } from './rule-diminished.ts';
import { appliedDominant, augmentedSixth, backdoorDominant, bluesDominant, relatedTwo, tritoneSubstitute } from './rule-dominant.ts';
import { colouredChord, lineChord, ownChord, pedalChord, unexplainedChord } from './rule-own.ts';
import type { Scene } from './scene.ts';

/** A rule looks at a chord among its neighbours in one key and says what it is, or keeps silent. */
type Rule = (scene: Scene) => Claim | null;

/** Every rule. Of equally cheap claims the earlier one stands. A new rule is added here. */
const RULES: readonly Rule[] = [
  lineChord,
  pedalChord,
  ownChord,
  bluesDominant,
  colouredChord,
  backdoorDominant,
  passingDiminished,
  commonToneDiminished,
  relatedTwo,
  appliedDominant,
  tritoneSubstitute,
  augmentedSixth,
  appliedLeadingTone,
  neapolitan,
  borrowedChord,
  chromaticMediant,
  unexplainedChord,
];

/** Everything the rules say, cheapest first. There is always at least one claim. */
export function claimsOn(scene: Scene): readonly Claim[] {
  return RULES.flatMap((rule) => rule(scene) ?? []).sort((a, b) => a.cost - b.cost);
}

/** What the cheapest claim costs. A chord of the key needs no other rule asked. */
export function leastCost(scene: Scene): number {
  let least = Number.POSITIVE_INFINITY;
  for (const rule of RULES) {
    const claim = rule(scene);
    if (claim !== null && claim.cost < least) least = claim.cost;
    if (least <= 0) return least;
  }
  return least;
}
