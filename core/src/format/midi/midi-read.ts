import type { Meter } from '../../chart/chart.ts';
import { pulseOf } from '../../chart/timeline.ts';
import type { Chord } from '../../chord/chord.ts';
import { parseChord } from '../../chord/chord-text.ts';
import { failure, type Result, success } from '../../fault.ts';
import type { SoundingNote } from '../../heard/heard.ts';
import type { Key } from '../../key/key.ts';
import { foundChords, type KeyGiven, keyFor } from '../found-harmony.ts';
import { chordsOfBar, type LeadSheet, type SheetBar } from '../lead-sheet.ts';
import type { LossList } from '../loss.ts';
import { type HeardNote, lastAt, type MidiSong, midiSong } from './midi-events.ts';

const MOST_BYTES = 8_000_000;
const MOST_NOTES = 400_000;
const MOST_BARS = 5000;
const DRUMS = 9;

/** Takes a Standard MIDI File apart, or says why it cannot be. */
export function openMidi(bytes: Uint8Array): Result<MidiSong> {
  if (bytes.length > MOST_BYTES) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  if (String.fromCharCode(...bytes.slice(0, 4)) !== 'MThd')
    return failure({ code: 'format-other', format: 'MIDI', found: printable(bytes.slice(0, 8)) }, 0, 0);
  try {
    return success(midiSong(bytes));
  } catch (thrown) {
    return failure({ code: 'format-broken', format: 'MIDI', detail: thrown instanceof Error ? thrown.message : 'it ends too early' }, 0, 0);
  }
}

/** Reads a Standard MIDI File: chord names where they stand as text, else chords found from what sounds, beat by beat. */
export function readMidi(bytes: Uint8Array, losses: LossList): Result<LeadSheet> {
  const opened = openMidi(bytes);
  if (!opened.ok) return opened;
  const midi = opened.value;
  const notes = midi.notes.filter(({ channel }) => channel !== DRUMS);
  const names = chordNames(midi);
  if (notes.length === 0 && names.length === 0) return failure({ code: 'format-empty', format: 'MIDI' }, 0, 0);
  if (notes.length > MOST_NOTES) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const end = notes.reduce((last, { ticks, durationTicks }) => Math.max(last, ticks + durationTicks), (names.at(-1)?.ticks ?? -1) + 1);
  const spans = barSpans(midi, end);
  if (spans.length === 0 || spans.length > MOST_BARS) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const home = { title: midi.title, by: '', feel: feelIn(midi), fields: [] };
  if (names.length > 0) {
    if (midi.trackNames.some((name) => !/^(chords|bass)$/i.test(name))) losses.add('notes');
    return success({ ...home, bars: barsOf(midi, spans, names, null) });
  }
  const sounding = soundingNotes(notes, midi.ticksPerQuarter);
  const key = keyFor(keyGiven(midi), sounding, losses);
  const heard = heardChords(sounding, spans, key, midi.ticksPerQuarter, losses);
  return success({ ...home, bars: barsOf(midi, spans, heard, midi.keys.length > 1 ? null : key) });
}

function printable(bytes: Uint8Array): string {
  return [...bytes].map((byte) => (byte >= 32 && byte < 127 ? String.fromCharCode(byte) : '·')).join('');
}

export interface NamedChord {
  readonly ticks: number;
  readonly chord: Chord | null;
}

const FEEL = /^feel:\s*(.*)$/i;

function feelIn({ texts }: MidiSong): string {
  return texts.map(({ value }) => FEEL.exec(value)?.[1]).find((feel) => feel !== undefined) ?? '';
}

