import { BACKUP_FORMAT, BACKUP_VERSION, type BandBackup, setListBody } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { stored } from '../db/stored-json.ts';
import type { Tick } from '../job/jobs.ts';
import { listMembers, saveInstrument } from '../member/member-store.ts';
import { addPiece, allPieces } from '../piece/piece-store.ts';
import { readPreferences, writePreferences } from '../preference/preference-store.ts';
import { findSet, listSets, writeEntries } from '../set/set-store.ts';
import { outlineOf } from '../song/song-outline.ts';
import { readPractice, restorePractice } from './practice-backup.ts';

/** Everything a band has, as a backup holds it. Undefined when there is no such band. */
export async function readBand(db: Queryable, bandId: string, now: Date): Promise<BandBackup | undefined> {
  const band = (await db.query<{ name: string }>('select name from band where id = $1', [bandId])).rows[0];
  if (band === undefined) return undefined;
  const members = await listMembers(db, bandId);
  const sets: BandBackup['sets'] = [];
  for (const { id } of await listSets(db, bandId)) sets.push({ ...setListBody.parse(await findSet(db, bandId, id)), id });
  const swaps = await db.query<{ song_id: string; member_id: string; chord: string; stretch: number; instead: string; refused_by: string }>(
    'select song_id, member_id, chord, stretch, instead, refused_by from chord_swap where band_id = $1 order by song_id, member_id, stretch, chord',
    [bandId],
  );
  return {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    savedAt: now.toISOString(),
    band: { name: band.name },
    preferences: await readPreferences(db, bandId),
    members: members.map(({ id, name, plays, reads, instrument }) => ({ id, name, plays, reads, instrument })),
    songs: await songsWithVersions(db, bandId),
    sets,
    swaps: swaps.rows.map(({ song_id, member_id, chord, stretch, instead, refused_by }) => ({
      songId: song_id,
      memberId: member_id,
      chord,
      stretch,
      instead,
      refusedBy: refused_by,
    })),
    practice: await readPractice(
      db,
      bandId,
      members.map(({ id }) => id),
    ),
    pieces: (await allPieces(db, bandId)).map(({ id, title, by, format, rhythm, said, songId, source }) => ({
      id,
      title,
      by,
      format,
      rhythm,
      said,
      songId,
      data: Buffer.from(source).toString('base64'),
    })),
  };
}

async function songsWithVersions(db: Queryable, bandId: string): Promise<BandBackup['songs']> {
  const { rows } = await db.query<{
    id: string;
    tags: string[];
    archived: boolean;
    revision: number;
    saved_at: Date;
    name: string | null;
    by: string | null;
    source: string;
  }>(
    `select song.id, song.tags, song.archived_at is not null as archived, version.revision, version.saved_at, version.name, version.saved_by as by, version.source
       from song join chart_version version on version.song_id = song.id
      where song.band_id = $1 order by song.created_at, song.id, version.revision`,
    [bandId],
  );
  const songs: BandBackup['songs'] = [];
  for (const { id, tags, archived, revision, saved_at, name, by, source } of rows) {
    if (songs.at(-1)?.id !== id) songs.push({ id, tags, archived, versions: [] });
    songs.at(-1)?.versions.push({ revision, savedAt: saved_at.toISOString(), name, by, source });
  }
  return songs;
}

/**
 * Puts a backup in place of everything the band has, within the transaction of `client`: all of it
 * happens, or nothing. Ids stay as they are, so that links go on working, unless another band has them.
 */
