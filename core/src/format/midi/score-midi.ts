import { failure, type Result, success } from '../../fault.ts';
import { spelledIn } from '../../heard/line.ts';
import type { Key } from '../../key/key.ts';
import { printKey } from '../../key/key-text.ts';
import type { Note } from '../../pitch/note.ts';
import { keysByNotes } from '../../reduce/keys/local-keys.ts';
import { measureAt } from '../../score/place.ts';
import { inOrder, type Measure, type Score, type ScoreNote, TICKS } from '../../score/score.ts';
import { keyFor } from '../found-harmony.ts';
import type { LossList } from '../loss.ts';
import { signatureOfKey } from '../signature.ts';
import { type HeardNote, lastAt, type MidiSong } from './midi-events.ts';
import { type BarSpan, barSpans, chordNames, keyGiven, openMidi, soundingNotes } from './midi-read.ts';

const MOST_NOTES = 60_000;
const MOST_BARS = 5000;
const DRUMS = 9;

/** Reads every note of a MIDI file: times set to a grid, names given by the key, tracks that play together taken apart into lines. */
export function scoreOfMidi(bytes: Uint8Array, losses: LossList): Result<Score> {
  const opened = openMidi(bytes);
  if (!opened.ok) return opened;
  const midi = opened.value;
  const heard = midi.notes.filter(({ channel }) => channel !== DRUMS);
  if (heard.length < midi.notes.length) losses.add('drums');
  if (heard.length === 0) return failure({ code: 'format-empty', format: 'MIDI' }, 0, 0);
  if (heard.length > MOST_NOTES) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const spans = barSpans(
    midi,
    heard.reduce((last, { ticks, durationTicks }) => Math.max(last, ticks + durationTicks), 0),
  );
  if (spans.length === 0 || spans.length > MOST_BARS) return failure({ code: 'format-large', format: 'MIDI' }, 0, 0);
  const key = keyFor(keyGiven(midi), soundingNotes(heard, midi.ticksPerQuarter), losses);
  const scale = TICKS / midi.ticksPerQuarter;
  const measures = measuresOf(midi, spans, key, scale);
  const plain = inLines(onGrid(heard, scale, losses), partsOf(midi, heard));
  const score: Score = {
    title: midi.title,
    by: '',
    parts: partsOf(midi, heard).map(({ id, name }) => ({ id, name })),
    measures,
    notes: named(plain, () => key),
    names: chordNames(midi).map(({ ticks, chord }) => ({ at: Math.round(ticks * scale), chord })),
    tempo: midi.tempos[0]?.value ?? null,
  };
  losses.add('spelled', null, printKey(key, 'glyph'));
  // where the piece wanders, the notes have the names of the keys it wanders to
  const keys = keysByNotes(score);
  return success({ ...score, notes: named(plain, (time) => keys[measureAt(score, time)] ?? key) });
}

type PlainNote = Omit<ScoreNote, 'note'>;

function named(notes: readonly PlainNote[], keyAt: (time: number) => Key): readonly ScoreNote[] {
  const spellings = new Map<Key, readonly Note[]>();
  return inOrder(
    notes.map((note): ScoreNote => {
      const key = keyAt(note.from);
      const spelling = spellings.get(key) ?? spelledIn(key);
      spellings.set(key, spelling);
      return { ...note, note: spelling[note.midi % 12] as Note };
    }),
  );
}

function measuresOf(midi: MidiSong, spans: readonly BarSpan[], key: Key, scale: number): readonly Measure[] {
  const [first, second] = spans;
  const hasPickup =
    first !== undefined && second !== undefined && first.meter.unit === second.meter.unit && first.meter.beats < second.meter.beats;
  return spans.map(({ from, to, meter }, index) => {
    const signed = midi.keys.length > 1 ? lastAt(midi.keys, from) : undefined;
    const signature =
      signed === undefined
        ? signatureOfKey(key)
        : { fifths: signed.fifths, mode: signed.isMinor ? ('minor' as const) : ('major' as const) };
    return {
      number: hasPickup ? index : index + 1,
      from: Math.round(from * scale),
      to: Math.round(to * scale),
      meter: hasPickup && index === 0 ? second.meter : meter,
      ...signature,
    };
  });
}

/** A grid that times are set to: the lengths it has, as parts of a quarter, and what it is called. */
interface TimeGrid {
  readonly parts: readonly number[];
  readonly name: string;
}

