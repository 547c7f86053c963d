import {
  type BridgeEnd,
  type ChartReading,
  type Evening,
  type EveningSong,
  eveningOf,
  firstChord,
  isAtEdge,
  lastChord,
  NEW_SET_SONG,
  readChart,
  type SetTime,
  type SetWarning,
  semitonesBetween,
  setTimes,
  setWarnings,
  sungRange,
} from '@aurora/core';
import type { Member, SetListBody, SetSongEntry, Song } from '@aurora/wire';

/** A set with everything that is worked out from it. */
export interface EveningView {
  readonly evening: Evening;
  readonly times: readonly SetTime[];
  readonly warnings: readonly SetWarning[];
}

const READINGS = new Map<string, ChartReading>();
const MOST_READ = 200;

/** Reads a chart once, however often its set is changed. */
export function readOnce(source: string): ChartReading {
  const known = READINGS.get(source);
  if (known !== undefined) return known;
  if (READINGS.size >= MOST_READ) READINGS.clear();
  const reading = readChart(source);
  READINGS.set(source, reading);
  return reading;
}

/** The set as it will be played, with times and what to look out for. */
export function viewEvening(body: SetListBody, songs: readonly Song[], members: readonly Member[]): EveningView {
  const evening = eveningOf(body, songs, { read: readOnce, atEdge: (song) => singersAtEdge(song, members) });
  const entries = evening.entries.map(({ entry }) => entry);
  const usual = Object.fromEntries(members.map(({ id, reads }) => [id, reads.capo]));
  return { evening, times: setTimes(entries, body.gapSeconds), warnings: setWarnings(entries, usual) };
}

/** The singers, by id, for whom a song's melody comes to the edge of what is easy in its key. */
function singersAtEdge({ reading, key }: EveningSong, members: readonly Member[]): readonly string[] {
  const { range } = reading.head;
  if (range === null) return [];
  const semitones = semitonesBetween(reading.head.key.tonic, key.tonic);
  return members.flatMap(({ id, reads: { voice } }) => (voice !== null && isAtEdge(sungRange(range, semitones, voice)) ? [id] : []));
}

/** What a bridge between two neighbours starts from and leads to; null where either has no chords. */
export function endsOf(evening: Evening, at: number): { readonly from: BridgeEnd; readonly to: BridgeEnd } | null {
  const [song, next] = [evening.entries[at]?.song, evening.entries[at + 1]?.song];
  if (song === null || song === undefined || next === null || next === undefined) return null;
  const [from, to] = [lastChord(song.reading, song.key.tonic), firstChord(next.reading, next.key.tonic)];
  return from === undefined || to === undefined ? null : { from, to };
}

type Entries = SetListBody['entries'];

/** The entries with one moved to another place. */
export function movedEntry(entries: Entries, from: number, to: number): Entries {
  if (from === to || from < 0 || to < 0 || to >= entries.length) return entries;
  const rest = [...entries];
  const [taken] = rest.splice(from, 1);
  if (taken !== undefined) rest.splice(to, 0, taken);
  return rest;
}

/** The body with one entry changed. */
export function withEntry(body: SetListBody, id: string, change: (entry: Entries[number]) => Entries[number]): SetListBody {
  return { ...body, entries: body.entries.map((entry) => (entry.id === id ? change(entry) : entry)) };
}

/** A song as it is put into a set: as the chart has it. */
export function newSetSong(songId: string): SetSongEntry {
  return { ...NEW_SET_SONG, id: crypto.randomUUID(), songId };
}

/** A set song's capos with a player's fret; null lets the player play as usual. */
export function caposWith(capos: SetSongEntry['capos'], memberId: string, fret: number | null): SetSongEntry['capos'] {
  const { [memberId]: _, ...rest } = capos;
  return fret === null ? rest : { ...rest, [memberId]: fret };
}

/** The set with a player's capos as they were planned, entry by entry; what has come into the set since stays as it is. */
export function withPlannedCapos(body: SetListBody, memberId: string, frets: ReadonlyMap<string, number | null>): SetListBody {
  const entries = body.entries.map((entry) => {
    const fret = frets.get(entry.id);
    return entry.kind === 'break' || fret === undefined ? entry : { ...entry, capos: caposWith(entry.capos, memberId, fret) };
  });
  return { ...body, entries };
}
