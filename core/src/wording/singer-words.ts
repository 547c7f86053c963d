import { plainNote } from '../fretboard/tuning-text.ts';
import { type Naming, nameNote } from '../naming/naming.ts';
import type { SungRange } from '../singer/singer-key.ts';

const OCTAVE = 12;

/** How a melody lies in a voice, in a sentence. */
export function sungWords({ fit, lowRoom, highRoom, melody }: SungRange, naming: Naming): string {
  const range = `${pitch(melody.low, naming)} to ${pitch(melody.high, naming)}`;
  if (fit === 'comfortable') return `${range}: with ease, ${halfSteps(lowRoom)} left below and ${halfSteps(highRoom)} above.`;
  const past = [lowRoom < 0 ? `${halfSteps(-lowRoom)} too low` : '', highRoom < 0 ? `${halfSteps(-highRoom)} too high` : ''].filter(
    (words) => words !== '',
  );
  return fit === 'possible'
    ? `${range}: possible, ${past.join(' and ')} to be easy.`
    : `${range}: out of reach, ${past.join(' and ')} to be easy.`;
}

function halfSteps(count: number): string {
  return count === 0 ? 'nothing' : count === 1 ? 'a half step' : `${count} half steps`;
}

function pitch(midi: number, naming: Naming): string {
  return `${nameNote(plainNote(midi), naming.notes)}${Math.floor(midi / OCTAVE) - 1}`;
}
