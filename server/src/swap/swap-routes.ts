import { parseNumberOrLetters } from '@aurora/core';
import { swapRequest } from '@aurora/wire';
import { type Request, Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { findSong } from '../song/song-store.ts';
import { bodyOf, idOf, notFound, required } from '../validate.ts';
import { listSwaps, saveSwap } from './swap-store.ts';

/** `/bands/{id}/songs/{id}/swaps`: easier chords that one player plays, which the others can refuse. */
export function swapRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song')] as const;
  const swapsOf = async (bandId: string, songId: string) => ({ swaps: (await listSwaps(pool, bandId, [songId])).get(songId) ?? [] });

  routes.get('/', async (request, response) => {
    const [bandId, songId] = ids(request);
    if ((await findSong(pool, bandId, songId)) === undefined) throw notFound('song');
    response.json(await swapsOf(bandId, songId));
  });

  routes.put('/', async (request, response) => {
    const [bandId, songId] = ids(request);
    const swap = bodyOf(request, swapRequest);
    for (const [path, text] of [
      ['chord', swap.chord],
      ['instead', swap.instead],
    ] as const)
      if (text !== null) required(parseNumberOrLetters(text, 0), path);
    if (!(await saveSwap(pool, bandId, songId, swap))) throw notFound('player or song');
    response.json(await swapsOf(bandId, songId));
  });

  return routes;
}