const GRIDS: readonly TimeGrid[] = [
  { parts: [4], name: 'sixteenth' },
  { parts: [4, 3], name: 'sixteenth or triplet eighth' },
  { parts: [8, 6], name: '32nd or triplet sixteenth' },
];
/** So far, in quarters, may a note be from its place. */
const NEAR = 0.045;
const ENOUGH = 0.96;
const EXACT = 0.004;

interface TimedNote {
  readonly heard: HeardNote;
  readonly from: number;
  readonly to: number;
}

/** The coarsest grid that nearly all notes lie on; what was played a little early or late is set to it, and told. */
function onGrid(notes: readonly HeardNote[], scale: number, losses: LossList): readonly TimedNote[] {
  const quarters = (ticks: number) => (ticks * scale) / TICKS;
  const near = ({ parts }: TimeGrid, time: number) => Math.min(...parts.map((part) => Math.abs(Math.round(time * part) / part - time)));
  const fits = (grid: TimeGrid) => notes.filter(({ ticks }) => near(grid, quarters(ticks)) <= NEAR).length >= ENOUGH * notes.length;
  const grid = GRIDS.find(fits) ?? (GRIDS.at(-1) as TimeGrid);
  const snap = (time: number) => {
    const places = grid.parts.map((part) => Math.round(time * part) / part);
    return Math.round(TICKS * places.reduce((best, place) => (Math.abs(place - time) < Math.abs(best - time) ? place : best)));
  };
  const least = Math.round(TICKS / Math.max(...grid.parts));
  if (notes.some(({ ticks }) => near(grid, quarters(ticks)) > EXACT)) losses.add('quantized', null, grid.name);
  return notes.map((heard) => {
    const from = snap(quarters(heard.ticks));
    return { heard, from, to: Math.max(from + least, snap(quarters(heard.ticks + heard.durationTicks))) };
  });
}

interface MidiPart {
  readonly id: string;
  readonly name: string;
  readonly track: number;
  readonly channel: number;
}

/** A part for each track, and for each channel where one track plays several. */
function partsOf({ trackNames }: MidiSong, notes: readonly HeardNote[]): readonly MidiPart[] {
  const tracks = [...new Set(notes.map(({ track }) => track))].sort((a, b) => a - b);
  return tracks
    .flatMap((track, order) => {
      const channels = [...new Set(notes.filter((note) => note.track === track).map(({ channel }) => channel))].sort((a, b) => a - b);
      const name = trackNames[order] ?? '';
      return channels.map((channel, at) => ({ name: channels.length > 1 ? `${name} ${at + 1}`.trim() : name, track, channel }));
    })
    .map((part, index) => ({ ...part, id: `P${index + 1}` }));
}

/** A later note may begin this much before the one before it ends, and still be its line: a 16th. */
const OVERLAP = TICKS / 4;
const MOST_LINES = 8;
const MIDDLE_C = 60;

/** Notes with the line each belongs to: one that is free, and lies nearest. */
function inLines(notes: readonly TimedNote[], parts: readonly MidiPart[]): readonly PlainNote[] {
  return parts.flatMap(({ id, track, channel }) => {
    const own = notes
      .filter(({ heard }) => heard.track === track && heard.channel === channel)
      .sort((a, b) => a.from - b.from || b.heard.midi - a.heard.midi);
    const lines: { midi: number; from: number; to: number }[] = [];
    return own.map(({ heard: { midi }, from, to }): PlainNote => {
      let line = nearestFree(lines, midi, from);
      if (line < 0 && lines.length < MOST_LINES) line = lines.push({ midi, from, to }) - 1;
      if (line < 0) line = lines.length - 1;
      lines[line] = { midi, from, to };
      return { part: id, voice: String(line + 1), staff: midi < MIDDLE_C ? 2 : 1, from, to, midi };
    });
  });
}

const FARTHEST = 16;

function nearestFree(
  lines: readonly { readonly midi: number; readonly from: number; readonly to: number }[],
  midi: number,
  from: number,
): number {
  let best = -1;
  lines.forEach((line, index) => {
    const isFree = line.to <= from + OVERLAP && line.from < from && Math.abs(line.midi - midi) <= FARTHEST;
    if (isFree && (best < 0 || Math.abs(line.midi - midi) < Math.abs((lines[best] as { midi: number }).midi - midi))) best = index;
  });
  return best;
}
