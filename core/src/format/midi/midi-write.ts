import { type MidiData, type MidiEvent, writeMidi as writeMidiFile } from 'midi-file';
import { analyze } from '../../analysis/analyze.ts';
import { headValue } from '../../chart/head.ts';
import { type ChartReading, lettersFrom, soundingChords } from '../../chart/reading.ts';
import { type TimedBar, timelineOf } from '../../chart/timeline.ts';
import { printChord } from '../../chord/chord-text.ts';
import { type BandPart, type BandSound, bandBar, type Hit } from '../../groove/band-bar.ts';
import { grooveOf, hasDrums } from '../../groove/groove.ts';
import { walkingScales } from '../../groove/walking-scales.ts';
import type { Key } from '../../key/key.ts';
import type { Note } from '../../pitch/note.ts';
import { progressionOf } from '../../progression/progression.ts';
import { isMinorScale } from '../../scale/scale.ts';
import type { LossList } from '../loss.ts';

const PPQ = 480;
const CHORDS = { channel: 0, program: 25 };
const BASS = { channel: 1, program: 33 };
const DRUMS = 9;
const CLICK = { channel: DRUMS, bar: 76, beat: 77, velocity: 64 };
const CLICK_TICKS = 60;
/** How hard the loudest stroke of a part is struck. */
const VELOCITY: Readonly<Record<BandPart, number>> = { guitar: 100, bass: 115, drums: 100 };
const USUAL_TEMPO = 100;

/**
 * A chart as a band plays it in the groove its feel asks for, as a Standard MIDI File: a track of
 * chords, one of bass notes, one of clicks, or of drums where the groove has them; tempo, meter and
 * key where they change, sections as markers, chord names as text.
 */
export function writeMidi(reading: ChartReading, source: string, tonic: Note, losses: LossList): Uint8Array {
  const letters = lettersFrom(reading, tonic);
  const groove = grooveOf(reading.head.feel);
  const isDrummed = hasDrums(groove);
  const head: AtTick[] = [{ ticks: 0, event: meta('trackName', ascii(reading.head.title)) }];
  if (reading.head.feel !== '') head.push({ ticks: 0, event: meta('text', ascii(`feel: ${reading.head.feel}`)) });
  const tracks: Readonly<Record<BandPart, AtTick[]>> = {
    guitar: opened('Chords', CHORDS),
    bass: opened('Bass', BASS),
    drums: [{ ticks: 0, event: meta('trackName', isDrummed ? 'Drums' : 'Click') }],
  };
  const timeline = timelineOf(reading);
  const sound: Omit<BandSound, 'tempo'> = {
    groove,
    chordAt: soundingChords(reading, letters),
    scaleAt: groove === 'swing' ? walkingScales(analyze(progressionOf({ source, reading }))) : () => null,
    hasBass: true,
  };
  lossesOf(reading, losses);
  let at = 0;
  timeline.forEach((bar, order) => {
    const [before = null, next = null] = [timeline[order - 1], timeline[order + 1]];
    const tick = ticksPerBeat(bar);
    head.push(...headEvents(reading, bar, before, letters.keys[bar.stretch] as Key).map((event) => ({ ticks: at, event })));
    head.push(...namesIn(bar, sound.chordAt).map((name) => ({ ...name, ticks: Math.max(0, at + Math.round(name.ticks * tick)) })));
    if (!isDrummed) tracks.drums.push(...clicksOf(bar, at, tick));
    for (const hit of bandBar({ bar, before, next, order }, { ...sound, tempo: bar.tempo ?? USUAL_TEMPO }))
      tracks[hit.part].push(...struck(hit, at, tick));
    at += Math.round(bar.beats * tick);
  });
  return fileOf([head, tracks.guitar, tracks.bass, tracks.drums].map(closed));
}

