import { BACKUP_FORMAT, BACKUP_VERSION, type BandBackup, setListBody } from '@aurora/wire';
import { bandName } from '../band/band-store.ts';
import type { Queryable } from '../db/pool.ts';
import { listMembers } from '../member/member-store.ts';
import { allPieces } from '../piece/piece-store.ts';
import { readPreferences } from '../preference/preference-store.ts';
import { findSet, listSets } from '../set/set-store.ts';
import { allSwaps } from '../swap/swap-store.ts';
import { readPractice } from './practice-backup.ts';

/** What stands before the songs: little of it, whatever the band has. */
type Head = Omit<BandBackup, 'songs' | 'practice' | 'pieces'>;
type Song = BandBackup['songs'][number];

const SONGS_AT_ONCE = 100;

/**
 * Everything a band has as the text of a backup, a part at a time, so that a long shelf is never held whole.
 * What is spoken of comes before what speaks of it is read, so that a change meanwhile leaves no loose end.
 */
export async function* backupText(db: Queryable, bandId: string, now: Date): AsyncGenerator<string> {
  const head = await headOf(db, bandId, now);
  yield `${JSON.stringify(head, null, 2).slice(0, -2)},\n  "songs": [`;
  let isFirst = true;
  for await (const song of songsOf(db, bandId)) {
    yield `${isFirst ? '' : ','}\n${JSON.stringify(song)}`;
    isFirst = false;
  }
  yield `],\n  "practice": ${JSON.stringify(
    await readPractice(
      db,
      bandId,
      head.members.map(({ id }) => id),
    ),
  )},\n  "pieces": ${JSON.stringify(await piecesOf(db, bandId))}\n}\n`;
}

async function headOf(db: Queryable, bandId: string, now: Date): Promise<Head> {
  const members = await listMembers(db, bandId);
  const sets: BandBackup['sets'] = [];
  for (const { id } of await listSets(db, bandId)) {
    const set = await findSet(db, bandId, id);
    if (set !== undefined) sets.push({ ...setListBody.parse(set), id });
  }
  return {
    format: BACKUP_FORMAT,
    version: BACKUP_VERSION,
    savedAt: now.toISOString(),
    band: { name: (await bandName(db, bandId)) ?? '' },
    preferences: await readPreferences(db, bandId),
    members: members.map(({ id, name, plays, reads, instrument }) => ({ id, name, plays, reads, instrument })),
    sets,
    // of players who went meanwhile there are none
    swaps: (await allSwaps(db, bandId)).filter(({ memberId }) => members.some(({ id }) => id === memberId)),
  };
}

interface VersionRow {
  readonly id: string;
  readonly tags: string[];
  readonly archived: boolean;
  readonly revision: number;
  readonly saved_at: Date;
  readonly name: string | null;
  readonly by: string | null;
  readonly source: string;
}

/** The songs in the order they came, each with all its saves. */
async function* songsOf(db: Queryable, bandId: string): AsyncGenerator<Song> {
  const { rows: order } = await db.query<{ id: string }>('select id from song where band_id = $1 order by created_at, id', [bandId]);
  for (let at = 0; at < order.length; at += SONGS_AT_ONCE) {
    const ids = order.slice(at, at + SONGS_AT_ONCE).map(({ id }) => id);
    const { rows } = await db.query<VersionRow>(
      `select song.id, song.tags, song.archived_at is not null as archived, version.revision, version.saved_at, version.name,
              version.saved_by as by, version.source
         from song join chart_version version on version.band_id = song.band_id and version.song_id = song.id
        where song.band_id = $1 and song.id = any ($2::uuid[]) order by song.created_at, song.id, version.revision`,
      [bandId, ids],
    );
    const songs: Song[] = [];
    for (const { id, tags, archived, revision, saved_at, name, by, source } of rows) {
      if (songs.at(-1)?.id !== id) songs.push({ id, tags, archived, versions: [] });
      songs.at(-1)?.versions.push({ revision, savedAt: saved_at.toISOString(), name, by, source });
    }
    yield* songs;
  }
}

async function piecesOf(db: Queryable, bandId: string): Promise<BandBackup['pieces']> {
  return (await allPieces(db, bandId)).map(({ id, title, by, format, rhythm, said, songId, source }) => ({
    id,
    title,
    by,
    format,
    rhythm,
    said,
    songId,
    data: Buffer.from(source).toString('base64'),
  }));
}
