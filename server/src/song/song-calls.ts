import {
  alikeAnswer,
  song,
  songChange,
  songCreateRequest,
  songSaveRequest,
  songsAnswer,
  songsQuery,
  songVersion,
  songVersionsAnswer,
  tagsAnswer,
  versionName,
  versionsQuery,
} from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing } from '../validate.ts';
import { listSongs, listTags } from './shelf-store.ts';
import { addSong, changeSong, duplicateSong, findSong, listAlike, saveSong } from './song-store.ts';
import { findVersion, listVersions, nameVersion } from './version-store.ts';

/** `/bands/:bandId/songs`: list, read, add, save with a revision check, history. */
export function songCalls(pool: Pool): readonly Call[] {
  return [...shelfCalls(pool), ...songCallsOf(pool), ...versionCalls(pool)];
}

const SHELF = '/bands/{bandId}/songs';
const SONG = `${SHELF}/{songId}`;
const bandOf = (request: Request) => idOf(request, 'bandId', 'band');
const ids = (request: Request) => [bandOf(request), idOf(request, 'songId', 'song')] as const;

function shelfCalls(pool: Pool): readonly Call[] {
  return [
    call(
      {
        id: 'listSongs',
        method: 'get',
        path: SHELF,
        tag: 'songs',
        summary: 'The band’s songs, found and sorted, a page at a time',
        query: songsQuery,
        answer: songsAnswer,
      },
      ({ query, request }) => listSongs(pool, bandOf(request), query),
    ),
    call(
      { id: 'listTags', method: 'get', path: `${SHELF}/tags`, tag: 'songs', summary: 'The band’s tags', answer: tagsAnswer },
      async ({ request }) => ({ tags: await listTags(pool, bandOf(request)) }),
    ),
    call(
      {
        id: 'addSong',
        method: 'post',
        path: SHELF,
        tag: 'songs',
        summary: 'Add a song',
        body: songCreateRequest,
        answer: song,
        status: 201,
      },
      async ({ body, request }) => orMissing(await addSong(pool, bandOf(request), body.source), 'band'),
    ),
    call(
      {
        id: 'copySong',
        method: 'post',
        path: `${SONG}/copies`,
        tag: 'songs',
        summary: 'Put a copy of a song on the shelf',
        answer: song,
        status: 201,
      },
      async ({ request }) => orMissing(await duplicateSong(pool, ...ids(request)), 'song'),
    ),
    call(
      {
        id: 'listAlike',
        method: 'get',
        path: `${SONG}/alike`,
        tag: 'songs',
        summary: 'Songs with the same number pattern, in any key and rotation',
        answer: alikeAnswer,
      },
      async ({ request }) => {
        orMissing(await findSong(pool, ...ids(request)), 'song');
        return { songs: await listAlike(pool, ...ids(request)) };
      },
    ),
  ];
}

function songCallsOf(pool: Pool): readonly Call[] {
  return [
    call({ id: 'readSong', method: 'get', path: SONG, tag: 'songs', summary: 'A song with its chart', answer: song }, async ({ request }) =>
      orMissing(await findSong(pool, ...ids(request)), 'song'),
    ),
    call(
      {
        id: 'saveSong',
        method: 'put',
        path: SONG,
        tag: 'songs',
        summary: 'Save a chart on top of a revision',
        body: songSaveRequest,
        answer: song,
        problems: [409],
      },
      async ({ body: save, request }) => {
        const outcome = await saveSong(pool, ...ids(request), save);
        if (outcome.kind === 'missing') throw notFound('song');
        if (outcome.kind === 'saved') return outcome.song;
        const detail = `Somebody saved revision ${outcome.song.revision} after your revision ${save.baseRevision}. Nothing was overwritten.`;
        throw new HttpFault('stale-save', detail, { current: outcome.song });
      },
    ),
    call(
      {
        id: 'changeSong',
        method: 'patch',
        path: SONG,
        tag: 'songs',
        summary: 'Change a song’s tags, put it away or bring it back',
        body: songChange,
        answer: song,
      },
      async ({ body, request }) => orMissing(await changeSong(pool, ...ids(request), body), 'song'),
    ),
  ];
}

function versionCalls(pool: Pool): readonly Call[] {
  const version = `${SONG}/versions/{revision}`;
  return [
    call(
      {
        id: 'listVersions',
        method: 'get',
        path: `${SONG}/versions`,
        tag: 'songs',
        summary: 'The saves of a song, newest first, a page at a time',
        query: versionsQuery,
        answer: songVersionsAnswer,
      },
      async ({ query: { before, named }, request }) => {
        orMissing(await findSong(pool, ...ids(request)), 'song');
        return listVersions(pool, ...ids(request), { before, named: named === 'yes' });
      },
    ),
    call(
      { id: 'readVersion', method: 'get', path: version, tag: 'songs', summary: 'One save with its chart', answer: songVersion },
      async ({ request }) => orMissing(await findVersion(pool, ...ids(request), revisionOf(request)), 'version'),
    ),
    call(
      {
        id: 'nameVersion',
        method: 'patch',
        path: version,
        tag: 'songs',
        summary: 'Name a save',
        body: versionName,
        answer: songVersion.omit({ source: true }),
      },
      async ({ body: { name }, request }) => orMissing(await nameVersion(pool, ...ids(request), revisionOf(request), name), 'version'),
    ),
  ];
}

const MOST_REVISION = 2_147_483_647;

/** A revision from the address; anything that is none is simply not there. */
function revisionOf(request: Request): number {
  const revision = Number(request.params.revision);
  if (Number.isInteger(revision) && revision >= 1 && revision <= MOST_REVISION) return revision;
  throw notFound('version');
}
