import type { ToneChange } from '@aurora/core';
import { HARMONIZE_WORDS } from '../../../wording/harmonize.ts';

/** "3 and 7 down a half step", as players remember it. */
export function changeWords(changes: readonly ToneChange[]): string {
  const ways = [...new Set(changes.map(({ semitones }) => semitones))];
  return ways
    .map((semitones) => {
      const numbers = changes.filter((change) => change.semitones === semitones).map(({ before }) => String(before.number));
      const size =
        { 1: HARMONIZE_WORDS.aHalfStep, 2: HARMONIZE_WORDS.aWholeStep }[Math.abs(semitones)] ??
        HARMONIZE_WORDS.halfSteps(Math.abs(semitones));
      return `${numbers.join(' and ')} ${semitones < 0 ? 'down' : 'up'} ${size}`;
    })
    .join(', ');
}
