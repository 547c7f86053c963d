import { type MidiEvent, type MidiNoteOffEvent, type MidiNoteOnEvent, parseMidi } from 'midi-file';
import { lettersOf } from '../letters.ts';

type MidiNoteEvent = MidiNoteOnEvent | MidiNoteOffEvent;

/** A note as it sounds, in ticks from the beginning. */
export interface HeardNote {
  readonly midi: number;
  readonly channel: number;
  readonly track: number;
  readonly ticks: number;
  readonly durationTicks: number;
}

/** Something that stands at a time. */
export interface At<Value> {
  readonly ticks: number;
  readonly value: Value;
}

/** A MIDI file as one row of each kind of event, in the order of time. */
export interface MidiSong {
  readonly ticksPerQuarter: number;
  readonly title: string;
  readonly notes: readonly HeardNote[];
  /** Names of the tracks that hold notes, other than drums. */
  readonly trackNames: readonly string[];
  readonly texts: readonly At<string>[];
  readonly markers: readonly At<string>[];
  /** Quarters a minute. */
  readonly tempos: readonly At<number>[];
  readonly meters: readonly At<{ readonly beats: number; readonly unit: number }>[];
  /** Sharps, or flats below 0. */
  readonly keys: readonly At<{ readonly fifths: number; readonly isMinor: boolean }>[];
}

const USUAL_TICKS = 480;
const MICROSECONDS_A_MINUTE = 60_000_000;
const DRUMS = 9;

/**
 * The events of a MIDI file, tracks merged. Notes that are never ended last until their track does.
 * @throws when the file is damaged.
 */
export function midiSong(bytes: Uint8Array): MidiSong {
  checkChunks(bytes);
  const { header, tracks } = parseMidi(bytes);
  const song = new Gathering();
  for (const [index, events] of tracks.entries()) song.track(events, index);
  return song.end(header.ticksPerBeat ?? USUAL_TICKS);
}

const HEAD_BYTES = 6;
const CHUNK_HEAD = 8;
/** Where the number of tracks stands. */
const TRACK_COUNT = 10;

/** Whether the tracks are all there; what stands behind them does not matter. */
function checkChunks(bytes: Uint8Array): void {
  const view = new DataView(bytes.buffer, bytes.byteOffset, bytes.byteLength);
  if (bytes.length < CHUNK_HEAD + HEAD_BYTES || view.getUint32(4) !== HEAD_BYTES) throw new Error('its head is damaged');
  let at = CHUNK_HEAD + HEAD_BYTES;
  for (let left = view.getUint16(TRACK_COUNT); left > 0; left -= 1) {
    const end = at + CHUNK_HEAD <= bytes.length ? at + CHUNK_HEAD + view.getUint32(at + 4) : Number.POSITIVE_INFINITY;
    if (end > bytes.length) throw new Error('it ends too early');
    at = end;
  }
}

/** The last of the events, in the order of time, that stands at or before a time. */
export function lastAt<Value>(events: readonly At<Value>[], ticks: number): Value | undefined {
  let [low, high] = [0, events.length];
  while (low < high) {
    const middle = (low + high) >> 1;
    if ((events[middle] as At<Value>).ticks <= ticks) low = middle + 1;
    else high = middle;
  }
  return events[low - 1]?.value;
}

class Gathering {
  readonly #notes: HeardNote[] = [];
  readonly #trackNames: string[] = [];
  readonly #texts: At<string>[] = [];
  readonly #markers: At<string>[] = [];
  readonly #tempos: At<number>[] = [];
  readonly #meters: At<{ beats: number; unit: number }>[] = [];
  readonly #keys: At<{ fifths: number; isMinor: boolean }>[] = [];
  #title = '';

  track(events: readonly MidiEvent[], index: number): void {
    /** Notes that sound, by channel and pitch: those struck first end first. */
    const open = new Map<number, number[]>();
    const before = this.#notes.length;
    let ticks = 0;
    let name = '';
    for (const event of events) {
      ticks += event.deltaTime;
      if (event.type === 'trackName') name = lettersOf(event.text);
      else if (event.type === 'noteOn' && event.velocity > 0) pushTo(open, 128 * event.channel + event.noteNumber, ticks);
      else if (event.type === 'noteOn' || event.type === 'noteOff') this.#endNote(open, event, index, ticks);
      else this.#meta(event, ticks);
    }
    for (const [place, starts] of open) for (const start of starts) this.#add(place, index, start, ticks);
    if (index === 0) this.#title = name;
    if (this.#notes.slice(before).some(({ channel }) => channel !== DRUMS)) this.#trackNames.push(name);
  }

  #endNote(open: ReadonlyMap<number, number[]>, { channel, noteNumber }: MidiNoteEvent, track: number, ticks: number): void {
    const place = 128 * channel + noteNumber;
    const start = open.get(place)?.shift();
    if (start !== undefined) this.#add(place, track, start, ticks);
  }

  #add(place: number, track: number, start: number, end: number): void {
    this.#notes.push({ midi: place % 128, channel: Math.floor(place / 128), track, ticks: start, durationTicks: end - start });
  }

  #meta(event: MidiEvent, ticks: number): void {
    switch (event.type) {
      case 'text':
        this.#texts.push({ ticks, value: lettersOf(event.text) });
        break;
      case 'marker':
        this.#markers.push({ ticks, value: lettersOf(event.text) });
        break;
      case 'setTempo':
        if (event.microsecondsPerBeat > 0) this.#tempos.push({ ticks, value: MICROSECONDS_A_MINUTE / event.microsecondsPerBeat });
        break;
      case 'timeSignature':
        this.#meters.push({ ticks, value: { beats: event.numerator, unit: event.denominator } });
        break;
      case 'keySignature':
        this.#keys.push({ ticks, value: { fifths: event.key, isMinor: event.scale === 1 } });
        break;
    }
  }

  end(ticksPerQuarter: number): MidiSong {
    return {
      ticksPerQuarter,
      title: this.#title,
      notes: inOrder(this.#notes),
      trackNames: this.#trackNames,
      texts: inOrder(this.#texts),
      markers: inOrder(this.#markers),
      tempos: inOrder(this.#tempos),
      meters: inOrder(this.#meters),
      keys: inOrder(this.#keys),
    };
  }
}

function pushTo(map: Map<number, number[]>, place: number, value: number): void {
  const list = map.get(place);
  if (list === undefined) map.set(place, [value]);
  else list.push(value);
}

function inOrder<Event extends { readonly ticks: number }>(events: readonly Event[]): readonly Event[] {
  return [...events].sort((a, b) => a.ticks - b.ticks);
}
