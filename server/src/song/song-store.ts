import type { AlikeSong, Song, SongChange } from '@aurora/wire';
import { inTransaction, type Pool, type Queryable } from '../db/pool.ts';
import { outlineOf, type SongOutline } from './song-outline.ts';
import { SONG_COLUMNS, type SongRow, summaryOf } from './song-row.ts';
import { addVersion } from './version-store.ts';

/** What came of a save: the song as it stands now, and whether this save is in it. */
export type SaveOutcome = { readonly kind: 'saved' | 'stale'; readonly song: Song } | { readonly kind: 'missing' };

/** A song with its newest chart; undefined when the band has none by that id. */
export async function findSong(db: Queryable, bandId: string, songId: string): Promise<Song | undefined> {
  const { rows } = await db.query<SongRow & { source: string }>(
    `select ${SONG_COLUMNS}, version.source from song
       join chart_version version on version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1 and song.id = $2`,
    [bandId, songId],
  );
  return rows[0] === undefined ? undefined : { ...summaryOf(rows[0]), source: rows[0].source };
}

/** Songs with their newest charts, in the order of their ids here; what the band has not is left out. */
export async function findSongs(db: Queryable, bandId: string, ids: readonly string[]): Promise<readonly Song[]> {
  const { rows } = await db.query<SongRow & { source: string }>(
    `select ${SONG_COLUMNS}, version.source from song
       join chart_version version on version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1 and song.id = any ($2::uuid[]) order by array_position($2::uuid[], song.id)`,
    [bandId, ids],
  );
  return rows.map((row) => ({ ...summaryOf(row), source: row.source }));
}

/** Every song of the band that is not put away, with its newest chart, by title. */
export async function allSongs(db: Queryable, bandId: string): Promise<readonly Song[]> {
  const { rows } = await db.query<{ id: string }>(
    'select id from song where band_id = $1 and archived_at is null order by lower(title), id',
    [bandId],
  );
  return findSongs(
    db,
    bandId,
    rows.map(({ id }) => id),
  );
}

function valuesOf({ title, by, key, tempo, bars, opening, ridge, rounds, changes }: SongOutline): readonly unknown[] {
  return [title, by, key, tempo, bars, opening, ridge, rounds, changes];
}

/** Puts a new song on the shelf, with its chart as revision 1. Undefined when there is no such band. */
export async function addSong(pool: Pool, bandId: string, source: string, tags: readonly string[] = []): Promise<Song | undefined> {
  return inTransaction(pool, (client) => insertSong(client, bandId, source, tags));
}

/** The same within a transaction that is under way. */
export async function insertSong(client: Queryable, bandId: string, source: string, tags: readonly string[]): Promise<Song | undefined> {
  const { rows } = await client.query<{ id: string }>(
    `insert into song (band_id, tags, title, by_line, key_name, tempo, bars, opening, ridge, rounds, changes, revision)
     select band.id, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, 1 from band where band.id = $1 returning id`,
    [bandId, tags, ...valuesOf(outlineOf(source))],
  );
  const id = rows[0]?.id;
  if (id === undefined) return undefined;
  await addVersion(client, bandId, id, { revision: 1, source, by: null });
  return findSong(client, bandId, id);
}

/** A chart to be saved on top of the revision it was written from, and the player who does. */
export interface ChartSave {
  readonly baseRevision: number;
  readonly source: string;
  readonly by?: string | null;
}

/**
 * Saves a chart on top of `baseRevision`. A newer revision in the store makes the save stale:
 * nothing is written and the stored song comes back. Saving what is stored already adds nothing.
 */
export async function saveSong(
  pool: Pool,
  bandId: string,
  songId: string,
  { baseRevision, source, by = null }: ChartSave,
): Promise<SaveOutcome> {
  return inTransaction(pool, async (client) => {
    await client.query('select 1 from song where band_id = $1 and id = $2 for update', [bandId, songId]);
    const stored = await findSong(client, bandId, songId);
    if (stored === undefined) return { kind: 'missing' };
    if (stored.source === source) return { kind: 'saved', song: stored };
    if (stored.revision !== baseRevision) return { kind: 'stale', song: stored };
    await addVersion(client, bandId, songId, { revision: baseRevision + 1, source, by });
    await client.query(
      `update song set revision = $3, title = $4, by_line = $5, key_name = $6, tempo = $7, bars = $8, opening = $9,
              ridge = $10, rounds = $11, changes = $12, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, songId, baseRevision + 1, ...valuesOf(outlineOf(source))],
    );
    return { kind: 'saved', song: (await findSong(client, bandId, songId)) as Song };
  });
}

/** Changes what is said about a song beside its chart. Undefined when the band has no such song. */
export async function changeSong(db: Queryable, bandId: string, songId: string, { tags, archived }: SongChange): Promise<Song | undefined> {
  await db.query(
    `update song set tags = coalesce($3, tags),
            archived_at = case when $4::boolean is null then archived_at when $4 then coalesce(archived_at, now()) end
      where band_id = $1 and id = $2`,
    [bandId, songId, tags === undefined ? null : [...new Set(tags)], archived ?? null],
  );
  return findSong(db, bandId, songId);
}

/** Puts a copy of a song on the shelf, with its tags. Undefined when the band has no such song. */
export async function duplicateSong(pool: Pool, bandId: string, songId: string): Promise<Song | undefined> {
  const song = await findSong(pool, bandId, songId);
  if (song === undefined) return undefined;
  const titled = /^title:.*$/im.test(song.source);
  const source = titled ? song.source.replace(/^(title:.*?)\s*$/im, '$1 (copy)') : `title: ${song.title || 'Song'} (copy)\n${song.source}`;
  return addSong(pool, bandId, source, song.tags);
}

/** Other songs of the band that share a round of chords with this one, most in common first. */
export async function listAlike(db: Queryable, bandId: string, songId: string): Promise<readonly AlikeSong[]> {
  const { rows } = await db.query<AlikeSong>(
    `select other.id, other.title, other.key_name as key,
            array(select unnest(song.rounds) intersect select unnest(other.rounds) order by 1) as rounds
       from song join song other
         on other.band_id = song.band_id and other.id <> song.id and other.archived_at is null and other.rounds && song.rounds
      where song.band_id = $1 and song.id = $2
      order by 4 desc, lower(other.title)`,
    [bandId, songId],
  );
  return [...rows].sort((a, b) => b.rounds.length - a.rounds.length);
}

/** Works out the ridge, rounds and changes of songs that were saved before there were any. Says how many. */
export async function outlineOlderSongs(pool: Pool): Promise<number> {
  const { rows } = await pool.query<{ id: string; source: string }>(
    `select song.id, version.source from song
       join chart_version version on version.song_id = song.id and version.revision = song.revision
      where song.ridge is null or song.rounds is null or song.changes is null`,
  );
  for (const { id, source } of rows) {
    const { ridge, rounds, changes } = outlineOf(source);
    await pool.query('update song set ridge = $2, rounds = $3, changes = $4 where id = $1', [id, ridge, rounds, changes]);
  }
  return rows.length;
}
