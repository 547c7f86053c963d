import { type ChartReading, type ChordShow, chartPages, chartPart, type Naming, type Note, type Paper } from '@aurora/core';
import { useMemo, useState } from 'react';
import { PagesSheet } from '../neck/sheet/PagesSheet.tsx';
import { Tick } from '../ui/Tick.tsx';
import { SHOWS, ShowChoice } from './ShowChoice.tsx';

interface PrintSheetProps {
  readonly reading: ChartReading;
  readonly naming: Naming;
  readonly sounding: Note;
  readonly written: Note;
  readonly reader: string;
  readonly show: ChordShow;
  readonly onClose: () => void;
}

/** The chart as it will lie on the music stand: large type, one or two pages. */
export function PrintSheet({ reading, naming, sounding, written, reader, show: first, onClose }: PrintSheetProps) {
  const [paper, setPaper] = useState<Paper>('A4');
  const [show, setShow] = useState(first);
  const [words, setWords] = useState(true);
  const pages = useMemo(
    () =>
      chartPages(
        chartPart(reading, {
          naming,
          sounding,
          written,
          show,
          kind: 'chart',
          capo: 0,
          tonight: '',
          words,
          cuesFor: null,
          foot: `Aurora Ridge · ${reader}`,
        }),
        paper,
      ),
    [reading, naming, sounding, written, show, words, reader, paper],
  );
  const title = reading.head.title || 'Chart';
  return (
    <PagesSheet name="Print the chart" title={title} pages={pages} paper={paper} onPaper={setPaper} onClose={onClose}>
      <ShowChoice show={show} shows={SHOWS} onShow={setShow} />
      <Tick label="Words" on={words} onTick={setWords} />
      <span className="text-[15px] text-quiet">{pages.length === 1 ? 'one page' : `${pages.length} pages`}</span>
    </PagesSheet>
  );
}
