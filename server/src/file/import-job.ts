import { type ImportPreview, type SetListBody, setListBody } from '@aurora/wire';
import { restoreBand } from '../backup/backup-store.ts';
import { addBytes, requireRoom } from '../band/quota.ts';
import type { Queryable } from '../db/pool.ts';
import { findReadFile, type JobResult, type TakenJob } from '../job/job-store.ts';
import { type Handler, JobRefused, type Tick } from '../job/worker.ts';
import { note } from '../people/audit-store.ts';
import { insertSet } from '../set/set-store.ts';
import { insertSong } from '../song/song-store.ts';
import { type ReadFile, readFile } from './preview.ts';
import { setOfTable } from './set-table.ts';

/** Reads a file that was brought in, to be looked at. */
export const readFileHandler: Handler = async ({ db, job, tick }) => {
  const file = await readFile((job.wish as { readonly name: string }).name, job.input ?? new Uint8Array(), tick);
  const preview = await previewOf(db, job.bandId, file);
  return { says: 'Read.', file: null, read: { preview: JSON.stringify(preview), whole: JSON.stringify(file) } };
};

/** Takes in a file that was read: all of it and the end of the work, or nothing. */
export const acceptHandler: Handler = async ({ db, job, tick, finish }) => {
  const { importId, take } = job.wish as { readonly importId: string; readonly take?: readonly number[] };
  const whole = await findReadFile(db, job.bandId, importId, 'result');
  if (whole === undefined) throw new JobRefused('The file is not here any more: bring it in again.');
  const file = JSON.parse(whole) as ReadFile;
  await db.transaction(async (client) => {
    const result = await accept(client, job, file, take, tick);
    await finish(client, result);
  });
  return undefined;
};

async function previewOf(db: Queryable, bandId: string, file: ReadFile): Promise<ImportPreview> {
  switch (file.kind) {
    case 'songs':
      return { kind: 'songs', format: file.format, songs: [...file.songs] };
    case 'set': {
      const { body, missing } = await setOfTable(db, bandId, file.name, file.table);
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
  { bandId, by }: Pick<TakenJob, 'bandId' | 'by'>,
  file: ReadFile,
  take: readonly number[] | undefined,
  tick: Tick,
): Promise<JobResult> {
  switch (file.kind) {
    case 'songs':
      return acceptSongs(client, { bandId, by }, take === undefined ? file.songs : chosen(file.songs, take), tick);
    case 'set': {
      const { body } = await setOfTable(client, bandId, file.name, file.table);
      const outcome = await insertSet(client, bandId, checkedSet(body));
      if (outcome.kind !== 'saved') throw new JobRefused('The set could not be made: a song is gone meanwhile.');
      return { says: `The set “${outcome.set.name}” is there.`, file: null, made: { songs: [], setId: outcome.set.id } };
    }
    case 'backup':
      await restoreBand(client, bandId, file.backup, tick);
      await note(client, bandId, by.name, 'restored a backup', file.backup.savedAt.slice(0, 10));
      return { says: `${file.backup.band.name} is as it was.`, file: null, made: { songs: [], setId: null } };
  }
}

function chosen<T>(songs: readonly T[], take: readonly number[]): readonly T[] {
  const wanted = new Set(take);
  return songs.filter((_, index) => wanted.has(index));
}

async function acceptSongs(
  client: Queryable,
  { bandId, by }: Pick<TakenJob, 'bandId' | 'by'>,
  songs: Extract<ReadFile, { kind: 'songs' }>['songs'],
  tick: Tick,
): Promise<JobResult> {
  await requireRoom(client, bandId, songs.length);
  const ids: string[] = [];
  for (const { source, tags } of songs) {
    const song = await insertSong(client, bandId, { source, tags, by });
    if (song === undefined) throw new JobRefused('There is no such band here.');
    ids.push(song.id);
    await tick(ids.length, songs.length);
  }
  // last, since others of the band who save wait for it
  await addBytes(
    client,
    bandId,
    songs.reduce((sum, { source }) => sum + Buffer.byteLength(source), 0),
  );
  const says = ids.length === 1 ? 'One song is on the shelf.' : `${ids.length} songs are on the shelf.`;
  return { says, file: null, made: { songs: ids, setId: null } };
}

function checkedSet(body: SetListBody): SetListBody {
  const read = setListBody.safeParse(body);
  if (read.success) return read.data;
  throw new JobRefused(`The set list does not fit: ${read.error.issues[0]?.message ?? 'it cannot be read'}.`);
}
