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
import type { Threads } from '../compute/threads.ts';
import { authorOf } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing } from '../validate.ts';
import { listSongs, listTags } from './shelf-store.ts';
import { outlineOf, type SongOutline } from './song-outline.ts';
import { addSong, changeSong, copiedSource, findSong, listAlike, saveSong } from './song-store.ts';
import { findVersion, listVersions, nameVersion } from './version-store.ts';

/** `/bands/:bandId/songs`: list, read, add, save with a revision check, history. */
export function songCalls(threads: Threads): readonly Call[] {
  return [...shelfCalls(threads), ...songCallsOf(threads), ...versionCalls(threads)];
}

/** Letters of a chart that are read in no time. */
const SHORT_CHART = 3000;

const SHELF = '/bands/{bandId}/songs';
const SONG = `${SHELF}/{songId}`;
const bandOf = (request: Request) => idOf(request, 'bandId', 'band');
const sizeOf = (texts: readonly string[]) => texts.reduce((sum, text) => sum + text.length, 0);

/** What the shelf shows of a chart; a long one is worked out beside the loop that answers everybody. */
function outlined(threads: Threads, source: string, client: string, gone: AbortSignal): SongOutline | Promise<SongOutline> {
  return source.length <= SHORT_CHART ? outlineOf(source) : threads.task('outline', source, { client, gone, size: source.length });
}

const ids = (request: Request) => [bandOf(request), idOf(request, 'songId', 'song')] as const;

function shelfCalls(threads: Threads): readonly Call[] {
  return [...findingCalls(), ...addingCalls(threads)];
}

/** Which songs and tags there are. */
function findingCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'listSongs',
        access: 'guest',
        method: 'get',
        path: SHELF,
        tag: 'songs',
        summary: 'The band’s songs, found and sorted, a page at a time',
        query: songsQuery,
        answer: songsAnswer,
      },
      ({ query, request, db }) => listSongs(db, bandOf(request), query),
    ),
    call(
      {
        id: 'listTags',
        access: 'guest',
        method: 'get',
        path: `${SHELF}/tags`,
        tag: 'songs',
        summary: 'The band’s tags',
        answer: tagsAnswer,
      },
      async ({ request, db }) => ({ tags: await listTags(db, bandOf(request)) }),
    ),
  ];
}

/** A new song, a copy, and others like one. */
function addingCalls(threads: Threads): readonly Call[] {
  return [
    call(
      {
        id: 'addSong',
        access: 'member',
        method: 'post',
        path: SHELF,
        tag: 'songs',
        summary: 'Add a song',
        body: songCreateRequest,
        answer: song,
        status: 201,
      },
      async ({ body: { source }, request, db, seat, gone }) => {
        const outline = await outlined(threads, source, bandOf(request), gone);
        return orMissing(await addSong(db, bandOf(request), { source, outline, by: authorOf(seat) }), 'band');
      },
    ),
    call(
      {
        id: 'copySong',
        access: 'member',
        method: 'post',
        path: `${SONG}/copies`,
        tag: 'songs',
        summary: 'Put a copy of a song on the shelf',
        answer: song,
        status: 201,
      },
      async ({ request, db, seat, gone }) => {
        const original = orMissing(await findSong(db, ...ids(request)), 'song');
        const source = copiedSource(original);
        const outline = await outlined(threads, source, bandOf(request), gone);
        return orMissing(await addSong(db, bandOf(request), { source, tags: original.tags, outline, by: authorOf(seat) }), 'song');
      },
    ),
    call(
      {
        id: 'listAlike',
        access: 'member',
        method: 'get',
        path: `${SONG}/alike`,
        tag: 'songs',
        summary: 'Songs with the same number pattern, in any key and rotation',
        answer: alikeAnswer,
      },
      async ({ request, db }) => {
        orMissing(await findSong(db, ...ids(request)), 'song');
        return { songs: await listAlike(db, ...ids(request)) };
      },
    ),
  ];
}

function songCallsOf(threads: Threads): readonly Call[] {
  return [
    call(
      { id: 'readSong', access: 'guest', method: 'get', path: SONG, tag: 'songs', summary: 'A song with its chart', answer: song },
      async ({ request, db }) => orMissing(await findSong(db, ...ids(request)), 'song'),
    ),
    call(
      {
        id: 'saveSong',
        access: 'member',
        method: 'put',
        path: SONG,
        tag: 'songs',
        summary: 'Save a chart on top of a revision',
        body: songSaveRequest,
        answer: song,
        problems: [409],
      },
      async ({ body: save, request, db, seat, gone }) => {
        // worked out before anything is locked
        const outline = await outlined(threads, save.source, bandOf(request), gone);
        const outcome = await saveSong(db, ...ids(request), { ...save, outline, by: authorOf(seat) });
        if (outcome.kind === 'missing') throw notFound('song');
        if (outcome.kind === 'saved') return outcome.song;
        const detail = `Somebody saved revision ${outcome.song.revision} after your revision ${save.baseRevision}. Nothing was overwritten.`;
        throw new HttpFault('stale-save', detail, { current: outcome.song });
      },
    ),
    call(
      {
        id: 'changeSong',
        access: 'member',
        method: 'patch',
        path: SONG,
        tag: 'songs',
        summary: 'Change a song’s tags, put it away or bring it back',
        body: songChange,
        answer: song,
      },
      async ({ body, request, db }) => orMissing(await changeSong(db, ...ids(request), body), 'song'),
    ),
  ];
}

function versionCalls(threads: Threads): readonly Call[] {
  const version = `${SONG}/versions/{revision}`;
  return [
    call(
      {
        id: 'listVersions',
        access: 'member',
        method: 'get',
        path: `${SONG}/versions`,
        tag: 'songs',
        summary: 'The saves of a song, newest first, a page at a time',
        query: versionsQuery,
        answer: songVersionsAnswer,
      },
      async ({ query: { before, named }, request, db, gone }) => {
        orMissing(await findSong(db, ...ids(request)), 'song');
        const compare = (sources: readonly string[]) =>
          threads.task('changes', sources, { client: bandOf(request), gone, size: sizeOf(sources) });
        return listVersions(db, ...ids(request), { before, named: named === 'yes' }, compare);
      },
    ),
    call(
      {
        id: 'readVersion',
        access: 'member',
        method: 'get',
        path: version,
        tag: 'songs',
        summary: 'One save with its chart',
        answer: songVersion,
      },
      async ({ request, db }) => orMissing(await findVersion(db, ...ids(request), revisionOf(request)), 'version'),
    ),
    call(
      {
        id: 'nameVersion',
        access: 'member',
        method: 'patch',
        path: version,
        tag: 'songs',
        summary: 'Name a save',
        body: versionName,
        answer: songVersion.omit({ source: true }),
      },
      async ({ body: { name }, request, db }) => orMissing(await nameVersion(db, ...ids(request), revisionOf(request), name), 'version'),
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
