import type { AlikeSong, Song, SongChange } from '@aurora/wire';
import { addBytes, requireRoom } from '../band/quota.ts';
import type { Db, Queryable } from '../db/pool.ts';
import { OUTLINE_RULES, outlineOf, type SongOutline } from './song-outline.ts';
import { SONG_COLUMNS, type SongRow, summaryOf } from './song-row.ts';
import { addVersion } from './version-store.ts';

/** What came of a save: the song as it stands now, and whether this save is in it. */
export type SaveOutcome = { readonly kind: 'saved' | 'stale'; readonly song: Song } | { readonly kind: 'missing' };

/** A song with its newest chart; undefined when the band has none by that id. */
export async function findSong(db: Queryable, bandId: string, songId: string): Promise<Song | undefined> {
  const { rows } = await db.query<SongRow & { source: string }>(
    `select ${SONG_COLUMNS}, version.source from song
       join chart_version version on version.band_id = song.band_id and version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1 and song.id = $2`,
    [bandId, songId],
  );
  return rows[0] === undefined ? undefined : { ...summaryOf(rows[0]), source: rows[0].source };
}

/** Songs with their newest charts, in the order of their ids here; what the band has not is left out. */
export async function findSongs(db: Queryable, bandId: string, ids: readonly string[]): Promise<readonly Song[]> {
  const { rows } = await db.query<SongRow & { source: string }>(
    `select ${SONG_COLUMNS}, version.source from song
       join chart_version version on version.band_id = song.band_id and version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1 and song.id = any ($2::uuid[]) order by array_position($2::uuid[], song.id)`,
    [bandId, ids],
  );
  return rows.map((row) => ({ ...summaryOf(row), source: row.source }));
}

const SONGS_AT_ONCE = 50;

/** Every song of the band that is not put away, with its newest chart, by title, some at a time. */
export async function* songsInParts(db: Queryable, bandId: string): AsyncGenerator<readonly Song[]> {
  const { rows } = await db.query<{ id: string }>(
    'select id from song where band_id = $1 and archived_at is null order by lower(title), id',
    [bandId],
  );
  for (let at = 0; at < rows.length; at += SONGS_AT_ONCE)
    yield await findSongs(
      db,
      bandId,
      rows.slice(at, at + SONGS_AT_ONCE).map(({ id }) => id),
    );
}

/** All of them at once. */
export async function allSongs(db: Queryable, bandId: string): Promise<readonly Song[]> {
  const songs: Song[] = [];
  for await (const part of songsInParts(db, bandId)) songs.push(...part);
  return songs;
}

/** Whether the band has a song that is not put away. */
export async function hasSongs(db: Queryable, bandId: string): Promise<boolean> {
  const { rowCount } = await db.query('select 1 from song where band_id = $1 and archived_at is null limit 1', [bandId]);
  return (rowCount ?? 0) > 0;
}

function valuesOf({ title, by, key, tempo, bars, opening, ridge, rounds, changes }: SongOutline): readonly unknown[] {
  return [title, by, key, tempo, bars, opening, ridge, rounds, changes, OUTLINE_RULES];
}

/** Who saves: the player, and their name as it is. */
export interface Author {
  readonly memberId: string | null;
  readonly name: string | null;
}

/** Where nobody is known, as in the demo's own songs. */
export const NOBODY: Author = { memberId: null, name: null };

/** A song to be put on the shelf; what the shelf shows of it is worked out unless it comes along. */
export interface NewSong {
  readonly source: string;
  readonly tags?: readonly string[];
  readonly outline?: SongOutline;
  readonly by?: Author;
}

/** Puts a new song on the shelf, with its chart as revision 1. Undefined when there is no such band. */
export async function addSong(db: Db, bandId: string, song: NewSong): Promise<Song | undefined> {
  const outline = song.outline ?? outlineOf(song.source);
  return db.transaction(async (client) => {
    await requireRoom(client, bandId, 1);
    await addBytes(client, bandId, Buffer.byteLength(song.source));
    return insertSong(client, bandId, { ...song, outline });
  });
}

/** The same within a transaction that is under way; whether there is room is asked before. */
export async function insertSong(
  client: Queryable,
  bandId: string,
  { source, tags = [], outline = outlineOf(source), by = NOBODY }: NewSong,
): Promise<Song | undefined> {
  const { rows } = await client.query<{ id: string }>(
    `insert into song (band_id, tags, title, by_line, key_name, tempo, bars, opening, ridge, rounds, changes, rules, revision)
     select band.id, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, 1 from band where band.id = $1 returning id`,
    [bandId, tags, ...valuesOf(outline)],
  );
  const id = rows[0]?.id;
  if (id === undefined) return undefined;
  await addVersion(client, bandId, id, { revision: 1, source, by });
  return findSong(client, bandId, id);
}

/** A chart to be saved on top of the revision it was written from, and who does. */
export interface ChartSave {
  readonly baseRevision: number;
  readonly source: string;
  readonly outline?: SongOutline;
  readonly by?: Author;
}

/**
 * Saves a chart on top of `baseRevision`. A newer revision in the store makes the save stale:
 * nothing is written and the stored song comes back. Saving what is stored already adds nothing.
 */
export async function saveSong(
  db: Db,
  bandId: string,
  songId: string,
  { baseRevision, source, outline = outlineOf(source), by = NOBODY }: ChartSave,
): Promise<SaveOutcome> {
  return db.transaction(async (client) => {
    await client.query('select 1 from song where band_id = $1 and id = $2 for update', [bandId, songId]);
    const stored = await findSong(client, bandId, songId);
    if (stored === undefined) return { kind: 'missing' };
    if (stored.source === source) return { kind: 'saved', song: stored };
    if (stored.revision !== baseRevision) return { kind: 'stale', song: stored };
    await addBytes(client, bandId, Buffer.byteLength(source));
    await addVersion(client, bandId, songId, { revision: baseRevision + 1, source, by });
    await client.query(
      `update song set revision = $3, title = $4, by_line = $5, key_name = $6, tempo = $7, bars = $8, opening = $9,
              ridge = $10, rounds = $11, changes = $12, rules = $13, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, songId, baseRevision + 1, ...valuesOf(outline)],
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

/** The chart of a song's copy: its own under a title that says so. */
export function copiedSource({ title, source }: Song): string {
  const titled = /^title:.*$/im.test(source);
  return titled ? source.replace(/^(title:.*?)\s*$/im, '$1 (copy)') : `title: ${title || 'Song'} (copy)\n${source}`;
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

/** Works out anew what the shelf shows of a song; it was made by older rules. False where the song went, or was saved meanwhile. */
export async function refreshOutline(db: Queryable, bandId: string, songId: string): Promise<boolean> {
  const song = await findSong(db, bandId, songId);
  if (song === undefined) return false;
  const { rowCount } = await db.query(
    `update song set title = $4, by_line = $5, key_name = $6, tempo = $7, bars = $8, opening = $9, ridge = $10, rounds = $11, changes = $12, rules = $13
      where band_id = $1 and id = $2 and revision = $3`,
    [bandId, songId, song.revision, ...valuesOf(outlineOf(song.source))],
  );
  return rowCount === 1;
}
