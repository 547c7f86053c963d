import { type ChartReading, readChart } from '../chart/reading.ts';
import { secondsOf, timelineOf } from '../chart/timeline.ts';
import { withTempo } from '../edit/tempo-edit.ts';
import type { Key } from '../key/key.ts';
import { parseKey } from '../key/key-text.ts';
import type { Join, SetEntry } from './set-list.ts';

/** A set as it is kept: songs by id, keys as in a chart's head. */
export interface StoredSet {
  readonly name: string;
  readonly place: string;
  /** `20:30`; empty when nobody knows. */
  readonly startsAt: string;
  readonly gapSeconds: number;
  readonly entries: readonly (StoredSetSong | StoredSetBreak)[];
}

export interface StoredSetSong {
  readonly kind: 'song';
  readonly id: string;
  readonly songId: string;
  /** Tonight's key; null for the song's own. */
  readonly key: string | null;
  readonly tempo: number | null;
  readonly capos: Readonly<Record<string, number>>;
  /** Who counts in. */
  readonly starts: string;
  readonly notes: string;
  /** How long it lasts; null for as long as the chart says. */
  readonly seconds: number | null;
  readonly join: Join;
}

/** What a set says of a song when nobody has said anything: all as the chart has it. */
export const NEW_SET_SONG: Omit<StoredSetSong, 'id' | 'songId'> = {
  kind: 'song',
  key: null,
  tempo: null,
  capos: {},
  starts: '',
  notes: '',
  seconds: null,
  join: { kind: 'gap' },
};

interface StoredSetBreak {
  readonly kind: 'break';
  readonly id: string;
  readonly name: string;
  readonly seconds: number;
}

/** A song of the shelf, as far as a set needs it. */
export interface ShelfSong {
  readonly id: string;
  readonly title: string;
  readonly source: string;
}

/** A song in its place in an evening, read for tonight. */
export interface EveningSong {
  readonly songId: string;
  /** The chart text at tonight's tempo. */
  readonly source: string;
  /** Of that text. */
  readonly reading: ChartReading;
  /** Tonight's key. */
  readonly key: Key;
}

/** An entry of an evening with what is said about it. */
export interface EveningEntry {
  readonly id: string;
  readonly entry: SetEntry;
  /** Title of a song, name of a break. */
  readonly name: string;
  /** Null for a break. */
  readonly song: EveningSong | null;
  readonly tempo: number | null;
  readonly starts: string;
  readonly notes: string;
}

/** A set with its songs looked up, read and timed. */
export interface Evening {
  readonly name: string;
  readonly place: string;
  readonly startsAt: string;
  readonly gapSeconds: number;
  readonly entries: readonly EveningEntry[];
}

export interface EveningWish {
  /** Reads a chart; one that remembers saves time where a set is worked on. */
  readonly read?: (source: string) => ChartReading;
  /** Who is at the edge of their range in a song tonight. */
  readonly atEdge?: (song: EveningSong) => readonly string[];
}

/** A stored set as an evening: tonight's keys and tempos, lengths as the charts say. Songs nobody has are left out. */
export function eveningOf(set: StoredSet, songs: readonly ShelfSong[], { read = readChart, atEdge = () => [] }: EveningWish = {}): Evening {
  const { name, place, startsAt, gapSeconds } = set;
  const known = new Map(songs.map((song) => [song.id, song]));
  const entries = set.entries.flatMap((stored): readonly EveningEntry[] => {
    if (stored.kind === 'break') {
      const { id, seconds } = stored;
      return [{ id, entry: { kind: 'break', seconds }, name: stored.name, song: null, tempo: null, starts: '', notes: '' }];
    }
    const song = known.get(stored.songId);
    return song === undefined ? [] : [songEntry(stored, song, read, atEdge)];
  });
  return { name, place, startsAt, gapSeconds, entries };
}

function songEntry(
  stored: StoredSetSong,
  { title, source }: ShelfSong,
  read: (source: string) => ChartReading,
  atEdge: NonNullable<EveningWish['atEdge']>,
): EveningEntry {
  const { id, songId, tempo, capos, starts, notes, join } = stored;
  const charted = read(source);
  const text = tempo === null || tempo === charted.head.tempo ? source : withTempo(charted, tempo);
  const reading = read(text);
  const named = parseKey(stored.key ?? '');
  const key = named.ok ? { ...reading.head.key, tonic: named.value.tonic } : reading.head.key;
  const song: EveningSong = { songId, source: text, reading, key };
  const seconds = stored.seconds ?? secondsOf(timelineOf(reading));
  const name = title === '' ? 'Song without a title' : title;
  return {
    id,
    entry: { kind: 'song', title: name, key, seconds, capos, join, atEdge: atEdge(song) },
    name,
    song,
    tempo: reading.head.tempo,
    starts,
    notes,
  };
}
