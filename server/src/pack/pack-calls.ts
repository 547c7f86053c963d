import { eveningOf, parseKey, readChart, setSheet } from '@aurora/core';
import { jobState, type PackRequest, packRequest } from '@aurora/wire';
import { listBands } from '../band/band-store.ts';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import type { Jobs } from '../job/jobs.ts';
import { listMembers } from '../member/member-store.ts';
import { readPreferences } from '../preference/preference-store.ts';
import { findSet } from '../set/set-store.ts';
import { findSong } from '../song/song-store.ts';
import { listSwaps } from '../swap/swap-store.ts';
import { idOf, notFound, required } from '../validate.ts';
import { makePack, type PackContent, packSongsOf } from './pack.ts';

/** `/bands/{id}/packs`: a PDF for every member, for a song or a whole set, made meanwhile. */
export function packCalls(pool: Pool, jobs: Jobs): readonly Call[] {
  return [
    call(
      {
        id: 'startPack',
        method: 'post',
        path: '/bands/{bandId}/packs',
        tag: 'work',
        summary: 'Start on a PDF for every player, of a song or a set',
        body: packRequest,
        answer: jobState,
        status: 202,
        isLimited: true,
      },
      async ({ body, request }) => {
        const bandId = idOf(request, 'bandId', 'band');
        const content = await contentOf(pool, bandId, body);
        if (content.members.length === 0) throw new HttpFault('invalid', 'There is nobody in the band yet: add a player first.');
        if (content.songs.length === 0) throw new HttpFault('invalid', 'There is no song in this set yet.');
        return jobs.start(
          bandId,
          (tick) => makePack(content, tick),
          () => undefined,
        );
      },
    ),
  ];
}

async function contentOf(pool: Pool, bandId: string, wish: PackRequest): Promise<PackContent> {
  const [members, { naming }] = [await listMembers(pool, bandId), await readPreferences(pool, bandId)];
  const band = (await listBands(pool)).find(({ id }) => id === bandId)?.name ?? '';
  const shared = { band, members, naming, paper: wish.paper };
  if (wish.of === 'set') {
    const set = await findSet(pool, bandId, wish.setId);
    if (set === undefined) throw notFound('set');
    const names = new Map(members.map(({ id, name }) => [id, name]));
    const evening = eveningOf(set, set.songs);
    const sheet = setSheet(evening, (id) => names.get(id), naming);
    const swaps = await listSwaps(
      pool,
      bandId,
      set.songs.map(({ id }) => id),
    );
    return { ...shared, title: set.name, songs: packSongsOf(evening), swaps, set: sheet };
  }
  const song = await findSong(pool, bandId, wish.songId);
  if (song === undefined) throw notFound('song');
  const tonic = required(parseKey(wish.key ?? song.key), 'key').tonic;
  const title = song.title || 'Song without a title';
  return {
    ...shared,
    title,
    songs: [{ reading: readChart(song.source), tonic, songId: song.id, capos: {}, tonight: '' }],
    swaps: await listSwaps(pool, bandId, [song.id]),
    set: null,
  };
}
