import { type Chord, chordNotes } from '../chord/chord.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';

/** Guitar register: the lowest root that is taken, E2. */
const LOWEST_ROOT = 40;
const OCTAVE = 12;

/**
 * The chord as MIDI note numbers from the bass up, each tone above the one before, starting in the
 * guitar's lowest octave. A foreign bass lies under the root.
 */
export function chordMidi(chord: Chord): readonly number[] {
  return chordAbove(chord, LOWEST_ROOT - 1);
}

/**
 * Chords one after the other up the key, each beginning above the one before, and at the end the
 * first again an octave higher: what climbs does not fall in the middle.
 */
export function climbingMidi(chords: readonly Chord[]): readonly (readonly number[])[] {
  const climbed: (readonly number[])[] = [];
  for (const chord of [...chords, ...chords.slice(0, 1)]) climbed.push(chordAbove(chord, climbed.at(-1)?.[0] ?? LOWEST_ROOT - 1));
  return climbed;
}

/** The chord from its bass up, beginning with the lowest pitch above the given one. */
function chordAbove(chord: Chord, below: number): readonly number[] {
  const bass = chord.bass ?? chord.root;
  const pitches = [above(below, chroma(bass))];
  for (const note of chordNotes(chord)) {
    if (chroma(note) === chroma(bass) && pitches.length === 1 && chord.bass === null) continue;
    pitches.push(above(pitches.at(-1) as number, chroma(note)));
  }
  return pitches;
}

/** The key's scale as MIDI note numbers, up to the octave; reading it backwards leads down. */
export function scaleMidi(key: Key): readonly number[] {
  const pitches = [above(LOWEST_ROOT + 7, chroma(key.tonic))];
  for (const note of [...keyNotes(key).slice(1), key.tonic]) pitches.push(above(pitches.at(-1) as number, chroma(note)));
  return pitches;
}

/** The lowest pitch of the given chroma strictly above `pitch`. */
function above(pitch: number, wanted: number): number {
  return pitch + 1 + ((((wanted - pitch - 1) % OCTAVE) + OCTAVE) % OCTAVE);
}