export async function restoreBand(client: Queryable, bandId: string, backup: BandBackup, tick: Tick): Promise<void> {
  for (const table of ['piece', 'chord_swap', 'set_list', 'song', 'preference', 'member'])
    await client.query(`delete from ${table} where band_id = $1`, [bandId]);
  await client.query('update band set name = $2 where id = $1', [bandId, backup.band.name]);
  await writePreferences(client, bandId, backup.preferences);
  const members = await freeIds(client, 'member', backup.members);
  const songs = await freeIds(client, 'song', backup.songs);
  const sets = await freeIds(client, 'set_list', backup.sets);
  for (const { id, name, plays, reads, instrument } of backup.members) {
    await client.query(
      'insert into member (id, band_id, name, instrument, reader, created_at) values ($1, $2, $3, $4, $5, clock_timestamp())',
      [members.get(id), bandId, name, plays, stored(reads)],
    );
    if (instrument !== null) await saveInstrument(client, bandId, members.get(id) as string, instrument);
  }
  for (const [index, song] of backup.songs.entries()) {
    await insertWithVersions(client, bandId, songs.get(song.id) as string, { ...song, versions: ofMembers(song.versions, members) });
    await tick(index + 1, backup.songs.length);
  }
  for (const [index, { id, name, place, startsAt, gapSeconds, entries }] of backup.sets.entries()) {
    const setId = sets.get(id);
    // sets stand in the order they were last worked on: the first of the backup stays the first
    await client.query(
      `insert into set_list (id, band_id, name, place, starts_at, gap_seconds, saved_at)
       values ($1, $2, $3, $4, $5, $6, now() - $7 * interval '1 millisecond')`,
      [setId, bandId, name, place, startsAt, gapSeconds, index],
    );
    await writeEntries(client, bandId, setId as string, { entries: entries.map((entry) => movedEntry(entry, songs, members)) });
  }
  for (const { songId, memberId, chord, stretch, instead, refusedBy } of backup.swaps)
    await client.query(
      'insert into chord_swap (band_id, song_id, member_id, chord, stretch, instead, refused_by) values ($1, $2, $3, $4, $5, $6, $7)',
      [bandId, songs.get(songId), members.get(memberId), chord, stretch, instead, refusedBy],
    );
  await restorePractice(client, bandId, backup.practice, members, new Date());
  for (const { id, title, by, format, rhythm, said, songId, data } of backup.pieces) {
    const kept = { id, said, songId: songId === null ? null : (songs.get(songId) ?? null) };
    await addPiece(client, bandId, { title, by, format, rhythm, source: Buffer.from(data, 'base64'), kept });
  }
}

type Ids = ReadonlyMap<string, string>;

/** Saves under the ids their players are restored under; whose save it was is forgotten where the player is not in the backup. */
function ofMembers(versions: BandBackup['songs'][number]['versions'], members: Ids): typeof versions {
  return versions.map((version) => ({ ...version, by: version.by === null ? null : (members.get(version.by) ?? null) }));
}

/** A set's entry under the ids that songs and players are restored under; capos of players who are gone are left out. */
function movedEntry(entry: BandBackup['sets'][number]['entries'][number], songs: Ids, members: Ids): typeof entry {
  if (entry.kind === 'break') return entry;
  const capos = Object.entries(entry.capos).flatMap(([member, fret]) => {
    const id = members.get(member);
    return id === undefined ? [] : [[id, fret] as const];
  });
  return { ...entry, songId: songs.get(entry.songId) as string, capos: Object.fromEntries(capos) };
}

/** For each id the one it is restored under: itself, or a new one where another band has it. */
async function freeIds(client: Queryable, table: 'member' | 'song' | 'set_list', things: readonly { readonly id: string }[]): Promise<Ids> {
  const { rows } = await client.query<{ id: string; free: string }>(
    `select given.id, case when exists (select 1 from ${table} where id = given.id) then gen_random_uuid() else given.id end as free
       from unnest($1::uuid[]) as given (id)`,
    [things.map(({ id }) => id)],
  );
  return new Map(rows.map(({ id, free }) => [id, free]));
}

async function insertWithVersions(
  client: Queryable,
  bandId: string,
  songId: string,
  { tags, archived, versions }: BandBackup['songs'][number],
): Promise<void> {
  const ordered = [...versions].sort((a, b) => a.revision - b.revision);
  const newest = ordered.at(-1) as (typeof ordered)[number];
  const { title, by, key, tempo, bars, opening, ridge, rounds, changes } = outlineOf(newest.source);
  await client.query(
    `insert into song (id, band_id, tags, title, by_line, key_name, tempo, bars, opening, ridge, rounds, changes, revision, saved_at, created_at, archived_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, clock_timestamp(), case when $15 then now() end)`,
    [songId, bandId, tags, title, by, key, tempo, bars, opening, ridge, rounds, changes, newest.revision, newest.savedAt, archived],
  );
  await client.query(
    `insert into chart_version (band_id, song_id, revision, source, name, saved_by, saved_at)
     select $1, $2, given.revision, given.source, given.name, given.by, given."savedAt"
       from jsonb_to_recordset($3::jsonb) as given (revision int, source text, name text, by uuid, "savedAt" timestamptz)`,
    [bandId, songId, JSON.stringify(ordered)],
  );
}
