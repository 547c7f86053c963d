import { analyze, type Progression, printBar, printKey, printNumber, readProgression, roundsOf } from '@aurora/core';
import type { AlikeSong, Song, SongSummary, SongVersion } from '@aurora/wire';
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
  readonly ridge: number[] | null;
  readonly revision: number;
  readonly saved_at: Date;
}

/** How many bars the shelf shows of a song. */
const OPENING_BARS = 4;

const COLUMNS =
  'song.id, song.title, song.by_line, song.key_name, song.tempo, song.bars, song.opening, song.ridge, song.revision, song.saved_at';

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
      `insert into song (band_id, title, by_line, key_name, tempo, bars, opening, ridge, rounds, revision)
       select band.id, $2, $3, $4, $5, $6, $7, $8, $9, 1 from band where band.id = $1 returning id`,
      [bandId, head.title, head.by, head.key, head.tempo, head.bars, head.opening, head.ridge, head.rounds],
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
      `update song set title = $3, by_line = $4, key_name = $5, tempo = $6, bars = $7, opening = $8,
              ridge = $9, rounds = $10, revision = $11, saved_at = now()
        where band_id = $1 and id = $2`,
      [bandId, songId, head.title, head.by, head.key, head.tempo, head.bars, head.opening, head.ridge, head.rounds, baseRevision + 1],
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

/** Other songs of the band that share a round of chords with this one, most in common first. */
export async function listAlike(db: Queryable, bandId: string, songId: string): Promise<readonly AlikeSong[]> {
  const { rows } = await db.query<AlikeSong>(
    `select other.id, other.title, other.key_name as key,
            array(select unnest(song.rounds) intersect select unnest(other.rounds) order by 1) as rounds
       from song join song other on other.band_id = song.band_id and other.id <> song.id and other.rounds && song.rounds
      where song.band_id = $1 and song.id = $2
      order by 4 desc, lower(other.title)`,
    [bandId, songId],
  );
  return [...rows].sort((a, b) => b.rounds.length - a.rounds.length);
}

/** Works out the ridge and the rounds of songs that were saved before there were any. Says how many. */
export async function outlineOlderSongs(pool: Pool): Promise<number> {
  const { rows } = await pool.query<{ id: string; source: string }>(
    `select song.id, version.source from song
       join chart_version version on version.song_id = song.id and version.revision = song.revision
      where song.ridge is null or song.rounds is null`,
  );
  for (const { id, source } of rows) {
    const { ridge, rounds } = outlineOf(readProgression(source));
    await pool.query('update song set ridge = $2, rounds = $3 where id = $1', [id, ridge, rounds]);
  }
  return rows.length;
}

/** Charts with more chords than any song are kept, but not drawn on the shelf. */
const MOST_OUTLINED = 3000;
/** As many points as a line on the shelf can show. */
const MOST_POINTS = 120;

function outlineOf(progression: Progression): { readonly ridge: readonly number[]; readonly rounds: readonly string[] } {
  if (progression.chords.length > MOST_OUTLINED) return { ridge: [], rounds: [] };
  const heights = analyze(progression).ridge.map(({ ground, height }) => ground + height);
  const step = Math.max(1, heights.length / MOST_POINTS);
  const ridge = Array.from({ length: Math.min(heights.length, MOST_POINTS) }, (_, index) => heights[Math.floor(index * step)] as number);
  return { ridge, rounds: roundsOf(progression) };
}

/** What the shelf shows of a chart. */
function headOf(source: string) {
  const progression = readProgression(source);
  const { head, bars } = progression.chart;
  const key = printKey(head.key);
  const opening = bars.slice(0, OPENING_BARS).map((bar) => printBar(bar, printNumber));
  return { title: head.title, by: head.by, key, tempo: head.tempo, bars: bars.length, opening, ...outlineOf(progression) };
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
    ridge: row.ridge ?? [],
    revision: row.revision,
    savedAt: row.saved_at.toISOString(),
  };
}
