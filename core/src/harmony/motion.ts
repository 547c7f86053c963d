import { type Formula, formulaOf, formulaTones, type Tone } from '../chord/formula.ts';
import { intervalSemitones } from '../interval/interval.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { type Depth, harmonize } from './harmonize.ts';

/** One voice moving up to the next note of the scale. */
export interface VoiceStep {
  readonly from: Note;
  readonly to: Note;
  /** Half steps up: 1, 2 or 3. */
  readonly semitones: number;
}

/** The chord on a degree turned into the next one by moving every voice to the next scale note. */
export function climb(key: Key, depth: Depth, degreeIndex: number): readonly VoiceStep[] {
  const notes = keyNotes(key);
  const chord = harmonize(key, depth)[degreeIndex];
  return (chord?.tones ?? []).map(({ note }) => {
    const to = notes[(notes.indexOf(note) + 1) % notes.length] as Note;
    return { from: note, to, semitones: chroma(to - note) };
  });
}

/** A tone of a shape that goes up or down by half steps while the rest stays. */
export interface ToneChange {
  readonly before: Tone;
  readonly after: Tone;
  /** Half steps, negative for down. */
  readonly semitones: number;
}

/**
 * What turns one quality into another on the same root, tone by tone: from major seventh to minor
 * seventh, 3 and 7 go down a half step. Both must have the same number of tones; otherwise the
 * tones past the shorter one are left out.
 */
export function toneChanges(from: Formula, to: Formula): readonly ToneChange[] {
  const after = formulaTones(to);
  return formulaTones(from).flatMap((before, index) => {
    const tone = after[index];
    if (tone === undefined || tone.interval === before.interval) return [];
    const rise = intervalSemitones(tone.interval) - intervalSemitones(before.interval);
    return [{ before, after: tone, semitones: rise > 6 ? rise - 12 : rise < -6 ? rise + 12 : rise }];
  });
}

/** The seventh chords on one root from the brightest to the darkest, each one tone from the last. */
export const LADDER: readonly Formula[] = [
  formulaOf('1', '3', '5', '7'),
  formulaOf('1', '3', '5', 'b7'),
  formulaOf('1', 'b3', '5', 'b7'),
  formulaOf('1', 'b3', 'b5', 'b7'),
  formulaOf('1', 'b3', 'b5', 'bb7'),
];
