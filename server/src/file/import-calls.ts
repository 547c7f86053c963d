import { type ImportPreview, importAccept, importPreview, importQuery, jobState, type SetListBody, setListBody } from '@aurora/wire';
import type { Request } from 'express';
import { restoreBand } from '../backup/backup-store.ts';
import { type Call, call } from '../call/call.ts';
import { inTransaction, type Pool, type Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import type { JobResult, Jobs, Tick } from '../job/jobs.ts';
import { insertSet } from '../set/set-store.ts';
import { insertSong } from '../song/song-store.ts';
import { idOf, notFound } from '../validate.ts';
import { FileRefused, type ReadFile, readFile } from './preview.ts';
import { setOfTable } from './set-table.ts';

const MOST_KEPT = 20;

/**
 * `/bands/{id}/imports`: a file is read meanwhile and shown as what it would become; only what is
 * accepted is written, all of it or nothing.
 */
export function importCalls(pool: Pool, jobs: Jobs): readonly Call[] {
  const files = new Map<string, { readonly bandId: string; readonly file: ReadFile }>();
  const explain = (fault: unknown) => (fault instanceof FileRefused ? fault.message : undefined);
  const fileOf = (request: Request) => {
    const [bandId, id] = [idOf(request, 'bandId', 'band'), idOf(request, 'importId', 'file')];
    const known = files.get(id);
    if (known === undefined || known.bandId !== bandId) throw notFound('file');
    return { bandId, file: known.file };
  };

  return [
    call(
      {
        id: 'readFile',
        method: 'post',
        path: '/bands/{bandId}/imports',
        tag: 'files',
        summary: 'Start on reading a file that is brought in',
        takesFile: true,
        bodyLimit: '32mb',
        query: importQuery,
        answer: jobState,
        status: 202,
        isLimited: true,
      },
      ({ query: { name }, request }) => {
        const bandId = idOf(request, 'bandId', 'band');
        const bytes: unknown = request.body;
        if (!Buffer.isBuffer(bytes) || bytes.length === 0) throw new HttpFault('invalid', 'There is nothing in this file.');
        const state = jobs.start(
          bandId,
          async (tick) => {
            const file = await readFile(name, bytes, tick);
            files.set(state.id, { bandId, file });
            const oldest = files.keys().next().value;
            if (files.size > MOST_KEPT && oldest !== undefined) files.delete(oldest);
            return { says: 'Read.', file: null };
          },
          explain,
        );
        return state;
      },
    ),
    call(
      {
        id: 'previewImport',
        method: 'get',
        path: '/bands/{bandId}/imports/{importId}',
        tag: 'files',
        summary: 'What a file that was read would become',
        answer: importPreview,
        isLimited: true,
      },
      async ({ request }) => {
        const { bandId, file } = fileOf(request);
        return previewOf(pool, bandId, file);
      },
    ),
    call(
      {
        id: 'acceptImport',
        method: 'post',
        path: '/bands/{bandId}/imports/{importId}/accept',
        tag: 'files',
        summary: 'Start on taking a file in: all of it, or nothing',
        body: importAccept,
        answer: jobState,
        status: 202,
        isLimited: true,
      },
      ({ body: { take }, request }) => {
        const { bandId, file } = fileOf(request);
        const work = (tick: Tick) => inTransaction(pool, (client) => accept(client, bandId, file, take, tick));
        return jobs.start(bandId, work, explain);
      },
    ),
  ];
}

async function previewOf(pool: Pool, bandId: string, file: ReadFile): Promise<ImportPreview> {
  switch (file.kind) {
    case 'songs':
      return { kind: 'songs', format: file.format, songs: [...file.songs] };
    case 'set': {
      const { body, missing } = await setOfTable(pool, bandId, file.name, file.table);
      return { kind: 'set', name: body.name, entries: body.entries.length, missing: [...missing] };
    }
    case 'backup': {
      const { band, savedAt, songs, members, sets } = file.backup;
      const versions = songs.reduce((sum, song) => sum + song.versions.length, 0);
      return { kind: 'backup', band: band.name, savedAt, songs: songs.length, versions, members: members.length, sets: sets.length };
    }
  }
}

async function accept(
  client: Queryable,
  bandId: string,
  file: ReadFile,
  take: readonly number[] | undefined,
  tick: Tick,
): Promise<JobResult> {
  switch (file.kind) {
    case 'songs':
      return acceptSongs(client, bandId, take === undefined ? file.songs : file.songs.filter((_, index) => take.includes(index)), tick);
    case 'set': {
      const { body } = await setOfTable(client, bandId, file.name, file.table);
      const outcome = await insertSet(client, bandId, checkedSet(body));
      if (outcome.kind !== 'saved') throw new FileRefused('The set could not be made: a song is gone meanwhile.');
      return { says: `The set “${outcome.set.name}” is there.`, file: null, made: { songs: [], setId: outcome.set.id } };
    }
    case 'backup':
      await restoreBand(client, bandId, file.backup, tick);
      return { says: `${file.backup.band.name} is as it was.`, file: null, made: { songs: [], setId: null } };
  }
}

async function acceptSongs(
  client: Queryable,
  bandId: string,
  songs: Extract<ReadFile, { kind: 'songs' }>['songs'],
  tick: Tick,
): Promise<JobResult> {
  const ids: string[] = [];
  for (const { source, tags } of songs) {
    const song = await insertSong(client, bandId, source, tags);
    if (song === undefined) throw new FileRefused('There is no such band here.');
    ids.push(song.id);
    await tick(ids.length, songs.length);
  }
  const says = ids.length === 1 ? 'One song is on the shelf.' : `${ids.length} songs are on the shelf.`;
  return { says, file: null, made: { songs: ids, setId: null } };
}

function checkedSet(body: SetListBody): SetListBody {
  const read = setListBody.safeParse(body);
  if (read.success) return read.data;
  throw new FileRefused(`The set list does not fit: ${read.error.issues[0]?.message ?? 'it cannot be read'}.`);
}
