import { formulaOf } from '../chord/formula.ts';
import type { NumberChord } from '../degree/degree.ts';
import { intervalSemitones } from '../interval/interval.ts';
import type { Place, Problem } from './chart.ts';

/** A chord with the text it was read from. */
export interface ChordToken {
  readonly text: string;
  readonly chord: NumberChord;
  readonly at: Place;
}

/** Two digits that may be a chord or two bars: the second is its quality. */
const DIGIT_PAIR = /^([1-7])([2567])$/;
const DOMINANT_SEVENTH = formulaOf('1', '3', '5', 'b7');
/** One chord of a kind may be a slip; a second one says that it is meant. */
const ENOUGH = 2;

/** Warnings about chords that read well and may still not be meant. */
export function tokenWarnings(tokens: readonly ChordToken[], keyNamed: boolean): readonly Problem[] {
  const warnings: Problem[] = [];
  const letters = keyNamed ? undefined : tokens.find((token) => /^>?<?[A-G]/.test(token.text));
  if (letters !== undefined) warnings.push({ fault: { code: 'key-missing' }, severity: 'warning', at: letters.at });
  tokens.forEach((token, index) => {
    const pair = DIGIT_PAIR.exec(token.text);
    if (pair === null || isLikely(token, tokens[index + 1], tokens)) return;
    const fault = { code: 'two-bars-perhaps', text: token.text, write: `${pair[1]} ${pair[2]}` } as const;
    warnings.push({ fault, severity: 'warning', at: token.at });
  });
  return warnings;
}

/**
 * Whether a two-digit token is likely the chord it says: a dominant that is the 5, resolves, or
 * stands in a blues; a sixth, added ninth or power chord that is not the only one.
 */
function isLikely(token: ChordToken, next: ChordToken | undefined, all: readonly ChordToken[]): boolean {
  const { degree, formula } = token.chord;
  if (formula !== DOMINANT_SEVENTH) return all.filter((other) => other.chord.formula === formula).length >= ENOUGH;
  if (degree !== 0 && degree !== -1) return true;
  const blues = all.filter(({ chord }) => chord.formula === DOMINANT_SEVENTH && (chord.degree === 0 || chord.degree === -1));
  if (blues.length >= ENOUGH || next === undefined) return blues.length >= ENOUGH;
  const step = intervalSemitones(next.chord.degree - degree);
  return step === FOURTH_UP || step === HALF_STEP_DOWN;
}

const FOURTH_UP = 5;
const HALF_STEP_DOWN = 11;
