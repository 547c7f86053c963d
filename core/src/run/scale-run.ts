import { mod } from '../fault.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { printScaleNumber } from '../interval/interval-text.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma, type Note } from '../pitch/note.ts';
import { placeRun } from './place-run.ts';
import { NO_RUN, type Run, type RunPitch } from './run.ts';
import { type Picking, withStrokes } from './strokes.ts';

/** How a scale lies: three notes on every string, within one position, or along a single string. */
export type ScaleLayout = 'three-a-string' | 'position' | 'one-string';

export interface ScaleRunWish {
  readonly layout: ScaleLayout;
  /** The first fret of the position, or where to start on the lowest string. */
  readonly position: number;
  /** The string of `one-string`, 1 the thinnest. */
  readonly string: number;
  /** The note to start from: the tonic for the key itself, a chord's root for its mode; null for the first note of the scale that the position has. */
  readonly from: Note | null;
  readonly picking: Picking;
  /** Whether it ends an octave above its first note. */
  readonly octave: boolean;
  /** Whether it comes back down. */
  readonly back: boolean;
}

const NOTES_A_BEAT = 2;
/** Four frets under four fingers and one stretch. */
const POSITION_FRETS = 5;
const NOTES_A_STRING = 3;
/** Three notes a string wander up by about so many frets. */
const ROOM = 8;

/** A scale as a run over the neck, up and, when wished, down again. Empty when the position has no room. */
export function scaleRun(key: Key, wish: ScaleRunWish, instrument: Instrument): Run {
  const laid = LAYOUTS[wish.layout](key, wish, instrument);
  const up = wish.octave ? toOctave(laid) : laid;
  if (up.pitches.length === 0) return NO_RUN;
  const there = (sequence: readonly RunPitch[]) => (wish.back ? [...sequence, ...sequence.slice(0, -1).reverse()] : sequence);
  const stringOf = up.strings === null ? undefined : wish.back ? [...up.strings, ...up.strings.slice(0, -1).reverse()] : up.strings;
  const pitches = there(up.pitches);
  const placed = placeRun(pitches, { strings: null, window: up.window, ...(stringOf === undefined ? {} : { stringOf }) }, instrument);
  return { notes: withStrokes(placed, wish.picking), chords: [], left: pitches.length - placed.length };
}

/** No further than the octave of the first note. */
function toOctave({ pitches, window, strings }: Laid): Laid {
  const last = pitches.findIndex(({ midi }) => midi === (pitches[0]?.midi ?? 0) + OCTAVE);
  if (last < 0) return { pitches, window, strings };
  return { pitches: pitches.slice(0, last + 1), window, strings: strings?.slice(0, last + 1) ?? null };
}

const OCTAVE = 12;

interface Laid {
  readonly pitches: readonly RunPitch[];
  readonly window: readonly [number, number] | null;
  readonly strings: readonly number[] | null;
}

const LAYOUTS: Readonly<Record<ScaleLayout, (key: Key, wish: ScaleRunWish, instrument: Instrument) => Laid>> = {
  'three-a-string': threeAString,
  position: inPosition,
  'one-string': alongString,
};

/** From the wished first note on the lowest string, where it lies nearest the position, or from the position's first, three scale notes on each string. */
function threeAString(key: Key, { position, from }: ScaleRunWish, { tuning, capo, frets }: Instrument): Laid {
  const scale = scaleClasses(key);
  const lowest = tuning[0] as number;
  let midi = lowest + Math.max(position, capo);
  if (from === null) while (!scale.has(midi % 12)) midi += 1;
  else {
    const first = lowest + capo + mod(chroma(from) - lowest - capo, OCTAVE);
    const second = first + OCTAVE;
    midi = second - midi < midi - first && second - lowest + ROOM <= frets ? second : first;
  }
  const pitches: RunPitch[] = [];
  const strings: number[] = [];
  tuning.forEach((open, index) => {
    for (let count = 0; count < NOTES_A_STRING; count += 1) {
      if (midi - open > frets || midi - open < capo) return;
      pitches.push(pitchOf(midi, scale, key));
      strings.push(tuning.length - index);
      midi += 1;
      while (!scale.has(midi % 12)) midi += 1;
    }
  });
  return { pitches, window: [capo, frets], strings };
}

/** From the lowest starting note the position holds up to its highest note. */
function inPosition(key: Key, { position, from }: ScaleRunWish, { tuning, capo, frets }: Instrument): Laid {
  const scale = scaleClasses(key);
  const low = Math.max(position, capo);
  const high = Math.min(low + POSITION_FRETS - 1, frets);
  const held = new Set(tuning.flatMap((open) => Array.from({ length: high - low + 1 }, (_, step) => open + low + step)));
  const inside = [...held].filter((midi) => scale.has(midi % 12)).sort((a, b) => a - b);
  const start = from === null ? 0 : inside.findIndex((midi) => midi % 12 === chroma(from));
  return { pitches: inside.slice(Math.max(0, start)).map((midi) => pitchOf(midi, scale, key)), window: [low, high], strings: null };
}

/** An octave from the lowest starting note of the string. */
function alongString(key: Key, { string, from }: ScaleRunWish, { tuning, capo, frets }: Instrument): Laid {
  const scale = scaleClasses(key);
  const open = tuning[tuning.length - string] as number;
  const first = capo + mod(chroma(from ?? key.tonic) - open - capo, 12);
  const pitches: RunPitch[] = [];
  for (let fret = first; fret <= Math.min(first + 12, frets); fret += 1) {
    if (scale.has((open + fret) % 12)) pitches.push(pitchOf(open + fret, scale, key));
  }
  return { pitches, window: [capo, frets], strings: pitches.map(() => string) };
}

function scaleClasses(key: Key): ReadonlyMap<number, Note> {
  return new Map(keyNotes(key).map((note) => [chroma(note), note]));
}

function pitchOf(midi: number, scale: ReadonlyMap<number, Note>, key: Key): RunPitch {
  const note = scale.get(midi % 12) as Note;
  return { midi, note, number: printScaleNumber(note - key.tonic), beats: 1 / NOTES_A_BEAT, chord: -1 };
}
