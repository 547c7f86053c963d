import { mod } from '../fault.ts';
import { intervalSemitones } from '../interval/interval.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { type Step, scaleIntervals, scaleSteps } from '../scale/scale.ts';

/** A note of a scale on one string. */
export interface StringNote {
  readonly note: Note;
  readonly degree: number;
  readonly fret: number;
  /** Whether it was taken an octave down, where the neck runs out. */
  readonly folded: boolean;
  /** The step up to the next note of the scale. */
  readonly step: Step;
}

/**
 * The scale along one string from its lowest tonic to the octave: eight notes. Notes past
 * `lastFret` are taken an octave, twelve frets, lower.
 */
export function scaleOnString(key: Key, openMidi: number, lastFret: number): readonly StringNote[] {
  const first = mod(chroma(key.tonic) - openMidi, 12);
  const intervals = scaleIntervals(key.scale);
  const steps = scaleSteps(key.scale);
  const notes = keyNotes(key);
  return Array.from({ length: notes.length + 1 }, (_, index) => {
    const place = index % notes.length;
    const degree = intervals[place] as number;
    const fret = first + intervalSemitones(degree) + (index === notes.length ? 12 : 0);
    const folded = fret > lastFret;
    return { note: notes[place] as Note, degree, fret: folded ? fret - 12 : fret, folded, step: steps[place] as Step };
  });
}
