import { parseNumberOrLetters } from '@aurora/core';
import { swapRequest, swapsAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Db } from '../db/pool.ts';
import { findSong } from '../song/song-store.ts';
import { idOf, notFound, required } from '../validate.ts';
import { listSwaps, saveSwap } from './swap-store.ts';

/** `/bands/{id}/songs/{id}/swaps`: easier chords that one player plays, which the others can refuse. */
export function swapCalls(): readonly Call[] {
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song')] as const;
  const swapsOf = async (db: Db, bandId: string, songId: string) => ({ swaps: (await listSwaps(db, bandId, [songId])).get(songId) ?? [] });
  return [
    call(
      {
        id: 'listSwaps',
        access: 'guest',
        method: 'get',
        path: '/bands/{bandId}/songs/{songId}/swaps',
        tag: 'songs',
        summary: 'Chords that players play otherwise',
        answer: swapsAnswer,
      },
      async ({ request, db }) => {
        const [bandId, songId] = ids(request);
        if ((await findSong(db, bandId, songId)) === undefined) throw notFound('song');
        return swapsOf(db, bandId, songId);
      },
    ),
    call(
      {
        id: 'saveSwap',
        access: 'member',
        method: 'put',
        path: '/bands/{bandId}/songs/{songId}/swaps',
        tag: 'songs',
        summary: 'Have a player play another chord, or the one that is written',
        body: swapRequest,
        answer: swapsAnswer,
      },
      async ({ body: swap, request, db }) => {
        const [bandId, songId] = ids(request);
        for (const [path, text] of [
          ['chord', swap.chord],
          ['instead', swap.instead],
        ] as const)
          if (text !== null) required(parseNumberOrLetters(text, 0), path);
        if (!(await saveSwap(db, bandId, songId, swap))) throw notFound('player or song');
        return swapsOf(db, bandId, songId);
      },
    ),
  ];
}
