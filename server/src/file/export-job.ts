import { FORMAT_FILES, FORMAT_NAMES, lossWords, writeFormat } from '@aurora/core/format';
import type { ExportRequest, Song } from '@aurora/wire';
import { zipSync } from 'fflate';
import type { JobResult } from '../job/job-store.ts';
import type { Handler, Tick } from '../job/worker.ts';
import { allSongs } from '../song/song-store.ts';
import { fileName, freeName } from './file-name.ts';

/** Writes every song of the band in another format. */
export const exportHandler: Handler = async ({ db, job, tick }) =>
  zipSongs(await allSongs(db, job.bandId), (job.wish as ExportRequest).format, tick);

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
