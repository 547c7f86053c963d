import { type Key, nameKey, printKey } from '@aurora/core';
import type { ConvertRequest } from '@aurora/wire';
import { useState } from 'react';
import { blobOf, useConverted } from '../../../api/files.ts';
import { saveFile } from '../../../parts/paper/save-file.ts';
import { FORMAT_TABLE } from '../../../parts/song/format-table.ts';
import { useLens, useNaming } from '../../../session/lens.ts';
import { CONCERT } from '../../../session/reader-view.ts';
import { Button } from '../../../ui/Button.tsx';
import { Choice } from '../../../ui/Choice.tsx';
import { ExportIcon } from '../../../ui/icons.ts';
import { Select } from '../../../ui/Select.tsx';
import { Sheet } from '../../../ui/Sheet.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { exportReaders, isForReaders, shownIn, writtenFor } from './export-view.ts';

const CHORDS_AS = { both: CHART_WORDS.lettersAndNumbers, letters: CHART_WORDS.letters, numbers: CHART_WORDS.numbersAlone } as const;

interface ExportSheetProps {
  readonly text: string;
  /** The key that sounds; null when it is the chart's own. */
  readonly sounding: Key | null;
  readonly onClose: () => void;
}

/** The chart as a file for other programs; what the format cannot hold is said before it is kept. */
export function ExportSheet({ text, sounding, onClose }: ExportSheetProps) {
  const naming = useNaming();
  const [format, setFormat] = useState<ConvertRequest['to']>('musicxml');
  const lens = useLens();
  const readers = exportReaders(lens);
  const [readerId, setReaderId] = useState(lens.reader.id);
  const [wish, setShow] = useState<NonNullable<ConvertRequest['show']>>('both');
  const shown = shownIn(format);
  const show = shown.includes(wish) ? wish : (shown[0] ?? 'both');
  const isForReader = isForReaders(format);
  const reader = readers.find(({ id }) => id === readerId) ?? CONCERT;
  const inKey = sounding === null || format === 'chart' ? {} : { key: printKey(sounding) };
  const forReader = isForReader ? { reader: writtenFor(reader), show } : {};
  const { data, error } = useConverted({ from: 'chart', to: format, content: text, ...inKey, ...forReader });
  const use = FORMAT_TABLE.find(([name]) => name === format)?.[2] ?? '';
  return (
    <Sheet title={CHART_WORDS.exportTheSong} open onOpenChange={(is) => !is && onClose()}>
      <div className="flex flex-col items-start gap-4">
        <div className="flex max-w-full overflow-x-auto">
          <Choice
            label={CHART_WORDS.format}
            value={format}
            options={FORMAT_TABLE.map(([name, label]) => [name, label] as const)}
            onChange={setFormat}
          />
        </div>
        <p className="text-base">
          {use}
          {sounding !== null && format !== 'chart' && (
            <>
              {CHART_WORDS.inWord} <b className="music-glyph">{nameKey(sounding, naming)}</b>
            </>
          )}
        </p>
        {isForReader && (
          <div className="flex max-w-full flex-wrap items-end gap-3">
            <ForWhom readers={readers} chosen={reader.id} onChoose={setReaderId} />
            <Choice
              label={CHART_WORDS.chordsAs}
              value={show}
              options={shown.map((one) => [one, CHORDS_AS[one]] as const)}
              onChange={setShow}
            />
          </div>
        )}
        <p role="alert" className="font-semibold text-alarm empty:hidden">
          {error?.message}
        </p>
        {data !== undefined && (
          <>
            <Lost losses={data.losses} />
            <Button look="strong" onClick={() => saveFile(data.fileName, blobOf(data))}>
              <ExportIcon size={17} aria-hidden="true" /> {CHART_WORDS.save} {data.fileName}
            </Button>
          </>
        )}
      </div>
    </Sheet>
  );
}

interface ForWhomProps {
  readonly readers: ReturnType<typeof exportReaders>;
  readonly chosen: string;
  readonly onChoose: (id: string) => void;
}

/** Whose part it is: everybody's as it sounds, or one reader's. */
function ForWhom({ readers, chosen, onChoose }: ForWhomProps) {
  return (
    <label className="flex min-w-0 flex-col gap-1 text-fine text-quiet">
      {CHART_WORDS.writtenFor}
      <Select value={chosen} onChange={(event) => onChoose(event.target.value)}>
        {readers.map(({ id, label }) => (
          <option key={id} value={id}>
            {id === CONCERT.id ? CHART_WORDS.everybodyAsItSounds : label}
          </option>
        ))}
      </Select>
    </label>
  );
}

/** What the format cannot hold. */
function Lost({ losses }: { readonly losses: readonly { readonly message: string }[] }) {
  if (losses.length === 0) return <p className="text-base text-quiet">{CHART_WORDS.nothingGetsLost}</p>;
  return (
    <div>
      <h3 className="font-semibold">{CHART_WORDS.whatThisFormatDoesNotHold}</h3>
      <ul aria-label={CHART_WORDS.whatGetsLost} className="mt-1 list-disc pl-5 text-base">
        {losses.map(({ message }) => (
          <li key={message}>{message}</li>
        ))}
      </ul>
    </div>
  );
}
