import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import { isEnharmonic, type Note } from '../pitch/note.ts';

/** Open strings as MIDI note numbers, lowest string first. */
export type Tuning = readonly number[];

/** E A D G B E, string 6 to string 1. */
export const STANDARD_TUNING: Tuning = [40, 45, 50, 55, 59, 64];

/** A place on the neck where a tone of the chord lies. */
export interface NeckTone {
  /** 1 is the thinnest string. */
  readonly string: number;
  /** Counted from the nut; 0 is the open string. */
  readonly fret: number;
  readonly midi: number;
  readonly note: Note;
  /** The tone's number against the root, `b3`; `bass` for a bass that is no chord tone. */
  readonly formula: string;
  readonly root: boolean;
}

/** A note with the name it has in the chord. */
interface NamedTone {
  readonly note: Note;
  readonly formula: string;
}

/**
 * Every place a tone of the chord lies from `firstFret` to `lastFret`, string by string from the
 * lowest. With a capo, `firstFret` is the capo's fret: nothing sounds behind it.
 */
export function chordOnNeck(chord: Chord, tuning: Tuning, firstFret: number, lastFret: number): readonly NeckTone[] {
  const tones = namedTones(chord);
  const found: NeckTone[] = [];
  tuning.forEach((open, index) => {
    for (let fret = firstFret; fret <= lastFret; fret += 1) {
      const midi = open + fret;
      const tone = tones.find(({ note }) => isEnharmonic(note, noteOfMidi(midi)));
      if (tone === undefined) continue;
      found.push({ ...tone, string: tuning.length - index, fret, midi, root: tone.note === chord.root });
    }
  });
  return found;
}

function namedTones(chord: Chord): readonly NamedTone[] {
  const tones = formulaTones(chord.formula).map((tone) => ({ note: chord.root + tone.interval, formula: tone.name as string }));
  const { bass } = chord;
  if (bass === null || tones.some(({ note }) => isEnharmonic(note, bass))) return tones;
  return [...tones, { note: bass, formula: 'bass' }];
}

/** Some spelling of a MIDI note, good only for comparing enharmonically. */
function noteOfMidi(midi: number): Note {
  return (midi * 7) % 12;
}
