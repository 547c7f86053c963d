import type { ExportRequest } from '@aurora/wire';
import { useState } from 'react';
import { useExportAll } from '../../../api/files.ts';
import { useBand } from '../../../api/songs.ts';
import { useTonightSet } from '../../../document/use-evening.ts';
import { FORMAT_TABLE } from '../../../parts/song/format-table.ts';
import { songName } from '../../../parts/song/song-name.ts';
import { Button, buttonLook } from '../../../ui/Button.tsx';
import { BackUpIcon, ExportIcon, TableIcon } from '../../../ui/icons.ts';
import { SelectField } from '../../../ui/SelectField.tsx';
import { BAND_WORDS } from '../../../wording/band.ts';
import { useBandSong } from '../use-band-song.ts';
import { ImportFiles } from './ImportFiles.tsx';
import { PackButton } from './PackButton.tsx';
import { WorkLine } from './WorkLine.tsx';

/** Files in and out: other programs' songs, tables, parts, and the whole band as a backup. */
export function FilesPart() {
  const bandId = useBand().data?.id ?? '';
  const { tonight } = useTonightSet();
  const { song } = useBandSong();
  const at = `/api/v1/bands/${bandId}/exports`;
  return (
    <div className="grid items-start gap-x-10 gap-y-8 lg:grid-cols-2">
      <section aria-labelledby="files-in">
        <h2 id="files-in" className="mb-3 font-numeral text-lead font-bold">
          {BAND_WORDS.import}
        </h2>
        <ImportFiles />
      </section>
      <section aria-labelledby="files-out" className="flex flex-col gap-5">
        <h2 id="files-out" className="font-numeral text-lead font-bold">
          {BAND_WORDS.export}
        </h2>
        <ExportAll />
        <div className="flex flex-wrap gap-2">
          <a href={`${at}/songs.csv`} download className={buttonLook('plain')}>
            <TableIcon size={17} aria-hidden="true" /> {BAND_WORDS.songIndexCSV}
          </a>
          {tonight !== null && (
            <a href={`${at}/sets/${tonight.setId}.csv`} download className={buttonLook('plain')}>
              <TableIcon size={17} aria-hidden="true" /> “{tonight.state.body.name}
              {BAND_WORDS.cSV}
            </a>
          )}
        </div>
        {song !== undefined && (
          <div className="flex flex-col gap-2">
            <p className="text-base text-quiet">
              {BAND_WORDS.aPDFForEveryPlayer}
              {songName(song)}
              {BAND_WORDS.inItsOwnKey}
            </p>
            <PackButton wish={{ of: 'song', songId: song.id, key: null, paper: 'A4' }} />
          </div>
        )}
        <div className="flex flex-col items-start gap-2 border-t border-hairline pt-4">
          <p className="text-base">{BAND_WORDS.everythingTheBandHasEveryVersion}</p>
          <a href={`${at}/backup.json`} download className={buttonLook('plain')}>
            <BackUpIcon size={17} aria-hidden="true" /> {BAND_WORDS.backUpTheBand}
          </a>
        </div>
      </section>
    </div>
  );
}

type Wanted = ExportRequest['format'];

const FORMATS: readonly (readonly [Wanted, string])[] = [
  ...FORMAT_TABLE.map(([format, label]) => [format, label] as const),
  ['all', BAND_WORDS.allOfThese],
];

function ExportAll() {
  const work = useExportAll();
  const [format, setFormat] = useState<Wanted>('musicxml');
  return (
    <div className="flex flex-wrap items-end gap-3">
      <SelectField label={BAND_WORDS.everySongAs} value={format} options={FORMATS} onChange={setFormat} />
      <Button onClick={() => work.start({ format })} disabled={work.state?.state === 'working'}>
        <ExportIcon size={17} aria-hidden="true" /> {BAND_WORDS.exportAll}
      </Button>
      <WorkLine work={work} what={BAND_WORDS.writingTheSongs} fetch={BAND_WORDS.fetchTheSongs} />
    </div>
  );
}
