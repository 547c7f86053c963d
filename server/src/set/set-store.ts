import { NEW_SET_SONG } from '@aurora/core';
import { type SetList, type SetListBody, type SetListHead, type Song, setListBody } from '@aurora/wire';
import type { Db, Queryable } from '../db/pool.ts';
import { stored, upgraded } from '../db/stored-json.ts';
import { type Author, findSongs, NOBODY } from '../song/song-store.ts';

/** What came of a save: the set as it stands now, and whether this save is in it. */
export type SetOutcome =
  | { readonly kind: 'saved' | 'stale'; readonly set: SetList }
  | { readonly kind: 'missing' }
  /** An entry names a song the band has not. */
  | { readonly kind: 'strange-song'; readonly place: number };

interface SetRow {
  readonly id: string;
  readonly name: string;
  readonly place: string;
  readonly starts_at: string;
  readonly on_date: string;
  readonly gap_seconds: number;
  readonly revision: number;
  readonly saved_at: Date;
  readonly saved_by: string | null;
}

const COLUMNS = `set_list.id, set_list.name, set_list.place, set_list.starts_at, set_list.on_date, set_list.gap_seconds, set_list.revision, set_list.saved_at,
  coalesce((select member.name from member where member.band_id = set_list.band_id and member.id = set_list.saved_by), set_list.saved_name) as saved_by`;

/** The band's sets, the last one worked on first. */
export async function listSets(db: Queryable, bandId: string): Promise<readonly SetListHead[]> {
  const { rows } = await db.query<SetRow & { songs: string }>(
    `select ${COLUMNS}, count(set_entry.song_id) as songs
       from set_list left join set_entry on set_entry.band_id = set_list.band_id and set_entry.set_id = set_list.id
      where set_list.band_id = $1 group by set_list.band_id, set_list.id order by set_list.saved_at desc, set_list.id`,
    [bandId],
  );
  return rows.map(({ id, name, place, starts_at, on_date, songs, revision, saved_at, saved_by }) => ({
    id,
    name,
    place,
    startsAt: starts_at,
    date: on_date,
    songs: Number(songs),
    revision,
    savedAt: saved_at.toISOString(),
    savedBy: saved_by,
  }));
}

/** A set with its songs; undefined when the band has none by that id. */
export async function findSet(db: Queryable, bandId: string, setId: string): Promise<SetList | undefined> {
  const { rows } = await db.query<SetRow>(`select ${COLUMNS} from set_list where band_id = $1 and id = $2`, [bandId, setId]);
  const row = rows[0];
  if (row === undefined) return undefined;
  const entries = await db.query<EntryRow>(
    'select place, song_id, entry from set_entry where band_id = $1 and set_id = $2 order by place',
    [bandId, setId],
  );
  const { id, name, place, starts_at: startsAt, on_date: date, gap_seconds: gapSeconds, revision, saved_at, saved_by: savedBy } = row;
  const body: SetListBody = { name, place, startsAt, date, gapSeconds, entries: entries.rows.map(entryOf) };
  return { ...body, id, revision, savedAt: saved_at.toISOString(), savedBy, songs: [...(await songsOf(db, bandId, body))] };
}

interface EntryRow {
  readonly place: number;
  readonly song_id: string | null;
  readonly entry: unknown;
}

/** A stored entry; of one that no longer fits its song is kept, played as usual, or else a break stands in its place. */
function entryOf({ place, song_id: songId, entry }: EntryRow): SetListBody['entries'][number] {
  const read = setListBody.shape.entries.element.safeParse(upgraded(entry));
  if (read.success) return read.data;
  const id = `entry-${place}`;
  return songId === null ? { kind: 'break', id, name: 'Break', seconds: 900 } : { ...NEW_SET_SONG, id, songId };
}

function songsOf(db: Queryable, bandId: string, body: SetListBody): Promise<readonly Song[]> {
  return findSongs(db, bandId, songIdsOf(body));
}

