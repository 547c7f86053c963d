import type { SongVersion, SongVersionHead } from '@aurora/wire';
import type { Queryable } from '../db/pool.ts';
import { changesOf } from './version-changes.ts';

const PAGE = 60;

interface VersionRow {
  readonly revision: number;
  readonly saved_at: Date;
  readonly name: string | null;
  readonly by: string | null;
}

/** A page of the saves of a song, newest first. */
export interface VersionPage {
  readonly versions: readonly SongVersionHead[];
  /** The revision the next page begins before; null on the last one. */
  readonly next: number | null;
}

const HEAD = `version.revision, version.saved_at, version.name,
  coalesce((select member.name from member where member.band_id = version.band_id and member.id = version.saved_by), version.saved_name) as by`;

/** Says what each chart changed of the one behind it. */
type Compare = (sources: readonly string[]) => ReturnType<typeof changesOf> | Promise<ReturnType<typeof changesOf>>;

/** Saves of a song from before a revision, or the newest; only named ones when asked. None when the band has no such song. */
export async function listVersions(
  db: Queryable,
  bandId: string,
  songId: string,
  { before, named }: { readonly before?: number | undefined; readonly named: boolean },
  compare: Compare = changesOf,
): Promise<VersionPage> {
  const { rows } = await db.query<VersionRow & { readonly source: string }>(
    `select ${HEAD}, version.source from chart_version version
      where band_id = $1 and song_id = $2 and ($3::int is null or revision < $3) and (not $4 or name is not null)
      order by revision desc limit $5`,
    [bandId, songId, before ?? null, named, PAGE + 1],
  );
  const changes = await compare(rows.map(({ source }) => source));
  const versions = rows.slice(0, PAGE).map((row, index) => ({ ...headOf(row), changes: [...(changes[index] ?? [])] }));
  return { versions, next: rows.length > PAGE ? (versions.at(-1)?.revision ?? null) : null };
}

/** One save with its chart; undefined when there is none. */
export async function findVersion(db: Queryable, bandId: string, songId: string, revision: number): Promise<SongVersion | undefined> {
  const { rows } = await db.query<VersionRow & { readonly source: string }>(
    `select ${HEAD}, version.source from chart_version version where band_id = $1 and song_id = $2 and revision = $3`,
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
): Promise<NamedSave | undefined> {
  const { rows } = await db.query<VersionRow>(
    `update chart_version version set name = nullif($4, '') where band_id = $1 and song_id = $2 and revision = $3 returning ${HEAD}`,
    [bandId, songId, revision, name],
  );
  return rows[0] === undefined ? undefined : headOf(rows[0]);
}

type NamedSave = Omit<SongVersionHead, 'changes'>;

/** A save as it is added. */
interface NewVersion {
  readonly revision: number;
  readonly source: string;
  readonly by: { readonly memberId: string | null; readonly name: string | null };
}

/** Adds a save; it is nobody's when the band has no such player (any more). */
export async function addVersion(db: Queryable, bandId: string, songId: string, { revision, source, by }: NewVersion): Promise<void> {
  await db.query(
    `insert into chart_version (band_id, song_id, revision, source, saved_by, saved_name)
     values ($1, $2, $3, $4, (select id from member where band_id = $1 and id = $5), $6)`,
    [bandId, songId, revision, source, by.memberId, by.name],
  );
}

function headOf({ revision, saved_at, name, by }: VersionRow): NamedSave {
  return { revision, savedAt: saved_at.toISOString(), name, by };
}
