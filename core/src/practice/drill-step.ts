import type { Chord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import type { Note } from '../pitch/note.ts';
import type { Run } from '../run/run.ts';
import type { Step } from '../scale/scale.ts';
import type { ScaleName } from '../scale/scale-table.ts';
import { chordMidi } from '../sound/sounding.ts';
import type { Voicing } from '../voicing/voicing.ts';
import type { AskedDepth } from './question.ts';

/** A single note of a drill on the neck. */
interface DrillTone {
  readonly note: Note;
  /** Its degree in the key. */
  readonly degree: number;
  /** 1 is the thinnest. */
  readonly string: number;
  readonly fret: number;
  /** The step up to the next note of the scale. */
  readonly step: Step;
  /** Whether it was taken an octave lower, where the neck runs out. */
  readonly folded: boolean;
}

/** One thing to play or say. */
export interface DrillStep {
  /** A chord of the key with its number; null for a single note. */
  readonly chord: Chord | null;
  readonly number: NumberChord | null;
  /** Where the chord lies; null where it is only said, or the neck has no place for it. */
  readonly voicing: Voicing | null;
  readonly tone: DrillTone | null;
  readonly midi: readonly number[];
  readonly beats: number;
}

/** What is said while it is played. */
export type Say = 'steps' | 'numbers' | 'names' | 'qualities' | 'numbers and names' | 'nothing';

/** A drill: steps in time, and for runs the notes one by one. */
export interface Drill {
  readonly steps: readonly DrillStep[];
  /** The notes of a run, for tab; null for a drill of chords or of one string. */
  readonly run: Run | null;
  readonly say: Say;
  /** The mode over each chord of a run; null for one without a name in common use. */
  readonly modes: readonly { readonly chord: Chord; readonly scale: ScaleName | null }[];
}

export interface DrillWish {
  readonly instrument: Instrument;
  readonly seed: number;
  /** Loops of the band's songs to be called in a position; none for the usual ones. */
  readonly loops?: readonly (readonly number[])[];
  /** The two strings of a night, the higher one first; without them those of the instrument. */
  readonly strings?: readonly [number, number] | undefined;
  /** Whether the chords of a chain take their plainest names. */
  readonly easier?: boolean;
  /** In what depth chords are said and joined; sevenths when left out. */
  readonly depth?: AskedDepth;
  /** In order, or called at random. */
  readonly isCalled: boolean;
}

const CHORD_BEATS = 4;

/** The chord as a step of its own: said, or played wherever one likes. */
export function chordStep(chord: Chord, number: NumberChord | null, voicing: Voicing | null = null, beats = CHORD_BEATS): DrillStep {
  const midi = voicing === null ? chordMidi(chord) : voicing.tones.map((tone) => tone.midi);
  return { chord, number, voicing, tone: null, midi, beats };
}
