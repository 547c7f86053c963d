import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { headValue, parseChart } from '@aurora/core';
import { SONG_COLUMNS, writeTable } from '@aurora/core/format';
import { bandBackup, exportRequest, jobState, type Song } from '@aurora/wire';
import type { Request, Response } from 'express';
import { z } from 'zod';
import { backupText } from '../backup/backup-text.ts';
import { bandName } from '../band/band-store.ts';
import { type Call, call, fileCall } from '../call/call.ts';
import type { Threads } from '../compute/threads.ts';
import type { Queryable } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { startJob } from '../job/job-store.ts';
import { note } from '../people/audit-store.ts';
import { findSet } from '../set/set-store.ts';
import { hasSongs, songsInParts } from '../song/song-store.ts';
import { idOf, orMissing } from '../validate.ts';
import { fileName } from './file-name.ts';

/** `/bands/{id}/exports`: tables, the whole band as a backup, and every song in other formats. */
export function exportCalls(threads: Threads): readonly Call[] {
  const path = '/bands/{bandId}/exports';
  const bandOf = (request: Request) => idOf(request, 'bandId', 'band');
  const table = { tag: 'files', method: 'get', answer: z.string(), content: 'text/csv', isLimited: true, cache: 'no-store' } as const;
  return [
    fileCall(
      { ...table, id: 'exportSongIndex', access: 'member', path: `${path}/songs.csv`, summary: 'The shelf as a table' },
      async ({ request, db, response }) => {
        named(response, 'Songs');
        await streamed(response, indexText(db, bandOf(request)));
      },
    ),
    fileCall(
      { ...table, id: 'exportSet', access: 'member', path: `${path}/sets/{setId}.csv`, summary: 'A set as a table' },
      async ({ request, db, response, gone }) => {
        const set = orMissing(await findSet(db, bandOf(request), idOf(request, 'setId', 'set')), 'set');
        const size = set.songs.reduce((sum, { source }) => sum + source.length, 0);
        sendTable(response, set.name, await threads.task('setTable', set, { client: bandOf(request), gone, size }));
      },
    ),
    fileCall(
      {
        id: 'exportBackup',
        access: 'leader',
        method: 'get',
        path: `${path}/backup.json`,
        tag: 'files',
        summary: 'The whole band as a backup',
        answer: bandBackup,
        isLimited: true,
        cache: 'no-store',
      },
      async ({ request, db, response, seat }) => {
        const now = new Date();
        const name = orMissing(await bandName(db, bandOf(request)), 'band');
        await note(db, bandOf(request), seat.name, 'took a backup');
        response.attachment(`${fileName(name)} ${now.toISOString().slice(0, 10)}.json`).type('application/json');
        await streamed(response, backupText(db, bandOf(request), now));
      },
    ),
    call(
      {
        id: 'startExport',
        access: 'member',
        method: 'post',
        path,
        tag: 'files',
        summary: 'Start on a zip of every song in another format',
        body: exportRequest,
        answer: jobState,
        status: 202,
        isLimited: true,
      },
      async ({ body, db, seat }) => {
        if (!(await hasSongs(db, seat.bandId))) throw new HttpFault('invalid', 'There is no song on the shelf yet.');
        return startJob(db, seat, { kind: 'export', wish: body });
      },
    ),
  ];
}

/** Spreadsheets take text without a mark for another encoding. */
const MARK = '\ufeff';
const LINE_END = '\r\n';

function named(response: Response, name: string): void {
  response.attachment(`${fileName(name)}.csv`).type('text/csv; charset=utf-8');
}

const MOST_LISTENERS = 20;

/** Sends a text as it is made: no faster than it is taken, and no further once nobody takes it. That somebody left is no fault. */
async function streamed(response: Response, text: AsyncGenerator<string>): Promise<void> {
  // each part of a stream listens for its end
  response.setMaxListeners(MOST_LISTENERS);
  try {
    await pipeline(Readable.from(text), response);
  } catch (thrown) {
    if ((thrown as { readonly code?: unknown }).code !== 'ERR_STREAM_PREMATURE_CLOSE') throw thrown;
  }
}

function sendTable(response: Response, name: string, text: string): void {
  named(response, name);
  response.send(`${MARK}${text}`);
}

/** The shelf as a table, some songs at a time. */
async function* indexText(db: Queryable, bandId: string): AsyncGenerator<string> {
  yield `${MARK}${SONG_COLUMNS.join(',')}${LINE_END}`;
  for await (const songs of songsInParts(db, bandId))
    for (const song of songs) {
      const lines = writeTable({ columns: SONG_COLUMNS, rows: [rowOf(song)] });
      yield lines.slice(lines.indexOf(LINE_END) + LINE_END.length);
      // a long chart is read between others who are answered
      await new Promise((resolve) => setImmediate(resolve));
    }
}

function rowOf({ title, by, key, tempo, bars, tags, source }: Song): Record<string, string> {
  const lines = parseChart(source).chart.head;
  return {
    title,
    by,
    key,
    time: headValue(lines, 'time') ?? '',
    tempo: tempo === null ? '' : String(tempo),
    feel: headValue(lines, 'feel') ?? '',
    tags: tags.join('; '),
    bars: String(bars),
  };
}
