import type { SongSummary } from '@aurora/wire';

/** A song as the shelf reads it from the database. */
export interface SongRow {
  readonly id: string;
  readonly title: string;
  readonly by_line: string;
  readonly key_name: string;
  readonly tempo: string | null;
  readonly bars: number;
  readonly opening: string[];
  readonly ridge: number[] | null;
  readonly tags: string[];
  readonly archived_at: Date | null;
  readonly revision: number;
  readonly saved_at: Date;
}

export const SONG_COLUMNS =
  'song.id, song.title, song.by_line, song.key_name, song.tempo, song.bars, song.opening, song.ridge, song.tags, song.archived_at, song.revision, song.saved_at';

export function summaryOf(row: SongRow): SongSummary {
  return {
    id: row.id,
    title: row.title,
    by: row.by_line,
    key: row.key_name,
    tempo: row.tempo === null ? null : Number(row.tempo),
    bars: row.bars,
    opening: row.opening,
    ridge: row.ridge ?? [],
    tags: row.tags,
    archived: row.archived_at !== null,
    revision: row.revision,
    savedAt: row.saved_at.toISOString(),
  };
}
