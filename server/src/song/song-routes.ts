import { songChange, songCreateRequest, songSaveRequest, songsQuery, versionName, versionsQuery } from '@aurora/wire';
import { type Request, Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { bodyOf, idOf, notFound, queryOf } from '../validate.ts';
import { listSongs, listTags } from './shelf-store.ts';
import { addSong, changeSong, duplicateSong, findSong, listAlike, saveSong } from './song-store.ts';
import { findVersion, listVersions, nameVersion } from './version-store.ts';

/** `/bands/:bandId/songs`: list, read, add, save with a revision check, history. */
export function songRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/', async (request, response) => {
    response.json(await listSongs(pool, idOf(request, 'bandId', 'band'), queryOf(request, songsQuery)));
  });

  routes.get('/tags', async (request, response) => {
    response.json({ tags: await listTags(pool, idOf(request, 'bandId', 'band')) });
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
    const save = bodyOf(request, songSaveRequest);
    const outcome = await saveSong(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'), save);
    if (outcome.kind === 'missing') throw notFound('song');
    if (outcome.kind === 'stale') {
      const detail = `Somebody saved revision ${outcome.song.revision} after your revision ${save.baseRevision}. Nothing was overwritten.`;
      throw new HttpFault('stale-save', detail, { current: outcome.song });
    }
    response.json(outcome.song);
  });

  routes.patch('/:songId', async (request, response) => {
    const change = bodyOf(request, songChange);
    const song = await changeSong(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'), change);
    if (song === undefined) throw notFound('song');
    response.json(song);
  });

  routes.post('/:songId/copies', async (request, response) => {
    const song = await duplicateSong(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'));
    if (song === undefined) throw notFound('song');
    response.status(201).json(song);
  });

  routes.get('/:songId/alike', async (request, response) => {
    const [bandId, songId] = [idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song')];
    if ((await findSong(pool, bandId, songId)) === undefined) throw notFound('song');
    response.json({ songs: await listAlike(pool, bandId, songId) });
  });

  routes.get('/:songId/versions', async (request, response) => {
    const [bandId, songId] = [idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song')];
    const { before, named } = queryOf(request, versionsQuery);
    if ((await findSong(pool, bandId, songId)) === undefined) throw notFound('song');
    response.json(await listVersions(pool, bandId, songId, { before, named: named === 'yes' }));
  });

  routes.get('/:songId/versions/:revision', async (request, response) => {
    const version = await findVersion(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'), revisionOf(request));
    if (version === undefined) throw notFound('version');
    response.json(version);
  });

  routes.patch('/:songId/versions/:revision', async (request, response) => {
    const { name } = bodyOf(request, versionName);
    const version = await nameVersion(pool, idOf(request, 'bandId', 'band'), idOf(request, 'songId', 'song'), revisionOf(request), name);
    if (version === undefined) throw notFound('version');
    response.json(version);
  });

  return routes;
}

const MOST_REVISION = 2_147_483_647;

/** A revision from the address; anything that is none is simply not there. */
function revisionOf(request: Request): number {
  const revision = Number(request.params.revision);
  if (Number.isInteger(revision) && revision >= 1 && revision <= MOST_REVISION) return revision;
  throw notFound('version');
}
