import type { Meter } from '../chart/chart.ts';
import { pulseOf } from '../chart/timeline.ts';
import type { Chord } from '../chord/chord.ts';
import { parseChord, printChord } from '../chord/chord-text.ts';
import { COMMON_COST, identify } from '../chord/identify.ts';
import { failure, type Result, success } from '../fault.ts';
import type { Key } from '../key/key.ts';
import { keyNotes } from '../key/key.ts';
import { chroma, type Note, simplest } from '../pitch/note.ts';
import type { LossList } from './loss.ts';
import { type HeardNote, lastAt, type MidiSong, midiSong } from './midi-events.ts';
import type { Score, ScoreBar, ScoreChord } from './score.ts';

const MOST_BYTES = 8_000_000;
const MOST_NOTES = 400_000;
const MOST_BARS = 5000;
const DRUMS = 9;

/** Reads a Standard MIDI File: chord names where they stand as text, else chords found from what sounds, beat by beat. */
export function readMidi(bytes: Uint8Array, losses: LossList): Result<Score> {
  if (bytes.length > MOST_BYTES) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  if (String.fromCharCode(...bytes.slice(0, 4)) !== 'MThd')
    return failure({ code: 'format-other', format: 'MIDI', found: printable(bytes.slice(0, 8)) }, 0, 0);
  let midi: MidiSong;
  try {
    midi = midiSong(bytes);
  } catch (thrown) {
    return failure({ code: 'format-broken', format: 'MIDI', detail: thrown instanceof Error ? thrown.message : 'it ends too early' }, 0, 0);
  }
  const notes = midi.notes.filter(({ channel }) => channel !== DRUMS);
  const names = chordNames(midi);
  if (notes.length === 0 && names.length === 0) return failure({ code: 'format-empty', format: 'MIDI' }, 0, 0);
  if (notes.length > MOST_NOTES) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const end = notes.reduce((last, { ticks, durationTicks }) => Math.max(last, ticks + durationTicks), (names.at(-1)?.ticks ?? -1) + 1);
  const spans = barSpans(midi, end);
  if (spans.length === 0 || spans.length > MOST_BARS) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const named = names.length >= 1;
  if (!named) losses.add('chords-guessed');
  else if (midi.trackNames.some((name) => !/^(chords|bass)$/i.test(name))) losses.add('notes');
  const heard = named ? names : heardChords(notes, spans, keyAt(midi, 0));
  return success({ title: midi.title, by: '', feel: '', fields: [], bars: barsOf(midi, spans, heard) });
}

function printable(bytes: Uint8Array): string {
  return [...bytes].map((byte) => (byte >= 32 && byte < 127 ? String.fromCharCode(byte) : '·')).join('');
}

interface NamedChord {
  readonly ticks: number;
  readonly chord: Chord | null;
}

/** Text events that are chord names; when most texts are none, they are taken for something else. */
function chordNames({ texts }: MidiSong): readonly NamedChord[] {
  const named = texts.flatMap(({ ticks, value: text }): readonly NamedChord[] => {
    if (/^n\.?c\.?$/i.test(text.trim())) return [{ ticks, chord: null }];
    const chord = parseChord(text.trim());
    return chord.ok ? [{ ticks, chord: chord.value }] : [];
  });
  return named.length * 2 > texts.length ? named : [];
}

/** A bar by its ticks. */
interface BarSpan {
  readonly from: number;
  readonly to: number;
  readonly meter: Meter;
}

function barSpans({ meters, ticksPerQuarter }: MidiSong, end: number): readonly BarSpan[] {
  const spans: BarSpan[] = [];
  let from = 0;
  while (from < end && spans.length <= MOST_BARS) {
    const meter = lastAt(meters, from) ?? { beats: 4, unit: 4 };
    const to = from + Math.max(1, Math.round((ticksPerQuarter * 4 * meter.beats) / meter.unit));
    spans.push({ from, to, meter });
    from = to;
  }
  return spans;
}

function keyAt({ keys }: MidiSong, ticks: number): Key {
  const signature = lastAt(keys, ticks);
  if (signature === undefined || Math.abs(signature.fifths) > MOST_FIFTHS) return { tonic: 0, scale: 'major' };
  const { fifths, isMinor } = signature;
  return isMinor ? { tonic: fifths + 3, scale: 'natural minor' } : { tonic: fifths, scale: 'major' };
}

const MOST_FIFTHS = 7;

/** What sounds on each beat named as a chord; a beat with too little to tell goes on with the chord before. */
function heardChords(notes: readonly HeardNote[], spans: readonly BarSpan[], key: Key): readonly NamedChord[] {
  const spelled = spellings(key);
  const heard: NamedChord[] = [];
  let sounding: HeardNote[] = [];
  let next = 0;
  for (const { from, to, meter } of spans) {
    // only what reaches into the bar is looked at
    sounding = sounding.filter(({ ticks, durationTicks }) => ticks + durationTicks > from);
    while (next < notes.length && (notes[next] as HeardNote).ticks < to) {
      sounding.push(notes[next] as HeardNote);
      next += 1;
    }
    const whole = chordBetween(sounding, from, to, spelled, key);
    if (whole !== null) {
      heard.push({ ticks: from, chord: whole });
      continue;
    }
    const beat = (to - from) / meter.beats;
    for (let at = from; at < to - 1; at += beat) {
      const chord = chordBetween(sounding, at, at + beat, spelled, key);
      if (chord !== null && !isSame(heard.at(-1)?.chord ?? null, chord)) heard.push({ ticks: Math.round(at), chord });
    }
  }
  return heard;
}