/** The names of a bar's chords, at the beats where they enter. */
function namesIn({ bar, chords }: TimedBar, chordAt: BandSound['chordAt']): readonly AtTick[] {
  return chords.map(({ at, place }) => {
    const chord = chordAt(bar, place);
    return { ticks: at, event: meta('text', chord === null ? 'N.C.' : printChord(chord)) };
  });
}

const CHANNELS: Readonly<Record<BandPart, number>> = { guitar: CHORDS.channel, bass: BASS.channel, drums: DRUMS };

/** A stroke as notes, at a bar's tick. */
function struck({ part, at, beats, midi, level }: Hit, bar: number, tick: number): readonly AtTick[] {
  const from = bar + Math.round(at * tick);
  const length = Math.max(1, Math.round((at + beats) * tick) - Math.round(at * tick));
  const velocity = Math.max(1, Math.round(level * VELOCITY[part]));
  return midi.flatMap((pitch) => note({ channel: CHANNELS[part], velocity }, pitch, from, length));
}

const MThd = [0x4d, 0x54, 0x68, 0x64];
const MTrk = [0x4d, 0x54, 0x72, 0x6b];
/** The writer slows down with every byte it has written; so many events at a time go quickly. */
const EVENTS_A_TIME = 128;
/** Bytes of a file before the first track's events. */
const FILE_HEAD = 22;

/** A file of several tracks. */
function fileOf(tracks: readonly MidiEvent[][]): Uint8Array {
  const parts: number[][] = [[...MThd, ...bigEndian(6, 4), ...bigEndian(1, 2), ...bigEndian(tracks.length, 2), ...bigEndian(PPQ, 2)]];
  for (const track of tracks) {
    const pieces: number[][] = [];
    for (let from = 0; from < track.length; from += EVENTS_A_TIME) {
      const piece: MidiData = { header: { format: 0, numTracks: 1, ticksPerBeat: PPQ }, tracks: [track.slice(from, from + EVENTS_A_TIME)] };
      pieces.push(writeMidiFile(piece).slice(FILE_HEAD));
    }
    const length = pieces.reduce((sum, piece) => sum + piece.length, 0);
    parts.push([...MTrk, ...bigEndian(length, 4)], ...pieces);
  }
  return Uint8Array.from(parts.flat());
}

function bigEndian(value: number, bytes: number): readonly number[] {
  return Array.from({ length: bytes }, (_, at) => (value >>> (8 * (bytes - 1 - at))) & 0xff);
}

/** An event with the time it stands at, from the beginning. */
interface AtTick {
  readonly ticks: number;
  readonly event: Event;
}

type Event = MidiEvent extends infer One ? (One extends MidiEvent ? Omit<One, 'deltaTime'> : never) : never;

interface Voice {
  readonly channel: number;
  readonly velocity: number;
}

function meta(type: 'trackName' | 'text' | 'marker', text: string): Event {
  return { type, meta: true, text };
}

function opened(name: string, { channel, program }: { readonly channel: number; readonly program: number }): AtTick[] {
  return [
    { ticks: 0, event: meta('trackName', name) },
    { ticks: 0, event: { type: 'programChange', channel, programNumber: program } },
  ];
}

function note({ channel, velocity }: Voice, noteNumber: number, ticks: number, length: number): readonly AtTick[] {
  return [
    { ticks, event: { type: 'noteOn', channel, noteNumber, velocity } },
    { ticks: ticks + length, event: { type: 'noteOff', channel, noteNumber, velocity: 0 } },
  ];
}

function clicksOf({ beats }: TimedBar, at: number, tick: number): readonly AtTick[] {
  return Array.from({ length: Math.ceil(beats) }, (_, beat) =>
    note(CLICK, beat === 0 ? CLICK.bar : CLICK.beat, at + Math.round(beat * tick), Math.min(CLICK_TICKS, tick)),
  ).flat();
}

