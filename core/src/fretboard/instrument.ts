import { type Failure, failure, type InstrumentFault, type Result, success } from '../fault.ts';
import type { Tuning } from './fretboard.ts';

/** Which frets carry position dots: some guitars mark the tenth fret instead of the ninth. */
export type DotStyle = 'ninth' | 'tenth';

/** A fretted instrument as a player has it in hand. */
export interface Instrument {
  readonly name: string;
  /** Open strings as MIDI note numbers, lowest string first. */
  readonly tuning: Tuning;
  /** How many frets the neck has. */
  readonly frets: number;
  /** The highest fret the player likes to go to. */
  readonly comfortFret: number;
  /** Length of the open string in millimetres. */
  readonly scaleLength: number;
  readonly dots: DotStyle;
  readonly leftHanded: boolean;
  /** Fret of the capo, 0 for none. */
  readonly capo: number;
}

export const FEWEST_FRETS = 12;
export const MOST_FRETS = 24;
const FEWEST_STRINGS = 2;
const MOST_STRINGS = 8;
export const MOST_CAPO = 11;
const LOWEST_STRING = 16;
const HIGHEST_STRING = 88;

const GUITAR_MM = 648;
const BASS_MM = 864;

const guitar = (name: string, tuning: Tuning): Instrument => ({
  name,
  tuning,
  frets: 22,
  comfortFret: 15,
  scaleLength: GUITAR_MM,
  dots: 'ninth',
  leftHanded: false,
  capo: 0,
});

const bass = (name: string, tuning: Tuning): Instrument => ({
  ...guitar(name, tuning),
  frets: 20,
  comfortFret: 14,
  scaleLength: BASS_MM,
});

const small = (name: string, tuning: Tuning, scaleLength: number, frets: number): Instrument => ({
  ...guitar(name, tuning),
  frets,
  comfortFret: 12,
  scaleLength,
});

/** Instruments to start from; every field can be changed. */
export const INSTRUMENTS: readonly Instrument[] = [
  guitar('Guitar', [40, 45, 50, 55, 59, 64]),
  guitar('Guitar, half step down', [39, 44, 49, 54, 58, 63]),
  guitar('Guitar, low D', [38, 45, 50, 55, 59, 64]),
  guitar('Guitar, open G', [38, 43, 50, 55, 59, 62]),
  guitar('Guitar, open D', [38, 45, 50, 54, 57, 62]),
  guitar('Guitar, D A D G A D', [38, 45, 50, 55, 57, 62]),
  guitar('Seven-string guitar', [35, 40, 45, 50, 55, 59, 64]),
  guitar('Guitar, both outer strings low D', [38, 45, 50, 55, 59, 62]),
  guitar('Guitar, open E', [40, 47, 52, 56, 59, 64]),
  bass('Bass', [28, 33, 38, 43]),
  bass('Five-string bass', [23, 28, 33, 38, 43]),
  small('Ukulele', [67, 60, 64, 69], 350, 15),
  small('Baritone ukulele', [50, 55, 59, 64], 510, 18),
  small('Mandolin', [55, 62, 69, 76], 350, 20),
  small('Banjo, open G', [67, 50, 55, 59, 62], 670, 22),
];

export const STANDARD_GUITAR = INSTRUMENTS[0] as Instrument;

/** The instrument, or the first thing about it that cannot be. */
export function checkInstrument(instrument: Instrument): Result<Instrument> {
  const { tuning, frets, capo, comfortFret, scaleLength } = instrument;
  if (tuning.length < FEWEST_STRINGS || tuning.length > MOST_STRINGS) {
    return refuse({ code: 'tuning-strings', strings: tuning.length, fewest: FEWEST_STRINGS, most: MOST_STRINGS });
  }
  const odd = tuning.findIndex((midi) => !Number.isInteger(midi) || midi < LOWEST_STRING || midi > HIGHEST_STRING);
  if (odd >= 0) return refuse({ code: 'tuning-pitch', string: tuning.length - odd });
  if (!isWhole(frets, FEWEST_FRETS, MOST_FRETS)) return refuse({ code: 'frets-range', frets, fewest: FEWEST_FRETS, most: MOST_FRETS });
  if (!isWhole(capo, 0, MOST_CAPO)) return refuse({ code: 'capo-range', capo, most: MOST_CAPO });
  if (!isWhole(comfortFret, capo + 1, frets)) return refuse({ code: 'comfort-range', fret: comfortFret, fewest: capo + 1, most: frets });
  if (!(scaleLength >= SHORTEST_MM && scaleLength <= LONGEST_MM)) {
    return refuse({ code: 'scale-length', millimetres: scaleLength, fewest: SHORTEST_MM, most: LONGEST_MM });
  }
  return success(instrument);
}

const SHORTEST_MM = 300;
const LONGEST_MM = 1000;

function isWhole(value: number, fewest: number, most: number): boolean {
  return Number.isInteger(value) && value >= fewest && value <= most;
}

function refuse(fault: InstrumentFault): Failure {
  return failure(fault, 0, 0);
}

/** The highest open string of a bass, and the lowest of an instrument that sounds all its few strings, as a ukulele does. */
const HIGHEST_OF_BASS = 50;
const LOWEST_OF_SMALL = 48;
const MOST_SMALL_STRINGS = 5;

/** What an instrument is for, as far as its tuning tells. */
export type Calling = 'guitar' | 'bass' | 'small';

/** A bass carries the root; a small instrument of four or five high strings sounds them all, whatever lies lowest. */
export function callingOf(tuning: Tuning): Calling {
  if (Math.max(...tuning) <= HIGHEST_OF_BASS) return 'bass';
  return tuning.length <= MOST_SMALL_STRINGS && Math.min(...tuning) >= LOWEST_OF_SMALL ? 'small' : 'guitar';
}

/** What is unusual about a tuning, for a player to know: neither is an error. */
export interface TuningOddity {
  readonly kind: 'same' | 'crossed';
  /** The two strings, counted from the thinnest, the lower one in the list first. */
  readonly strings: readonly [number, number];
}

/** Neighbouring strings that sound alike, or where the thinner one sounds lower. */
export function tuningOddities(tuning: Tuning): readonly TuningOddity[] {
  return tuning.slice(1).flatMap((midi, index): TuningOddity[] => {
    const below = tuning[index] as number;
    if (midi > below) return [];
    const string = tuning.length - index;
    return [{ kind: midi === below ? 'same' : 'crossed', strings: [string, string - 1] }];
  });
}

/**
 * Half steps by which every string lies away from a standard guitar's: −1 for one tuned a half step
 * down. 0 for any other tuning; its shapes are its own.
 */
export function tuningOffset(tuning: Tuning): number {
  const standard = STANDARD_GUITAR.tuning;
  const offset = (tuning[0] ?? 0) - (standard[0] as number);
  const moved = tuning.length === standard.length && tuning.every((midi, string) => midi - (standard[string] as number) === offset);
  return moved ? offset : 0;
}

/** The frets that carry position dots up to `last`, and how many dots. */
export function positionDots(style: DotStyle, last: number): readonly { readonly fret: number; readonly double: boolean }[] {
  const marked = [3, 5, 7, style === 'ninth' ? 9 : 10, 12];
  return [...marked, ...marked.map((fret) => fret + 12)].filter((fret) => fret <= last).map((fret) => ({ fret, double: fret % 12 === 0 }));
}
