import { type ChartReading, type Note, type PartKind, partPages } from '@aurora/core';
import { useState } from 'react';
import { PagesSheet } from '../../../parts/paper/PagesSheet.tsx';
import { usePartReader } from '../../../parts/paper/PartPaper.tsx';
import { SHOWS, ShowChoice } from '../../../parts/reading/ShowChoice.tsx';
import { useLens } from '../../../session/lens.ts';
import { setPaper, usePaper } from '../../../session/paper-store.ts';
import { Choice } from '../../../ui/Choice.tsx';
import { Tick } from '../../../ui/Tick.tsx';
import { CHART_WORDS } from '../../../wording/chart.ts';

interface PrintSheetProps {
  readonly reading: ChartReading;
  readonly sounding: Note;
  readonly onClose: () => void;
}

const KINDS: readonly (readonly [PartKind, string])[] = [
  ['chart', CHART_WORDS.chart],
  ['bass', CHART_WORDS.bass],
  ['form', CHART_WORDS.form],
];

/** The chart as it will lie on the reader's music stand: large type, one or two pages. */
export function PrintSheet({ reading, sounding, onClose }: PrintSheetProps) {
  const { reader } = useLens();
  const who = usePartReader();
  const member = reader.member;
  const { paper } = usePaper();
  const [show, setShow] = useState(who.show);
  const [words, setWords] = useState(who.words);
  const [kind, setKind] = useState<PartKind>(who.kind);
  const [large, setLarge] = useState(who.size === 'large type');
  const pages = partPages(
    { reading, tonic: sounding, tonight: '' },
    { ...who, show, words, kind, size: large ? 'large type' : 'fewest pages' },
    paper,
  );
  const title = reading.head.title || CHART_WORDS.chart;
  return (
    <PagesSheet
      name={CHART_WORDS.printTheChart}
      title={member === null ? title : `${title} ${member.name}`}
      pages={pages}
      paper={paper}
      onPaper={setPaper}
      onClose={onClose}
    >
      <Choice label={CHART_WORDS.whichPart} value={kind} options={KINDS} onChange={setKind} />
      {kind !== 'form' && <ShowChoice show={show} shows={SHOWS} onShow={setShow} />}
      <Tick label={CHART_WORDS.words} on={words} onTick={setWords} />
      <Tick label={CHART_WORDS.largeType} on={large} onTick={setLarge} />
      <span className="text-base text-quiet">{pages.length === 1 ? CHART_WORDS.onePage : CHART_WORDS.pages(pages.length)}</span>
    </PagesSheet>
  );
}
