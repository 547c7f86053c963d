import { type ChartReading, type Note, type Paper, type PartKind, type PartReader, partPages } from '@aurora/core';
import { useMemo, useState } from 'react';
import { PagesSheet } from '../../parts/paper/PagesSheet.tsx';
import { SHOWS, ShowChoice } from '../../parts/reading/ShowChoice.tsx';
import { useLens } from '../../session/lens.ts';
import { useReads } from '../../session/use-reads.ts';
import { Choice } from '../../ui/Choice.tsx';
import { Tick } from '../../ui/Tick.tsx';
import { CHART_WORDS } from '../../wording/chart.ts';

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
  const { reader, naming } = useLens();
  const reads = useReads();
  const member = reader.member;
  const [paper, setPaper] = useState<Paper>('A4');
  const [show, setShow] = useState(reads.show);
  const [words, setWords] = useState(reads.words);
  const [kind, setKind] = useState<PartKind>(reads.part);
  const [large, setLarge] = useState(reads.large);
  const pages = useMemo(() => {
    const who: PartReader = {
      name: member?.name ?? reader.label,
      plays: member?.plays ?? '',
      reader: reader.reader,
      show,
      kind,
      size: large ? 'large type' : 'fewest pages',
      words,
      cues: member?.reads.cues ?? 'all',
      naming,
    };
    return partPages({ reading, tonic: sounding, tonight: '' }, who, paper);
  }, [reading, sounding, reader, member, naming, show, kind, large, words, paper]);
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