/** Text events that are chord names; when most texts are none, they are taken for something else. */
export function chordNames(midi: MidiSong): readonly NamedChord[] {
  const texts = midi.texts.filter(({ value }) => !FEEL.test(value));
  const named = texts.flatMap(({ ticks, value: text }): readonly NamedChord[] => {
    if (/^n\.?c\.?$/i.test(text.trim())) return [{ ticks, chord: null }];
    const chord = parseChord(text.trim());
    return chord.ok ? [{ ticks, chord: chord.value }] : [];
  });
  return named.length * 2 > texts.length ? named : [];
}

/** A bar by its ticks. */
export interface BarSpan {
  readonly from: number;
  readonly to: number;
  readonly meter: Meter;
}

/** The bars up to a time, by the meters of the file. */
export function barSpans({ meters, ticksPerQuarter }: MidiSong, end: number): readonly BarSpan[] {
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

/** What the file says of its key: one signature without accidentals is what programs write of themselves. */
export function keyGiven(midi: MidiSong): KeyGiven {
  const first = midi.keys[0]?.value;
  if (first === undefined) return { kind: 'none' };
  if (midi.keys.length === 1 && first.fifths === 0 && !first.isMinor) return { kind: 'usual' };
  return { kind: 'named', key: keyAt(midi, 0) };
}

function keyAt({ keys }: MidiSong, ticks: number): Key {
  const signature = lastAt(keys, ticks);
  if (signature === undefined || Math.abs(signature.fifths) > MOST_FIFTHS) return { tonic: 0, scale: 'major' };
  const { fifths, isMinor } = signature;
  return isMinor ? { tonic: fifths + 3, scale: 'natural minor' } : { tonic: fifths, scale: 'major' };
}

const MOST_FIFTHS = 7;

/** What sounds, with its times in quarters. */
export function soundingNotes(notes: readonly HeardNote[], ticksPerQuarter: number): readonly SoundingNote[] {
  return notes.map(({ midi, channel, track, ticks, durationTicks }) => ({
    midi,
    from: ticks / ticksPerQuarter,
    to: (ticks + durationTicks) / ticksPerQuarter,
    voice: `${track} ${channel}`,
  }));
}

/** Chords found from the notes. */
function heardChords(
  notes: readonly SoundingNote[],
  spans: readonly BarSpan[],
  key: Key,
  ticksPerQuarter: number,
  losses: LossList,
): readonly NamedChord[] {
  const bars = spans.map(({ from, to, meter }) => ({ from: from / ticksPerQuarter, to: to / ticksPerQuarter, meter }));
  return foundChords(notes, bars, key, losses).map(({ at, chord }) => ({ ticks: Math.round(at * ticksPerQuarter), chord }));
}

/** The bars with their chords; in one key throughout where that was found. */
function barsOf(midi: MidiSong, spans: readonly BarSpan[], chords: readonly NamedChord[], key: Key | null): readonly SheetBar[] {
  const eighth = midi.ticksPerQuarter / 2;
  const markers = [...midi.markers];
  let before: Chord | null = null;
  let next = 0;
  return spans.map((span, index): SheetBar => {
    const { from, to, meter } = span;
    const following = spans[index + 1];
    const begin = next;
    // a chord pushed into the next bar is that bar's
    while (next < chords.length && (chords[next] as NamedChord).ticks < (isPushedInto(chords, next, following, eighth) ? to - eighth : to))
      next += 1;
    const beat = (midi.ticksPerQuarter * 4) / meter.unit;
    const entering = chords
      .slice(begin, next)
      .map(({ ticks, chord }) => ({ at: Math.max(0, ticks - from) / beat, chord, push: ticks < from }));
    const { chords: placed, goesOn } = chordsOfBar(entering, before, (to - from) / beat);
    before = goesOn;
    const pickup = index === 0 && following?.meter.unit === meter.unit && meter.beats < following.meter.beats ? meter.beats : null;
    const marker = markerIn(markers, to);
    return {
      section: marker ?? null,
      times: 1,
      newLine: marker !== undefined,
      meter: pickup === null || following === undefined ? meter : following.meter,
      key: key ?? keyAt(midi, from),
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
