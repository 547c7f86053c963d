import { headValue, parseChart } from '@aurora/core';
import { FORMAT_FILES, FORMAT_NAMES, lossWords, SONG_COLUMNS, writeFormat, writeTable } from '@aurora/core/format';
import { bandBackup, type ExportRequest, exportRequest, jobState, type Song } from '@aurora/wire';
import type { Request, Response } from 'express';
import { zipSync } from 'fflate';
import { z } from 'zod';
import { readBand } from '../backup/backup-store.ts';
import { type Call, call, fileCall } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import type { JobResult, Jobs, Tick } from '../job/jobs.ts';
import { findSet } from '../set/set-store.ts';
import { allSongs } from '../song/song-store.ts';
import { idOf, orMissing } from '../validate.ts';
import { fileName, freeName } from './file-name.ts';
import { tableOfSet } from './set-table.ts';

/** `/bands/{id}/exports`: tables, the whole band as a backup, and every song in other formats. */
export function exportCalls(pool: Pool, jobs: Jobs): readonly Call[] {
  const path = '/bands/{bandId}/exports';
  const bandOf = (request: Request) => idOf(request, 'bandId', 'band');
  const table = { tag: 'files', method: 'get', answer: z.string(), content: 'text/csv', isLimited: true, cache: 'no-store' } as const;
  return [
    fileCall(
      { ...table, id: 'exportSongIndex', path: `${path}/songs.csv`, summary: 'The shelf as a table' },
      async ({ request, response }) => {
        const rows = (await allSongs(pool, bandOf(request))).map(rowOf);
        sendTable(response, 'Songs', writeTable({ columns: SONG_COLUMNS, rows }));
      },
    ),
    fileCall(
      { ...table, id: 'exportSet', path: `${path}/sets/{setId}.csv`, summary: 'A set as a table' },
      async ({ request, response }) => {
        const set = orMissing(await findSet(pool, bandOf(request), idOf(request, 'setId', 'set')), 'set');
        sendTable(response, set.name, writeTable(tableOfSet(set)));
      },
    ),
    fileCall(
      {
        id: 'exportBackup',
        method: 'get',
        path: `${path}/backup.json`,
        tag: 'files',
        summary: 'The whole band as a backup',
        answer: bandBackup,
        isLimited: true,
        cache: 'no-store',
      },
      async ({ request, response }) => {
        const now = new Date();
        const backup = orMissing(await readBand(pool, bandOf(request), now), 'band');
        const name = `${fileName(backup.band.name)} ${now.toISOString().slice(0, 10)}.json`;
        response
          .attachment(name)
          .type('application/json')
          .send(JSON.stringify(backup, null, 2));
      },
    ),
    call(
      {
        id: 'startExport',
        method: 'post',
        path,
        tag: 'files',
        summary: 'Start on a zip of every song in another format',
        body: exportRequest,
        answer: jobState,
        status: 202,
        isLimited: true,
      },
      async ({ body: { format }, request }) => {
        const songs = await allSongs(pool, bandOf(request));
        if (songs.length === 0) throw new HttpFault('invalid', 'There is no song on the shelf yet.');
        return jobs.start(
          bandOf(request),
          (tick) => zipSongs(songs, format, tick),
          () => undefined,
        );
      },
    ),
  ];
}

function sendTable(response: Response, name: string, text: string): void {
  // spreadsheets take text without a mark for another encoding
  response
    .attachment(`${fileName(name)}.csv`)
    .type('text/csv; charset=utf-8')
    .send(`\ufeff${text}`);
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

/** Every song in a format, or in all of them, a folder each; what got lost is told beside them. */
async function zipSongs(songs: readonly Song[], wanted: ExportRequest['format'], tick: Tick): Promise<JobResult> {
  const formats = wanted === 'all' ? FORMAT_NAMES : [wanted];
  const files: Record<string, Uint8Array> = {};
  const report: string[] = [];
  let done = 0;
  for (const { title, source } of songs) {
    for (const format of formats) {
      const { ending, label } = FORMAT_FILES[format];
      const { content, losses } = writeFormat(format, source, null);
      const folder = formats.length === 1 ? '' : `${label}/`;
      const name = freeName(files, `${folder}${fileName(title)}`, ending);
      files[name] = content;
      if (losses.length > 0) report.push(name, ...losses.map((loss) => `  ${lossWords(loss)}`), '');
    }
    done += 1;
    await tick(done, songs.length);
  }
  if (report.length > 0) files['What got lost.txt'] = Buffer.from(`${report.join('\n')}\n`, 'utf8');
  const says = songs.length === 1 ? 'One song.' : `${songs.length} songs.`;
  return { says, file: { name: 'Songs.zip', type: 'application/zip', bytes: zipSync(files, { level: 6 }) } };
}
