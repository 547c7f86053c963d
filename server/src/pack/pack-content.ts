import { eveningOf, parseKey, readChart, setSheet } from '@aurora/core';
import type { PackRequest } from '@aurora/wire';
import { bandName } from '../band/band-store.ts';
import type { Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import type { Handler } from '../job/worker.ts';
import { listMembers } from '../member/member-store.ts';
import { readPreferences } from '../preference/preference-store.ts';
import { findSet } from '../set/set-store.ts';
import { findSong } from '../song/song-store.ts';
import { listSwaps } from '../swap/swap-store.ts';
import { notFound, orMissing, required } from '../validate.ts';
import { makePack, type PackContent, packSongsOf } from './pack.ts';

/** Makes a pack as it was asked for. */
export const packHandler: Handler = async ({ db, job, tick }) => makePack(await packContent(db, job.bandId, job.wish as PackRequest), tick);

/**
 * Whether there is something to make a pack of; the charts themselves are read when it is made.
 * @throws HttpFault where there is not.
 */
export async function requireSongs(db: Queryable, bandId: string, wish: PackRequest): Promise<void> {
  if (wish.of === 'song') {
    orMissing(await findSong(db, bandId, wish.songId), 'song');
    if (wish.key !== null) required(parseKey(wish.key), 'key');
    return;
  }
  const set = orMissing(await findSet(db, bandId, wish.setId), 'set');
  if (set.songs.length === 0) throw new HttpFault('invalid', 'There is no song in this set yet.');
}

/** What a pack is made of.
 * @throws HttpFault where the band has no such song or set.
 */
async function packContent(db: Queryable, bandId: string, wish: PackRequest): Promise<PackContent> {
  const [members, { naming }] = [await listMembers(db, bandId), await readPreferences(db, bandId)];
  const band = (await bandName(db, bandId)) ?? '';
  const shared = { band, members, naming, paper: wish.paper };
  if (wish.of === 'set') {
    const set = await findSet(db, bandId, wish.setId);
    if (set === undefined) throw notFound('set');
    const names = new Map(members.map(({ id, name }) => [id, name]));
    const evening = eveningOf(set, set.songs);
    const sheet = setSheet(evening, (id) => names.get(id), naming);
    const swaps = await listSwaps(
      db,
      bandId,
      set.songs.map(({ id }) => id),
    );
    return { ...shared, title: set.name, songs: packSongsOf(evening), swaps, set: sheet };
  }
  const song = await findSong(db, bandId, wish.songId);
  if (song === undefined) throw notFound('song');
  const tonic = required(parseKey(wish.key ?? song.key), 'key').tonic;
  const title = song.title || 'Song without a title';
  return {
    ...shared,
    title,
    songs: [{ reading: readChart(song.source), tonic, songId: song.id, capos: {}, tonight: '' }],
    swaps: await listSwaps(db, bandId, [song.id]),
    set: null,
  };
}