function songIdsOf({ entries }: SetListBody): readonly string[] {
  return [...new Set(entries.flatMap((entry) => (entry.kind === 'song' ? [entry.songId] : [])))];
}

/** Adds a set. */
export async function addSet(db: Db, bandId: string, body: SetListBody, by: Author = NOBODY): Promise<SetOutcome> {
  return db.transaction((client) => insertSet(client, bandId, body, by));
}

/** The same within a transaction that is under way. */
export async function insertSet(client: Queryable, bandId: string, body: SetListBody, by: Author = NOBODY): Promise<SetOutcome> {
  const strange = await strangeSong(client, bandId, body);
  if (strange !== null) return { kind: 'strange-song', place: strange };
  const { rows } = await client.query<{ id: string }>(
    `insert into set_list (band_id, name, place, starts_at, on_date, gap_seconds, saved_by, saved_name)
     select id, $2, $3, $4, $5, $6, $7, $8 from band where id = $1 returning id`,
    [bandId, body.name, body.place, body.startsAt, body.date, body.gapSeconds, by.memberId, by.name],
  );
  const id = rows[0]?.id;
  if (id === undefined) return { kind: 'missing' };
  await writeEntries(client, bandId, id, body);
  return { kind: 'saved', set: (await findSet(client, bandId, id)) as SetList };
}

/** Saves a set on top of `baseRevision`; a newer one in the store makes the save stale, and nothing is written. */
export async function saveSet(
  db: Db,
  bandId: string,
  setId: string,
  { baseRevision, by = NOBODY, ...body }: SetListBody & { readonly baseRevision: number; readonly by?: Author },
): Promise<SetOutcome> {
  return db.transaction(async (client) => {
    await client.query('select 1 from set_list where band_id = $1 and id = $2 for update', [bandId, setId]);
    const stored = await findSet(client, bandId, setId);
    if (stored === undefined) return { kind: 'missing' };
    if (stored.revision !== baseRevision) return { kind: 'stale', set: stored };
    const strange = await strangeSong(client, bandId, body);
    if (strange !== null) return { kind: 'strange-song', place: strange };
    await client.query(
      `update set_list set name = $3, place = $4, starts_at = $5, on_date = $6, gap_seconds = $7, saved_by = $8, saved_name = $9, revision = revision + 1, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, setId, body.name, body.place, body.startsAt, body.date, body.gapSeconds, by.memberId, by.name],
    );
    await client.query('delete from set_entry where band_id = $1 and set_id = $2', [bandId, setId]);
    await writeEntries(client, bandId, setId, body);
    return { kind: 'saved', set: (await findSet(client, bandId, setId)) as SetList };
  });
}

/** Takes a set away. Answers whether there was one. */
export async function deleteSet(db: Queryable, bandId: string, setId: string): Promise<boolean> {
  const { rowCount } = await db.query('delete from set_list where band_id = $1 and id = $2', [bandId, setId]);
  return rowCount === 1;
}

/** Writes the entries of a set that has none. */
export async function writeEntries(
  client: Queryable,
  bandId: string,
  setId: string,
  { entries }: Pick<SetListBody, 'entries'>,
): Promise<void> {
  await client.query(
    `insert into set_entry (band_id, set_id, place, song_id, entry)
     select $1, $2, place, (entry -> 'value' ->> 'songId')::uuid, entry
       from jsonb_array_elements($3::jsonb) with ordinality as given (entry, place)`,
    [bandId, setId, `[${entries.map((entry) => stored(entry)).join(',')}]`],
  );
}

/** The place of the first entry whose song the band has not; null when it has them all. */
async function strangeSong(client: Queryable, bandId: string, body: SetListBody): Promise<number | null> {
  const known = new Set((await songsOf(client, bandId, body)).map(({ id }) => id));
  const place = body.entries.findIndex((entry) => entry.kind === 'song' && !known.has(entry.songId));
  return place < 0 ? null : place;
}
