import type { Chord } from '../chord/chord.ts';
import { formulaTones } from '../chord/formula.ts';
import { mod } from '../fault.ts';
import type { Instrument } from '../fretboard/instrument.ts';
import { intervalSemitones } from '../interval/interval.ts';
import { type Key, keyNotes } from '../key/key.ts';
import { chroma } from '../pitch/note.ts';
import { fillBars } from './fill-bars.ts';
import { type Fingered, placeRun, type RunPlace } from './place-run.ts';
import type { Run, RunPitch } from './run.ts';
import { type Picking, withStrokes } from './strokes.ts';

export interface ArpeggioWish {
  /** Where it lies: within five frets of a position, or on a set of strings along the neck. */
  readonly place:
    | { readonly kind: 'position'; readonly position: number }
    | { readonly kind: 'strings'; readonly strings: readonly number[] };
  /** The root again on top, as bass players end it. */
  readonly octave: boolean;
  /** After each arpeggio the scale from its top down, four notes. */
  readonly fragment: Key | null;
  /** Up one chord and down the next; otherwise always up. */
  readonly turning: boolean;
  /** Each chord up and down again, where they do not turn. */
  readonly back: boolean;
  readonly picking: Picking;
}

const POSITION_FRETS = 5;
const NOTE_BEATS = 0.5;
const OCTAVE = 12;
const FRAGMENT_NOTES = 4;

/** The chords one after another, note by note, each filling a bar or half a bar of eighths. */
export function arpeggioRun(chords: readonly Chord[], wish: ArpeggioWish, instrument: Instrument): Run {
  const notes: Fingered[] = [];
  let before: number | null = null;
  let left = 0;
  chords.forEach((chord, index) => {
    const down = wish.turning && index % 2 === 1;
    const root = rootFor(chord, wish, instrument, before);
    before = root;
    const pitches = pitchesOf(chord, root, down, { wish, index }).map((pitch) => ({ ...pitch, beats: NOTE_BEATS }));
    const single = onePerString(pitches, wish, instrument);
    const placed = single ?? roomiest(WIDER.map((wider) => placeRun(pitches, placeFor(wish, instrument, wider), instrument)));
    left += pitches.length - placed.length;
    notes.push(...placed.map((note, place) => (place === 0 && index > 0 ? { ...note, shift: shifts(notes.at(-1), note) } : note)));
  });
  return { notes: withStrokes(fillBars(notes), wish.picking), chords, left };
}

/** As many notes as strings are named: one on each. Null where that is not so, or the neck has no room. */
function onePerString(pitches: readonly RunPitch[], { place }: ArpeggioWish, instrument: Instrument): readonly Fingered[] | null {
  if (place.kind !== 'strings') return null;
  const heights = [...new Set(pitches.map(({ midi }) => midi))].sort((a, b) => a - b);
  if (heights.length !== place.strings.length) return null;
  const stringOf = pitches.map(({ midi }) => place.strings[heights.indexOf(midi)] as number);
  for (const octave of [0, OCTAVE, -OCTAVE]) {
    const moved = pitches.map((pitch) => ({ ...pitch, midi: pitch.midi + octave }));
    const placed = placeRun(moved, { strings: null, window: [instrument.capo, instrument.comfortFret], stringOf }, instrument);
    if (placed.length === pitches.length) return placed;
  }
  return null;
}

/** By how many frets a position may be left at either end when an arpeggio does not fit it. */
const WIDER = [0, 2, 4];

function placeFor({ place }: ArpeggioWish, { capo, frets }: Instrument, wider: number): RunPlace {
  if (place.kind === 'strings') return { strings: place.strings, window: [capo, frets] };
  const low = Math.max(place.position, capo);
  return { strings: null, window: [Math.max(capo, low - wider), Math.min(low + POSITION_FRETS - 1 + wider, frets)] };
}

/** The first that places the most notes. */
function roomiest(tries: readonly (readonly Fingered[])[]): readonly Fingered[] {
  return tries.reduce((best, notes) => (notes.length > best.length ? notes : best));
}

