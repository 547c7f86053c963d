import type { ToneChange } from '@aurora/core';

/** "3 and 7 down a half step", as players remember it. */
export function changeWords(changes: readonly ToneChange[]): string {
  const ways = [...new Set(changes.map(({ semitones }) => semitones))];
  return ways
    .map((semitones) => {
      const numbers = changes.filter((change) => change.semitones === semitones).map(({ before }) => String(before.number));
      const size = { 1: 'a half step', 2: 'a whole step' }[Math.abs(semitones)] ?? `${Math.abs(semitones)} half steps`;
      return `${numbers.join(' and ')} ${semitones < 0 ? 'down' : 'up'} ${size}`;
    })
    .join(', ');
}
