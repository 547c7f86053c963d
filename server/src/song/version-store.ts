import type { SongVersion, SongVersionHead } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';

const PAGE = 60;

interface VersionRow {
  readonly revision: number;
  readonly saved_at: Date;
  readonly name: string | null;
}

/** A page of the saves of a song, newest first. */
export interface VersionPage {
  readonly versions: readonly SongVersionHead[];
  /** The revision the next page begins before; null on the last one. */
  readonly next: number | null;
}

/** Saves of a song from before a revision, or the newest; only named ones when asked. None when the band has no such song. */
export async function listVersions(
  db: Queryable,
  bandId: string,
  songId: string,
  { before, named }: { readonly before?: number | undefined; readonly named: boolean },
): Promise<VersionPage> {
  const { rows } = await db.query<VersionRow>(
    `select revision, saved_at, name from chart_version
      where band_id = $1 and song_id = $2 and ($3::int is null or revision < $3) and (not $4 or name is not null)
      order by revision desc limit $5`,
    [bandId, songId, before ?? null, named, PAGE + 1],
  );
  const versions = rows.slice(0, PAGE).map(headOf);
  return { versions, next: rows.length > PAGE ? (versions.at(-1)?.revision ?? null) : null };
}

/** One save with its chart; undefined when there is none. */
export async function findVersion(db: Queryable, bandId: string, songId: string, revision: number): Promise<SongVersion | undefined> {
  const { rows } = await db.query<VersionRow & { source: string }>(
    'select revision, saved_at, name, source from chart_version where band_id = $1 and song_id = $2 and revision = $3',
    [bandId, songId, revision],
  );
  return rows[0] === undefined ? undefined : { ...headOf(rows[0]), source: rows[0].source };
}

/** Gives a save a name, or takes it away. Undefined when there is no such save. */
export async function nameVersion(
  db: Queryable,
  bandId: string,
  songId: string,
  revision: number,
  name: string | null,
): Promise<SongVersionHead | undefined> {
  const { rows } = await db.query<VersionRow>(
    `update chart_version set name = nullif($4, '') where band_id = $1 and song_id = $2 and revision = $3
      returning revision, saved_at, name`,
    [bandId, songId, revision, name],
  );
  return rows[0] === undefined ? undefined : headOf(rows[0]);
}

/** Adds a save. */
export async function addVersion(db: Queryable, bandId: string, songId: string, revision: number, source: string): Promise<void> {
  await db.query('insert into chart_version (band_id, song_id, revision, source) values ($1, $2, $3, $4)', [
    bandId,
    songId,
    revision,
    source,
  ]);
}

function headOf({ revision, saved_at, name }: VersionRow): SongVersionHead {
  return { revision, savedAt: saved_at.toISOString(), name };
}
