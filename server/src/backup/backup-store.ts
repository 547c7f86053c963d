import type { BandBackup } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { stored } from '../db/stored-json.ts';
import type { Tick } from '../job/worker.ts';
import { saveInstrument } from '../member/member-store.ts';
import { addPiece } from '../piece/piece-store.ts';
import { writePreferences } from '../preference/preference-store.ts';
import { writeEntries } from '../set/set-store.ts';
import { OUTLINE_RULES, outlineOf } from '../song/song-outline.ts';
import { restorePractice } from './practice-backup.ts';

/**
 * Puts a backup in place of everything the band has, within the transaction of `client`: all of it
 * happens, or nothing. Ids stay as they are, so that links go on working, unless another band has them. Revisions only go up:
 * whoever still has open what stood before is told so when they save, and that stays among the versions.
 */
export async function restoreBand(client: Queryable, bandId: string, backup: BandBackup, tick: Tick): Promise<void> {
  const signedIn = await peopleOf(client, bandId);
  const stood = await whatStood(client, bandId);
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
  await bringIn(client, bandId, signedIn);
  for (const [index, song] of backup.songs.entries()) {
    const songId = songs.get(song.id) as string;
    const versions = ofMembers(onTopOf(stood.songs.get(songId), song.versions), members);
    await insertWithVersions(client, bandId, songId, { ...song, versions });
    await tick(index + 1, backup.songs.length);
  }
  for (const [index, { id, name, place, startsAt, date, gapSeconds, entries }] of backup.sets.entries()) {
    const setId = sets.get(id);
    // sets stand in the order they were last worked on: the first of the backup stays the first
    await client.query(
      `insert into set_list (id, band_id, name, place, starts_at, on_date, gap_seconds, saved_at, revision)
       values ($1, $2, $3, $4, $5, $6, $7, now() - $8 * interval '1 millisecond', $9)`,
      [setId, bandId, name, place, startsAt, date, gapSeconds, index, (stood.sets.get(setId as string) ?? 0) + 1],
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
    const revision = (stood.pieces.get(id) ?? 0) + 1;
    const kept = { id, said, songId: songId === null ? null : (songs.get(songId) ?? null), revision };
    await addPiece(client, bandId, { title, by, format, rhythm, source: Buffer.from(data, 'base64'), kept });
  }
}

type Version = BandBackup['songs'][number]['versions'][number];

/** How far everything had come before it was put back. */
interface Stood {
  readonly songs: ReadonlyMap<string, Version>;
  readonly sets: ReadonlyMap<string, number>;
  readonly pieces: ReadonlyMap<string, number>;
}

async function whatStood(client: Queryable, bandId: string): Promise<Stood> {
  const songs = await client.query<Omit<Version, 'savedAt'> & { id: string; saved_at: Date }>(
    `select song.id, version.revision, version.source, version.name, version.saved_by as by, version.saved_at
       from song join chart_version version on version.band_id = song.band_id and version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1`,
    [bandId],
  );
  const revisions = async (table: 'set_list' | 'piece') => {
    const { rows } = await client.query<{ id: string; revision: number }>(`select id, revision from ${table} where band_id = $1`, [bandId]);
    return new Map(rows.map(({ id, revision }) => [id, revision]));
  };
  return {
    songs: new Map(songs.rows.map(({ id, saved_at, ...version }) => [id, { ...version, savedAt: saved_at.toISOString() }])),
    sets: await revisions('set_list'),
    pieces: await revisions('piece'),
  };
}

/** The versions of a backup on top of what stood: that is kept as one of them, and what is put back is a newer one. */
function onTopOf(stood: Version | undefined, versions: readonly Version[]): Version[] {
  const newest = versions.reduce((last, version) => (version.revision > last.revision ? version : last));
  if (stood === undefined || (stood.revision === newest.revision && stood.source === newest.source)) return [...versions];
  const revision = Math.max(newest.revision + 1, stood.revision);
  const again = { ...newest, revision: revision + 1, name: null, savedAt: new Date().toISOString() };
  return [...versions, { ...stood, revision }, again];
}

interface SignedIn {
  readonly id: string;
  readonly account_id: string;
  readonly role: string;
  readonly name: string;
  readonly instrument: string;
  readonly reader: unknown;
}

/** Who is signed in as a player of the band: a backup knows of no accounts, and nobody is locked out by it. */
async function peopleOf(client: Queryable, bandId: string): Promise<readonly SignedIn[]> {
  const { rows } = await client.query<SignedIn>(
    "select id, account_id, role, name, instrument, reader from member where band_id = $1 and account_id is not null and role <> 'guest'",
    [bandId],
  );
  return rows;
}

/** Signs them in again as the players of the backup they were; those it does not know stay players as they were. */
async function bringIn(client: Queryable, bandId: string, people: readonly SignedIn[]): Promise<void> {
  for (const { id, account_id, role, name, instrument, reader } of people)
    await client.query(
      `insert into member (band_id, id, account_id, role, name, instrument, reader, created_at) values ($1, $2, $3, $4, $5, $6, $7, clock_timestamp())
       on conflict (band_id, id) do update set account_id = excluded.account_id, role = excluded.role`,
      [bandId, id, account_id, role, name, instrument, JSON.stringify(reader)],
    );
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
    `select given.id, case when given.id in (select aurora_taken_ids($2, $1::uuid[])) then gen_random_uuid() else given.id end as free
       from unnest($1::uuid[]) as given (id)`,
    [things.map(({ id }) => id), table],
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
    `insert into song (id, band_id, tags, title, by_line, key_name, tempo, bars, opening, ridge, rounds, changes, rules, revision, saved_at, created_at, archived_at)
     values ($1, $2, $3, $4, $5, $6, $7, $8, $9, $10, $11, $12, $13, $14, $15, clock_timestamp(), case when $16 then now() end)`,
    [
      songId,
      bandId,
      tags,
      title,
      by,
      key,
      tempo,
      bars,
      opening,
      ridge,
      rounds,
      changes,
      OUTLINE_RULES,
      newest.revision,
      newest.savedAt,
      archived,
    ],
  );
  await client.query(
    `insert into chart_version (band_id, song_id, revision, source, name, saved_by, saved_at)
     select $1, $2, given.revision, given.source, given.name, given.by, given."savedAt"
       from jsonb_to_recordset($3::jsonb) as given (revision int, source text, name text, by uuid, "savedAt" timestamptz)`,
    [bandId, songId, JSON.stringify(ordered)],
  );
}