function isSame(a: Chord | null, b: Chord): boolean {
  return a !== null && printChord(a) === printChord(b);
}

const FEWEST_TONES = 3;
/** The share of a stretch for which a note sounds that belongs to its chord. */
const HELD = 0.6;

/** The chord of everything that sounds for most of a stretch; null when it is no common chord. */
function chordBetween(notes: readonly HeardNote[], from: number, to: number, spelled: readonly Note[], key: Key): Chord | null {
  const shares = new Map<number, number>();
  for (const { midi, ticks, durationTicks } of notes) {
    const share = Math.min(to, ticks + durationTicks) - Math.max(from, ticks);
    if (share > 0) shares.set(midi, (shares.get(midi) ?? 0) + share);
  }
  const held = [...shares].filter(([, share]) => share >= HELD * (to - from)).map(([midi]) => midi);
  const tones = held.sort((a, b) => a - b).map((midi) => spelled[midi % 12] as Note);
  if (new Set(tones).size < FEWEST_TONES) return null;
  const best = identify(tones, key)[0];
  return best === undefined || best.cost > COMMON_COST ? null : best.chord;
}

/** A name for each of the twelve pitches: the key's own where it has one. */
function spellings(key: Key): readonly Note[] {
  const own = keyNotes(key);
  return Array.from({ length: 12 }, (_, pitch) => own.find((note) => chroma(note) === pitch) ?? near(pitch, key.tonic));
}

/** The name of a pitch that lies nearest to the key on the line of fifths. */
function near(pitch: number, tonic: Note): Note {
  const note = simplest((pitch * 7) % 12);
  return [note - 12, note, note + 12].reduce((best, other) =>
    Math.abs(other - tonic - 1.5) < Math.abs(best - tonic - 1.5) ? other : best,
  );
}

function barsOf(midi: MidiSong, spans: readonly BarSpan[], chords: readonly NamedChord[]): readonly ScoreBar[] {
  const eighth = midi.ticksPerQuarter / 2;
  const markers = [...midi.markers];
  let before: Chord | null = null;
  let next = 0;
  return spans.map((span, index): ScoreBar => {
    const { from, to, meter } = span;
    const following = spans[index + 1];
    const begin = next;
    // a chord pushed into the next bar is that bar's
    while (next < chords.length && (chords[next] as NamedChord).ticks < (isPushedInto(chords, next, following, eighth) ? to - eighth : to))
      next += 1;
    const placed = placedChords(chords.slice(begin, next), before, span, (midi.ticksPerQuarter * 4) / meter.unit);
    before = placed.at(-1)?.chord ?? null;
    const pickup = index === 0 && following?.meter.unit === meter.unit && meter.beats < following.meter.beats ? meter.beats : null;
    const marker = markerIn(markers, to);
    return {
      section: marker ?? null,
      times: 1,
      newLine: marker !== undefined,
      meter: pickup === null || following === undefined ? meter : following.meter,
      key: keyAt(midi, from),
      tempo: tempoAt(midi, from, meter),
      pickup,
      chords: placed,
      remarks: [],
      words: [],
      form: { opensRepeat: false, closesRepeat: null, ending: null, signs: [], after: [] },
    };
  });
}

/** The first marker before a bar ends; those that are passed are taken off the row. */
function markerIn(markers: MidiSong['markers'][number][], to: number): string | undefined {
  let first: string | undefined;
  while (markers[0] !== undefined && markers[0].ticks < to) {
    const { value } = markers.shift() as MidiSong['markers'][number];
    first ??= value;
  }
  return first;
}

/** Chords of a bar with their lengths; until the first one the chord before goes on. */
function placedChords(named: readonly NamedChord[], before: Chord | null, { from, to }: BarSpan, beat: number): readonly ScoreChord[] {
  const inside = named.map(({ ticks, chord }) => ({ at: Math.max(from, ticks), chord, push: ticks < from }));
  const all = (inside[0]?.at ?? to) > from ? [{ at: from, chord: before, push: false }, ...inside] : inside;
  return all.map(({ at, chord, push }, place) => ({
    chord,
    beats: ((all[place + 1]?.at ?? to) - at) / beat,
    push,
    ring: false,
    stop: false,
    optional: false,
  }));
}

/** Whether a chord stands an eighth before the next bar, which names no other on its first beat. */
function isPushedInto(chords: readonly NamedChord[], at: number, bar: BarSpan | undefined, eighth: number): boolean {
  const chord = chords[at] as NamedChord;
  if (bar === undefined || chord.ticks !== bar.from - eighth) return false;
  return (chords[at + 1]?.ticks ?? Number.POSITIVE_INFINITY) > bar.from;
}

function tempoAt({ tempos }: MidiSong, ticks: number, meter: Meter): number | null {
  const quarters = lastAt(tempos, ticks);
  if (quarters === undefined) return null;
  return Math.round(((quarters * meter.unit) / 4 / pulseOf(meter)) * 100) / 100;
}
