import { type Key, nameKey, printKey } from '@aurora/core';
import type { ConvertRequest } from '@aurora/wire';
import { useState } from 'react';
import { blobOf, useConverted } from '../../api/files.ts';
import { saveFile } from '../../parts/paper/save-file.ts';
import { FORMAT_TABLE } from '../../parts/song/format-table.ts';
import { useLens, useNaming } from '../../session/lens.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { ExportIcon } from '../../ui/icons.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

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
  const { reader } = useLens();
  const [asRead, setAsRead] = useState(true);
  const inKey = sounding === null || format === 'chart' ? {} : { key: printKey(sounding) };
  const { transpose } = reader.reader;
  const octave = reader.member?.reads.octave ?? 0;
  const isRead = (transpose !== 0 || octave !== 0) && format !== 'midi' && format !== 'chart';
  const forReader = isRead && asRead ? { reader: { transpose, octave } } : {};
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
        {isRead && <Tick label={CHART_WORDS.asReadsIt(reader.short)} on={asRead} onTick={setAsRead} />}
        {error !== null && (
          <p role="alert" className="font-semibold text-alarm">
            {error.message}
          </p>
        )}
        {data !== undefined && (
          <>
            {data.losses.length === 0 ? (
              <p className="text-base text-quiet">{CHART_WORDS.nothingGetsLost}</p>
            ) : (
              <div>
                <h3 className="font-semibold">{CHART_WORDS.whatThisFormatDoesNotHold}</h3>
                <ul aria-label={CHART_WORDS.whatGetsLost} className="mt-1 list-disc pl-5 text-base">
                  {data.losses.map(({ message }) => (
                    <li key={message}>{message}</li>
                  ))}
                </ul>
              </div>
            )}
            <Button look="strong" onClick={() => saveFile(data.fileName, blobOf(data))}>
              <ExportIcon size={17} aria-hidden="true" /> {CHART_WORDS.save} {data.fileName}
            </Button>
          </>
        )}
      </div>
    </Sheet>
  );
}
