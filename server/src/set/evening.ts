import { type Evening, type EveningEntry, parseKey, requireValue, secondsOf, timelineOf, tonightReading } from '@aurora/core';
import type { SetList, Song } from '@aurora/wire';

/** A stored set with its songs looked up: tonight's keys, and lengths as the charts say. */
export function eveningOf({ name, place, startsAt, gapSeconds, entries, songs }: SetList): Evening {
  const known = new Map(songs.map((song) => [song.id, song]));
  return {
    name,
    place,
    startsAt,
    gapSeconds,
    entries: entries.map((entry): EveningEntry => {
      if (entry.kind === 'break')
        return { entry: { kind: 'break', seconds: entry.seconds }, name: entry.name, tempo: null, starts: '', notes: '' };
      const song = known.get(entry.songId) as Song;
      const { tempo, starts, notes, capos, join } = entry;
      const key = requireValue(parseKey(entry.key ?? song.key));
      const seconds = entry.seconds ?? secondsOf(timelineOf(tonightReading(song.source, tempo)));
      return {
        entry: { kind: 'song', title: song.title, key, seconds, capos, join, atEdge: [] },
        name: '',
        tempo: tempo ?? song.tempo,
        starts,
        notes,
      };
    }),
  };
}