/**
 * Where the arpeggio starts: in a position, the lowest root it holds that leaves room for the rest;
 * on a string set, the next root above the one before, an octave lower where the neck runs out.
 */
function rootFor(chord: Chord, wish: ArpeggioWish, instrument: Instrument, before: number | null): number {
  const { tuning, capo, comfortFret } = instrument;
  const span = spanOf(chord, wish);
  const { place } = wish;
  const used = place.kind === 'strings' ? place.strings.map((string) => tuning[tuning.length - string] as number) : tuning;
  const [low, high] =
    place.kind === 'strings' ? [capo, comfortFret] : [Math.max(place.position, capo), Math.max(place.position, capo) + POSITION_FRETS - 1];
  const lowest = Math.min(...used) + low;
  const highest = Math.max(...used) + high - span;
  const first = lowest + mod(chroma(chord.root) - lowest, OCTAVE);
  if (place.kind === 'position' || before === null) return first;
  const next = before + 1 + mod(chroma(chord.root) - before - 1, OCTAVE);
  return next <= highest ? next : first;
}

function spanOf(chord: Chord, { octave }: ArpeggioWish): number {
  return octave ? OCTAVE : Math.max(...upward(chord));
}

/** The chord's tones in half steps above its root, each above the one before. */
function upward(chord: Chord): readonly number[] {
  let last = -1;
  return formulaTones(chord.formula).map(({ interval, number }) => {
    let semitones = intervalSemitones(interval) + (number > 7 ? OCTAVE : 0);
    while (semitones <= last) semitones += OCTAVE;
    last = semitones;
    return semitones;
  });
}

interface Part {
  readonly wish: ArpeggioWish;
  readonly index: number;
}

function pitchesOf(chord: Chord, root: number, down: boolean, { wish, index }: Part): readonly Omit<RunPitch, 'beats'>[] {
  const heights = upward(chord);
  const tones = formulaTones(chord.formula).map(({ name, interval }, place) => ({
    midi: root + (heights[place] as number),
    note: chord.root + interval,
    number: name as string,
    chord: index,
  }));
  const top = wish.octave ? [{ midi: root + OCTAVE, note: chord.root, number: '1', chord: index }] : [];
  const whole = [...tones, ...top];
  const again = wish.back && !wish.turning ? whole.slice(0, -1).reverse() : [];
  const played = down ? [...whole].reverse() : [...whole, ...again];
  return wish.fragment === null
    ? played
    : [...played, ...fragment(wish.fragment, played.at(-1) as { midi: number }, { down, index, chord })];
}

/** Four notes of the scale that lead on from the last note: down after going up, up after going down. */
function fragment(
  key: Key,
  { midi }: { readonly midi: number },
  { down, index, chord }: { readonly down: boolean; readonly index: number; readonly chord: Chord },
): readonly Omit<RunPitch, 'beats'>[] {
  const scale = new Map(keyNotes(key).map((note) => [chroma(note), note]));
  const found: Omit<RunPitch, 'beats'>[] = [];
  for (let step = 1; found.length < FRAGMENT_NOTES && step <= OCTAVE; step += 1) {
    const at = midi + (down ? step : -step);
    const note = scale.get(mod(at, OCTAVE));
    if (note !== undefined) found.push({ midi: at, note, number: numberOver(chord, note), chord: index });
  }
  return found;
}

/** A scale note against the chord's root: its tone's name, or its plain number. */
function numberOver(chord: Chord, note: number): string {
  const tone = formulaTones(chord.formula).find(({ interval }) => mod(chord.root + interval - note, OCTAVE) === 0);
  return tone?.name ?? String(mod(note * 4 - chord.root * 4, 7) + 1);
}

function shifts(before: Fingered | undefined, note: Fingered): boolean {
  if (before === undefined || before.finger === 0 || note.finger === 0) return false;
  return before.fret - before.finger !== note.fret - note.finger;
}
