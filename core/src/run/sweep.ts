import type { Chord } from '../chord/chord.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { tonesOf } from '../voicing/voicing.ts';
import { type Fingered, placeRun } from './place-run.ts';
import { NO_RUN, type Run, type RunPitch, type Stroke } from './run.ts';
import { strokesAs } from './strokes.ts';

/** Three strings from the thickest to the thinnest, for the first and for the second shape. */
export interface SweepWish {
  readonly first: readonly number[];
  readonly second: readonly number[];
  /** The first shape starts at this fret or above. */
  readonly position: number;
}

const SIXTH_OF_TWO_BEATS = 1 / 3;
/** Down over the strings, hammer on the last, pull back, and up again. */
const STROKES: readonly (Stroke | null)[] = ['down', 'down', 'down', null, null, 'up'];

/**
 * A sweep through two shapes of a chord in triplets: one pick stroke falls down over three strings,
 * the thinnest is hammered on and pulled off, one stroke goes up; then the hand shifts to the next
 * shape and does the same. The second shape starts on the next chord tone above the first's.
 */
export function sweepRun(chord: Chord, wish: SweepWish, instrument: Instrument): Run {
  const tones = pitchesUp(chord, instrument);
  const lowest =
    (instrument.tuning[instrument.tuning.length - (wish.first[0] as number)] as number) + Math.max(wish.position, instrument.capo);
  const from = tones.findIndex(({ midi }) => midi >= lowest);
  const first = from < 0 ? null : shapeFromOn(tones, from, wish.first, instrument);
  const next = first === null ? null : shapeFromOn(tones, first.start + 1, wish.second, instrument);
  if (first === null || next === null) return NO_RUN;
  const notes = [...first.notes, ...next.notes];
  const placed = notes.map((note, index) => ({ ...note, shift: index === first.notes.length }));
  return { notes: strokesAs(placed, [...STROKES, ...STROKES]), chords: [chord], left: 0 };
}

type Tone = Omit<RunPitch, 'beats' | 'chord'>;

interface SweepShape {
  readonly start: number;
  readonly notes: readonly Fingered[];
}

/** The lowest shape that starts at the given chord tone or above. */
function shapeFromOn(tones: readonly Tone[], from: number, strings: readonly number[], instrument: Instrument): SweepShape | null {
  for (let start = from; start < tones.length; start += 1) {
    const notes = shapeFrom(tones, start, strings, instrument);
    if (notes !== null) return { start, notes };
  }
  return null;
}

/** Three neighbouring chord tones a string each, a fourth hammered on the last string, then back. */
function shapeFrom(tones: readonly Tone[], start: number, strings: readonly number[], instrument: Instrument): readonly Fingered[] | null {
  const [a, b, c, top] = tones.slice(start, start + 4);
  const [low = 0, middle = 0, high = 0] = strings;
  if (a === undefined || b === undefined || c === undefined || top === undefined) return null;
  const pitches = [a, b, c, top, c, b].map((tone) => ({ ...tone, beats: SIXTH_OF_TWO_BEATS, chord: 0 }));
  const stringOf = [low, middle, high, high, high, middle];
  const window = [instrument.capo, instrument.frets] as const;
  const placed = placeRun(pitches, { strings: null, window, stringOf }, instrument);
  const frets = placed.map(({ fret }) => fret);
  const fits =
    placed.length === pitches.length && Math.max(...frets) - Math.min(...frets) <= MOST_STRETCH && !frets.includes(instrument.capo);
  return fits ? placed : null;
}

/** A sweep shape with its hammered note covers this many frets at most. */
const MOST_STRETCH = 5;

/** Every tone of the chord the instrument has, from the lowest up. */
function pitchesUp(chord: Chord, { tuning, capo, frets }: Instrument): readonly Tone[] {
  const tones = tonesOf({ ...chord, bass: null });
  const found: Tone[] = [];
  for (let midi = Math.min(...tuning) + capo; midi <= Math.max(...tuning) + frets; midi += 1) {
    const tone = tones.find((named) => named.chroma === midi % 12);
    if (tone !== undefined) found.push({ midi, note: tone.note, number: tone.formula });
  }
  return found;
}
