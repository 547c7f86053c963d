import { type ChartReading, lettersFrom } from '../chart/reading.ts';
import { type Chord, transposeChord } from '../chord/chord.ts';
import type { NumberChord } from '../degree/degree.ts';
import { printNumber } from '../degree/number-text.ts';
import { STANDARD_GUITAR } from '../fretboard/instrument.ts';
import type { Key } from '../key/key.ts';
import { CONCERT_READER, writtenKey } from '../reader/reader.ts';
import { type Colour, easierByColour } from '../voicing/easier.ts';
import { findVoicings } from '../voicing/search.ts';
import type { CapoWish } from './capo-plan.ts';
import { easiestHold } from './hold.ts';

/** A chord that is held closed, and easier ones of the same root that add or leave out notes of the key. */
export interface HardChord {
  readonly number: NumberChord;
  readonly stretch: number;
  readonly sounding: Chord;
  /** What is held behind the capo. */
  readonly shape: Chord;
  /** Easiest first. */
  readonly colours: readonly EasierChord[];
}

export interface EasierChord extends Colour {
  readonly number: NumberChord;
  readonly sounding: Chord;
}

const MOST_COLOURS = 3;

/** Every chord of the song that is held closed with the capo at a fret, each once, with easier versions where there are some. */
export function easierChords(reading: ChartReading, wish: CapoWish, fret: number): readonly HardChord[] {
  const home: Key = { ...reading.head.key, tonic: wish.tonic ?? reading.head.key.tonic };
  const letters = lettersFrom(reading, home.tonic);
  const up = writtenKey({ ...CONCERT_READER, capo: fret, tuning: wish.tuning ?? 0 }, home).tonic - home.tonic;
  const instrument = { ...(wish.instrument ?? STANDARD_GUITAR), capo: 0 };
  const seen = new Set<string>();
  return reading.bars.flatMap((bar) =>
    bar.chords.flatMap(({ chord }): readonly HardChord[] => {
      if (chord === null) return [];
      const name = `${bar.stretch} ${printNumber(chord)}`;
      if (seen.has(name)) return [];
      seen.add(name);
      const sounding = letters.chordIn(chord, bar.stretch);
      const shape = transposeChord(sounding, up);
      const hold = easiestHold(shape, instrument);
      if (hold.open || hold.frets === null) return [];
      const key = letters.keys[bar.stretch] as Key;
      const { voicings } = findVoicings(shape, instrument);
      const held = voicings.find(({ frets }) => String(frets) === String(hold.frets));
      const colours = held === undefined ? [] : easierByColour(held, { ...key, tonic: key.tonic + up }, instrument).slice(0, MOST_COLOURS);
      return [{ number: chord, stretch: bar.stretch, sounding, shape, colours: colours.map((colour) => easierChord(colour, chord, up)) }];
    }),
  );
}

function easierChord(colour: Colour, number: NumberChord, up: number): EasierChord {
  const { formula } = colour.voicing.chord;
  return { ...colour, number: { degree: number.degree, formula, bass: null }, sounding: transposeChord(colour.voicing.chord, -up) };
}
