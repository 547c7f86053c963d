import { songCreateRequest, songSaveRequest } from '@aurora/wire';
import { Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { bodyOf, idOf, notFound } from '../validate.ts';
import { addSong, findSong, listAlike, listSongs, listVersions, saveSong } from './song-store.ts';

/** `/bands/:bandId/songs`: list, read, add, save with a revision check, history. */
export function songRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/', async (request, response) => {
    response.json({ songs: await listSongs(pool, idOf(request, 'bandId', 'band')) });
  });

  routes.post('/', async (request, response) => {
    const { source } = bodyOf(request, songCreateRequest);
    const song = await addSong(pool, idOf(request, 'bandId', 'band'), source);
    if (song === undefined) throw notFound('band');
    response.status(201).json(song);
  });

  routes.get('/:songId', async (request, response) => {
    const song = await findSong(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'));
    if (song === undefined) throw notFound('song');
    response.json(song);
  });

  routes.put('/:songId', async (request, response) => {
    const { source, baseRevision } = bodyOf(request, songSaveRequest);
    const outcome = await saveSong(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'), baseRevision, source);
    if (outcome.kind === 'missing') throw notFound('song');
    if (outcome.kind === 'stale') {
      const detail = `Somebody saved revision ${outcome.song.revision} after your revision ${baseRevision}. Nothing was overwritten.`;
      throw new HttpFault('stale-save', detail, { current: outcome.song });
    }
    response.json(outcome.song);
  });

  routes.get('/:songId/alike', async (request, response) => {
    const [bandId, songId] = [idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song')];
    if ((await findSong(pool, bandId, songId)) === undefined) throw notFound('song');
    response.json({ songs: await listAlike(pool, bandId, songId) });
  });

  routes.get('/:songId/versions', async (request, response) => {
    const versions = await listVersions(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'));
    if (versions.length === 0) throw notFound('song');
    response.json({ versions });
  });

  return routes;
}
