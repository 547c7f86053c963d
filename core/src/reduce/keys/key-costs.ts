import { mod } from '../../fault.ts';
import { COSTS } from '../costs.ts';
import type { ChordKind } from '../kinds.ts';

const OWN: Readonly<Record<'major' | 'minor', readonly number[]>> = {
  major: [0, 2, 4, 5, 7, 9, 11],
  minor: [0, 2, 3, 5, 7, 8, 10, 11],
};

/** What it costs a chord that tones of it are outside a key: half steps above the tonic to its root. */
export function outsideCost(kind: ChordKind, above: number, isMinor: boolean): number {
  const own = OWN[isMinor ? 'minor' : 'major'];
  const outside = Array.from({ length: 12 }, (_, steps) => steps)
    .filter((steps) => (kind.steps & (1 << steps)) !== 0)
    .map((steps) => (above + steps) % 12)
    .filter((tone) => !own.includes(tone));
  if (outside.length === 0) return isMinor ? clash(kind, above) : 0;
  const cost = outside.reduce((sum, tone) => sum + (isMinor && tone === RAISED_SIX ? COSTS.key.raisedSix : COSTS.key.outside), 0);
  return Math.min(cost, leaning(kind, above, own));
}

/** What a chord costs that leans on another one of the key, whatever its tones; infinite for one that does not. */
function leaning(kind: ChordKind, above: number, own: readonly number[]): number {
  const [fourthUp, halfStepUp] = [mod(above + 5, 12), mod(above + 1, 12)];
  const isFive = kind.isDominant || kind.steps === MAJOR;
  if (isFive && own.includes(fourthUp) && fourthUp !== LEADING_TONE) return COSTS.key.applied;
  return kind.isLeading && own.includes(halfStepUp) ? COSTS.key.leading : Number.POSITIVE_INFINITY;
}

const MAJOR = (1 << 0) | (1 << 4) | (1 << 7);
const SEVEN = 10;
const LEADING_TONE = 11;
/** On the way up to it. */
const RAISED_SIX = 9;

/** A minor key has both sevenths, but hardly one chord that holds both. */
function clash(kind: ChordKind, above: number): number {
  const holds = (tone: number) => (kind.steps & (1 << mod(tone - above, 12))) !== 0;
  return holds(SEVEN) && holds(LEADING_TONE) ? COSTS.key.outside : 0;
}
