import { printBar, printKey, printNumber, readChart } from '@aurora/core';
import type { Song, SongSummary, SongVersion } from '@aurora/wire';
import { inTransaction, type Pool, type Queryable } from '../db/pool.ts';

/** What came of a save: the song as it stands now, and whether this save is in it. */
export type SaveOutcome = { readonly kind: 'saved' | 'stale'; readonly song: Song } | { readonly kind: 'missing' };

interface SongRow {
  readonly id: string;
  readonly title: string;
  readonly by_line: string;
  readonly key_name: string;
  readonly tempo: string | null;
  readonly bars: number;
  readonly opening: string[];
  readonly revision: number;
  readonly saved_at: Date;
}

/** How many bars the shelf shows of a song. */
const OPENING_BARS = 4;

const COLUMNS = 'song.id, song.title, song.by_line, song.key_name, song.tempo, song.bars, song.opening, song.revision, song.saved_at';

/** The band's songs by title. */
export async function listSongs(db: Queryable, bandId: string): Promise<readonly SongSummary[]> {
  const { rows } = await db.query<SongRow>(`select ${COLUMNS} from song where band_id = $1 order by lower(title), id`, [bandId]);
  return rows.map(summaryOf);
}

/** A song with its newest chart; undefined when the band has none by that id. */
export async function findSong(db: Queryable, bandId: string, songId: string): Promise<Song | undefined> {
  const { rows } = await db.query<SongRow & { source: string }>(
    `select ${COLUMNS}, version.source from song
       join chart_version version on version.song_id = song.id and version.revision = song.revision
      where song.band_id = $1 and song.id = $2`,
    [bandId, songId],
  );
  return rows[0] === undefined ? undefined : { ...summaryOf(rows[0]), source: rows[0].source };
}

/** Puts a new song on the shelf, with its chart as revision 1. Undefined when there is no such band. */
export async function addSong(pool: Pool, bandId: string, source: string): Promise<Song | undefined> {
  return inTransaction(pool, async (client) => {
    const head = headOf(source);
    const { rows } = await client.query<{ id: string }>(
      `insert into song (band_id, title, by_line, key_name, tempo, bars, opening, revision)
       select band.id, $2, $3, $4, $5, $6, $7, 1 from band where band.id = $1 returning id`,
      [bandId, head.title, head.by, head.key, head.tempo, head.bars, head.opening],
    );
    const id = rows[0]?.id;
    if (id === undefined) return undefined;
    await addVersion(client, bandId, id, 1, source);
    return findSong(client, bandId, id);
  });
}

/**
 * Saves a chart on top of `baseRevision`. A newer revision in the store makes the save stale:
 * nothing is written and the stored song comes back. Saving what is stored already adds nothing.
 */
export async function saveSong(pool: Pool, bandId: string, songId: string, baseRevision: number, source: string): Promise<SaveOutcome> {
  return inTransaction(pool, async (client) => {
    await client.query('select 1 from song where band_id = $1 and id = $2 for update', [bandId, songId]);
    const stored = await findSong(client, bandId, songId);
    if (stored === undefined) return { kind: 'missing' };
    if (stored.source === source) return { kind: 'saved', song: stored };
    if (stored.revision !== baseRevision) return { kind: 'stale', song: stored };
    const head = headOf(source);
    await addVersion(client, bandId, songId, baseRevision + 1, source);
    await client.query(
      `update song set title = $3, by_line = $4, key_name = $5, tempo = $6, bars = $7, opening = $8, revision = $9, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, songId, head.title, head.by, head.key, head.tempo, head.bars, head.opening, baseRevision + 1],
    );
    return { kind: 'saved', song: (await findSong(client, bandId, songId)) as Song };
  });
}

/** Every save of a song, newest first; none when the band has no such song. */
export async function listVersions(db: Queryable, bandId: string, songId: string): Promise<readonly SongVersion[]> {
  const { rows } = await db.query<{ revision: number; saved_at: Date; source: string }>(
    'select revision, saved_at, source from chart_version where band_id = $1 and song_id = $2 order by revision desc',
    [bandId, songId],
  );
  return rows.map(({ revision, saved_at, source }) => ({ revision, savedAt: saved_at.toISOString(), source }));
}

async function addVersion(client: Queryable, bandId: string, songId: string, revision: number, source: string): Promise<void> {
  await client.query('insert into chart_version (band_id, song_id, revision, source) values ($1, $2, $3, $4)', [
    bandId,
    songId,
    revision,
    source,
  ]);
}

/** What the shelf shows of a chart. */
function headOf(source: string) {
  const { head, bars } = readChart(source);
  const key = printKey(head.key);
  const opening = bars.slice(0, OPENING_BARS).map((bar) => printBar(bar, printNumber));
  return { title: head.title, by: head.by, key, tempo: head.tempo, bars: bars.length, opening };
}

function summaryOf(row: SongRow): SongSummary {
  return {
    id: row.id,
    title: row.title,
    by: row.by_line,
    key: row.key_name,
    tempo: row.tempo === null ? null : Number(row.tempo),
    bars: row.bars,
    opening: row.opening,
    revision: row.revision,
    savedAt: row.saved_at.toISOString(),
  };
}
