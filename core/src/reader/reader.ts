import type { Chord } from '../chord/chord.ts';
import { transposeChord } from '../chord/chord.ts';
import type { Tuning } from '../fretboard/fretboard.ts';
import { tuningOffset } from '../fretboard/instrument.ts';
import { type Key, moveKey } from '../key/key.ts';

/** Through whose eyes a song is read: how far what they read lies from what sounds. */
export interface Reader {
  /** Half steps from the sounding note up to the written one: B♭ instruments 2, E♭ 9, F 7. */
  readonly transpose: number;
  /** Fret of the capo, 0 for none. */
  readonly capo: number;
  /** Half steps the strings are tuned away from standard: a half step down is −1. */
  readonly tuning: number;
}

/** Instruments by the key they are named after. */
export type Transposition = 'C' | 'Bb' | 'Eb' | 'F';

/** Half steps up from concert pitch to what the player reads, octaves aside. */
export const TRANSPOSITION_SEMITONES: Readonly<Record<Transposition, number>> = { C: 0, Bb: 2, Eb: 9, F: 7 };

export const CONCERT_READER: Reader = { transpose: 0, capo: 0, tuning: 0 };

/** Whether a capo and a guitar's tunings mean something to somebody, by what they say they play: a bass guitar is a bass. */
export function playsGuitar(plays: string): boolean {
  return /guitar/i.test(plays) && !/bass/i.test(plays);
}

/** What of a player matters to what they read. */
export interface Player {
  /** What they play, in words. */
  readonly plays: string;
  /** Half steps from the sounding note up to the written one. */
  readonly transpose: number;
  /** Their open strings, as MIDI pitches; null without any. */
  readonly tuning: Tuning | null;
}

/** Somebody in the band as a reader, with a capo at a fret. Only a guitar is read by where its strings are tuned. */
export function playerReader({ plays, transpose, tuning }: Player, capo: number): Reader {
  return { transpose, capo, tuning: tuning !== null && playsGuitar(plays) ? tuningOffset(tuning) : 0 };
}

/** Half steps from sounding to written, 0–11: up for horns, down for a capo. */
export function writtenSemitones(reader: Reader): number {
  return (((reader.transpose - reader.capo - reader.tuning) % 12) + 12) % 12;
}

/** The key the reader's letters are in while the band sounds `sounding`. */
export function writtenKey(reader: Reader, sounding: Key): Key {
  const semitones = writtenSemitones(reader);
  return semitones === 0 ? sounding : moveKey(sounding, semitones);
}

/** The chord as the reader sees it. The quality never changes, only the root and bass. */
export function writtenChord(reader: Reader, chord: Chord, sounding: Key): Chord {
  return transposeChord(chord, writtenKey(reader, sounding).tonic - sounding.tonic);
}
