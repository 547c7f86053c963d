import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import type { Tuning } from '../fretboard/fretboard.ts';
import { chroma, type Note } from '../pitch/note.ts';

/** Where the hand is on each string, lowest string first: a fret counted from the nut, or null for a muted string. */
export type Frets = readonly (number | null)[];

/** A finger: 1 index to 4 little finger, T the thumb over the lowest string; 0 is an open string, null a muted one. */
export type Finger = 0 | 1 | 2 | 3 | 4 | 'T';

/** One finger lying over several strings at one fret. */
export interface Barre {
  readonly finger: Finger;
  readonly fret: number;
  /** Strings by their place in the tuning, lowest first, both ends included. */
  readonly from: number;
  readonly to: number;
}

/** The hand on a shape: who presses what. */
export interface Fingering {
  /** String by string, lowest first. */
  readonly fingers: readonly (Finger | null)[];
  readonly barres: readonly Barre[];
  /** How much it asks of the hand, in the terms of `hand.ts`; lower is easier. */
  readonly cost: number;
}

/** What kind of shape it is, as players sort them. */
export type Family = 'open' | 'barre-6' | 'barre-5' | 'triad' | 'spread' | 'shell' | 'drop-2' | 'drop-3' | 'quartal' | 'other';

export const FAMILIES: readonly Family[] = [
  'open',
  'barre-6',
  'barre-5',
  'triad',
  'spread',
  'shell',
  'drop-2',
  'drop-3',
  'quartal',
  'other',
];

/** One sounding string of a shape. */
export interface VoicingTone {
  /** 1 is the thinnest string. */
  readonly string: number;
  readonly fret: number;
  readonly midi: number;
  readonly note: Note;
  /** Its number against the chord's root, `b3`; `bass` for a bass that is no chord tone. */
  readonly formula: string;
}

/** A chord as it lies on an instrument. */
export interface Voicing {
  readonly chord: Chord;
  readonly frets: Frets;
  /** The sounding strings, lowest string first. */
  readonly tones: readonly VoicingTone[];
  /** Every family it belongs to, the one players would name first. */
  readonly families: readonly [Family, ...Family[]];
  /** Which chord tone is lowest, 0 for the root; null when the lowest note is no chord tone. */
  readonly inversion: number | null;
  /** Names of chord tones left out. */
  readonly omitted: readonly string[];
  /** Tones sounding beyond what the symbol asks for; only quartal stacks have one, the eleventh. */
  readonly added: readonly string[];
  /** The easiest way to hold it. */
  readonly fingering: Fingering;
  /** 0 for next to nothing, 10 for the edge of what hands do. */
  readonly difficulty: number;
}

/** A chord tone under the name it has in the chord. */
export interface NamedTone {
  readonly note: Note;
  readonly chroma: number;
  readonly formula: string;
  /** Its place in the chord, 0 for the root; null for a foreign bass or an added tone. */
  readonly place: number | null;
}

/** The chord's tones from the root up, and its bass where that is none of them. */
export function tonesOf(chord: Chord): readonly NamedTone[] {
  const tones = formulaTones(chord.formula).map(
    ({ name, interval }, place): NamedTone => ({
      note: chord.root + interval,
      chroma: chroma(chord.root + interval),
      formula: name,
      place,
    }),
  );
  const { bass } = chord;
  if (bass === null || tones.some((tone) => tone.chroma === chroma(bass))) return tones;
  return [...tones, { note: bass, chroma: chroma(bass), formula: 'bass', place: null }];
}

/** What sounds: the MIDI note of each string, lowest string first, null where it is muted. */
export function soundingMidi(frets: Frets, tuning: Tuning): readonly (number | null)[] {
  return frets.map((fret, index) => (fret === null ? null : (tuning[index] as number) + fret));
}

/** The shape as players write it, lowest string first and counted from the capo: `x32010`, or `10-12-x` with two-figure frets. */
export function printFrets(frets: Frets, capo = 0): string {
  const written = fromCapo(frets, capo).map((fret) => (fret === null ? 'x' : String(fret)));
  return written.join(written.some((fret) => fret.length > 1) ? '-' : '');
}

/** The same frets counted from the capo, as its player thinks of them. */
export function fromCapo(frets: Frets, capo: number): Frets {
  return frets.map((fret) => (fret === null ? null : fret - capo));
}

/** The position of the hand: the lowest pressed fret; the capo's when nothing is pressed. */
export function positionOf(frets: Frets, capo: number): number {
  const pressed = frets.filter((fret): fret is number => fret !== null && fret > capo);
  return pressed.length === 0 ? capo : Math.min(...pressed);
}
