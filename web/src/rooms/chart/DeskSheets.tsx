import { printKey } from '@aurora/core';
import { type ComponentType, lazy, Suspense } from 'react';
import { CHART_WORDS } from '../../wording/chart.ts';
import { rangeOf } from './sheet/bar-selection.ts';
import type { Desk, DeskSheetName } from './use-desk.ts';

const PasteSheet = lazy(async () => ({ default: (await import('./out/PasteSheet.tsx')).PasteSheet }));
const CapoSheet = lazy(async () => ({ default: (await import('./out/CapoSheet.tsx')).CapoSheet }));
const ExportSheet = lazy(async () => ({ default: (await import('./out/ExportSheet.tsx')).ExportSheet }));
const PrintSheet = lazy(async () => ({ default: (await import('./out/PrintSheet.tsx')).PrintSheet }));
const VersionsSheet = lazy(async () => ({ default: (await import('./versions/VersionsSheet.tsx')).VersionsSheet }));
const DetailsSheet = lazy(async () => ({ default: (await import('./out/DetailsSheet.tsx')).DetailsSheet }));
const SendSheet = lazy(() => import('../../parts/people/SendSheet.tsx'));
const ChangesSheet = lazy(async () => ({ default: (await import('./versions/ChangesSheet.tsx')).ChangesSheet }));

interface OpenSheetProps {
  readonly desk: Desk;
  readonly onClose: () => void;
}

const SHEETS: Readonly<Record<DeskSheetName, ComponentType<OpenSheetProps>>> = {
  paste: ({ desk, onClose }) => (
    <PasteSheet
      pasted={desk.pasted}
      chart={desk.desk.reading}
      lettersFrom={desk.desk.written}
      behind={desk.selection === null ? null : rangeOf(desk.selection).to}
      onEdit={(edit) => {
        desk.input.rest();
        desk.edit(edit);
        onClose();
      }}
      onWrite={(text) => {
        // what comes in is the song: a first bar that waits to be typed is none of it
        desk.input.rest();
        desk.rewriting.write(text);
        onClose();
      }}
      onClose={onClose}
    />
  ),
  capo: ({ desk, onClose }) => <CapoSheet text={desk.text} sounding={desk.desk.sounding} onClose={onClose} />,
  print: ({ desk, onClose }) => <PrintSheet reading={desk.desk.reading} sounding={desk.desk.sounding} onClose={onClose} />,
  export: ({ desk, onClose }) => {
    const { key } = desk.desk.reading.head;
    const { sounding } = desk.desk;
    return <ExportSheet text={desk.text} sounding={sounding === key.tonic ? null : { ...key, tonic: sounding }} onClose={onClose} />;
  },
  versions: ({ desk, onClose }) => (
    <VersionsSheet songId={desk.songId} text={desk.text} onWrite={(next) => desk.rewriting.write(next)} onClose={onClose} />
  ),
  details: ({ desk, onClose }) => (
    <DetailsSheet songId={desk.songId} text={desk.text} reading={desk.desk.reading} onEdit={desk.edit} onClose={onClose} />
  ),
  send: ({ desk, onClose }) => {
    const { head } = desk.desk.reading;
    const { sounding } = desk.desk;
    const key = sounding === head.key.tonic ? null : printKey({ ...head.key, tonic: sounding });
    return <SendSheet name={head.title || CHART_WORDS.chart} sent={{ what: 'song', songId: desk.songId, key }} onClose={onClose} />;
  },
  changes: ({ desk, onClose }) => <ChangesSheet input={desk.input} reading={desk.desk.reading} onClose={onClose} />,
};

/** What is laid over the desk: pasting, the capo, printing, versions. */
export function DeskSheets({ desk }: { readonly desk: Desk }) {
  if (desk.sheet === null) return null;
  const Open = SHEETS[desk.sheet];
  return (
    <Suspense>
      <Open desk={desk} onClose={() => desk.setSheet(null)} />
    </Suspense>
  );
}