/** Events in the order of time, notes that end before those that begin, each as far behind the one before. */
function closed(events: readonly AtTick[]): MidiEvent[] {
  const ordered = [...events].sort((a, b) => a.ticks - b.ticks || rank(a) - rank(b));
  const timed = ordered.map(({ ticks, event }, index) => ({ ...event, deltaTime: ticks - (ordered[index - 1]?.ticks ?? 0) }) as MidiEvent);
  return [...timed, { type: 'endOfTrack', meta: true, deltaTime: 0 }];
}

function rank({ event: { type } }: AtTick): number {
  return type === 'noteOff' ? 0 : type === 'noteOn' ? 2 : 1;
}

function ticksPerBeat({ meter }: TimedBar): number {
  return (PPQ * 4) / meter.unit;
}

/** What is new with a bar: meter, tempo, key, section. */
function headEvents(reading: ChartReading, bar: TimedBar, before: TimedBar | null, key: Key): readonly Event[] {
  const { beats, meter, pulse } = bar;
  const events: Event[] = [];
  // a pickup is a short bar of its own
  if (before === null || before.beats !== beats || before.meter.unit !== meter.unit)
    events.push({ type: 'timeSignature', meta: true, ...wholeMeter(beats, meter.unit), metronome: 24, thirtyseconds: 8 });
  const tempo = bar.tempo ?? USUAL_TEMPO;
  if (before === null || tempo !== (before.tempo ?? USUAL_TEMPO)) {
    const quarters = (tempo * pulse * 4) / meter.unit;
    events.push({ type: 'setTempo', meta: true, microsecondsPerBeat: Math.round(60_000_000 / quarters) });
  }
  if (before === null || before.stretch !== bar.stretch) events.push({ type: 'keySignature', meta: true, ...keySignature(key) });
  const section = before?.part === bar.part ? null : reading.performance.parts[bar.part]?.section;
  const name = reading.sections[section ?? -1]?.name;
  if (name !== undefined) events.push(meta('marker', ascii(name)));
  return events;
}

/** A bar of half beats is counted in notes half as long. */
function wholeMeter(beats: number, unit: number): { readonly numerator: number; readonly denominator: number } {
  return beats % 1 === 0 ? { numerator: beats, denominator: unit } : { numerator: beats * 2, denominator: unit * 2 };
}

/** A key as MIDI has it: its sharps, or flats below 0, and whether it is minor. */
function keySignature({ tonic, scale }: Key): { readonly key: number; readonly scale: 0 | 1 } {
  const minor = isMinorScale(scale);
  const fifths = tonic - (minor ? 3 : 0);
  return { key: fifths > 7 ? fifths - 12 : fifths < -7 ? fifths + 12 : fifths, scale: minor ? 1 : 0 };
}

/** MIDI text is read as plain letters by most programs. */
function ascii(text: string): string {
  return text
    .replace(/♭/g, 'b')
    .replace(/♯/g, '#')
    .replace(/’/g, "'")
    .normalize('NFKD')
    .replace(/[^\u0020-\u007e]/g, '');
}

function lossesOf({ head, bars, chart, sections, stretches, performance }: ChartReading, losses: LossList): void {
  bars.forEach(({ chords, remarks }, index) => {
    if (chords.some(({ ring }) => ring)) losses.add('ring', index + 1);
    if (chords.some(({ optional }) => optional)) losses.add('optional', index + 1);
    if (remarks.length > 0) losses.add('remark');
  });
  const modal = stretches.find(({ key }) => !['major', 'natural minor'].includes(key.scale))?.key.scale;
  if (modal !== undefined) losses.add('mode', null, isMinorScale(modal) ? 'minor' : 'major');
  if (performance.count !== bars.length || sections.some(({ times }) => times > 1))
    losses.add('form-written-out', null, 'repeats and jumps');
  headLosses(chart, losses);
  if (head.numbering === 'relative') losses.add('numbering');
}

function headLosses({ head, body }: ChartReading['chart'], losses: LossList): void {
  if (body.some(({ kind }) => kind === 'words')) losses.add('lyrics');
  for (const name of ['by', 'note', 'range']) if (headValue(head, name) !== undefined) losses.add('head', null, name);
}
