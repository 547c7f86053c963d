import type { Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';

/** What a band may have. Saves are thinned with time, so that they need no limit beside that of bytes. */
export const QUOTA = { songs: 20_000, megabytes: 1024 } as const;

const MEGABYTE = 1024 * 1024;

/**
 * Whether so many more songs have room on the band's shelf.
 * @throws HttpFault when not.
 */
export async function requireRoom(client: Queryable, bandId: string, more: number): Promise<void> {
  const { rows } = await client.query<{ songs: number }>('select count(*)::int as songs from song where band_id = $1', [bandId]);
  if ((rows[0]?.songs ?? 0) + more > QUOTA.songs)
    throw new HttpFault('over-quota', `A shelf holds ${QUOTA.songs} songs. Begin another band for more.`);
}

/**
 * Adds what is saved to what the band keeps.
 * @throws HttpFault where that is more than it may.
 */
export async function addBytes(client: Queryable, bandId: string, bytes: number): Promise<void> {
  const { rows } = await client.query<{ fits: boolean }>(
    'update band set bytes = bytes + $2 where id = $1 returning bytes <= $3::bigint as fits',
    [bandId, bytes, QUOTA.megabytes * MEGABYTE],
  );
  // a band that is not there is told of by whoever saves
  if (rows[0]?.fits === false) throw new HttpFault('over-quota', `Your band has used its ${QUOTA.megabytes} MB on this server.`);
}
