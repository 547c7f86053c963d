import type { Key } from '../key/key.ts';
import { noteName } from '../key/note-name.ts';
import { type Naming, nameNote } from '../naming/naming.ts';
import { octaveOf } from '../pitch/pitch-text.ts';
import type { SungRange } from '../singer/singer-key.ts';

/** How a melody lies in a voice, in a sentence; its notes are called as the key calls them. */
export function sungWords({ fit, lowRoom, highRoom, melody }: SungRange, key: Key, naming: Naming): string {
  const range = `${pitch(melody.low, key, naming)} to ${pitch(melody.high, key, naming)}`;
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

function pitch(midi: number, key: Key, naming: Naming): string {
  const note = noteName(midi, key);
  return `${nameNote(note, naming.notes)}${octaveOf(midi, note)}`;
}
