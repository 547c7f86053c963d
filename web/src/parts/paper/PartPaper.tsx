import { type ChartReading, type Note, type PartReader, partPages } from '@aurora/core';
import { useLens } from '../../session/lens.ts';
import { useReads } from '../../session/use-reads.ts';
import RoomPaper from './RoomPaper.tsx';

/** The reader at this device, as parts are written for them. */
export function usePartReader(): PartReader {
  const { reader, naming } = useLens();
  const { show, part, large, words } = useReads();
  const { member } = reader;
  return {
    name: member?.name ?? reader.label,
    plays: member?.plays ?? '',
    reader: reader.reader,
    show,
    kind: part,
    size: large ? 'large type' : 'fewest pages',
    words,
    cues: member?.reads.cues ?? 'all',
    naming,
  };
}

interface PartPaperProps {
  readonly reading: ChartReading;
  readonly sounding: Note;
  readonly tonight?: string;
  readonly ownBars?: number | undefined;
}

/** A chart as its reader's part, when the browser is told to print the room. */
export default function PartPaper({ reading, sounding, tonight = '', ownBars }: PartPaperProps) {
  const who = usePartReader();
  const song = { reading, tonic: sounding, tonight, ...(ownBars === undefined ? {} : { ownBars }) };
  return <RoomPaper pagesOn={(paper) => partPages(song, who, paper)} />;
}
