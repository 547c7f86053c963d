import { type Drawing, type Paper, printSvg } from '@aurora/core';
import { FileDown, Printer } from 'lucide-react';
import { useState } from 'react';
import { createPortal } from 'react-dom';
import { ApiFault } from '../../api/client.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { Sheet } from '../../ui/Sheet.tsx';
import { sayFault } from '../../ui/say.ts';
import { Tick } from '../../ui/Tick.tsx';
import { DrawingView } from './DrawingView.tsx';
import { fileName, pdfOf, saveFile } from './save-file.ts';
import { type Study, useStudyPages } from './use-study.ts';

interface StudySheetProps {
  readonly study: Study;
  readonly staff: boolean;
  readonly onStaff: (staff: boolean) => void;
  readonly onClose: () => void;
}

const PAPER_CHOICES = [
  ['A4', 'A4'],
  ['Letter', 'Letter'],
] as const;

/** The study as it will lie on the music stand: printed, or kept as SVG or PDF. */
export function StudySheet({ study, staff, onStaff, onClose }: StudySheetProps) {
  const [paper, setPaper] = useState<Paper>('A4');
  const [saving, setSaving] = useState(false);
  const { pages, waiting, failed } = useStudyPages(study, paper, staff);
  const savePdf = async () => {
    setSaving(true);
    try {
      saveFile(fileName(study.title, 'pdf'), await pdfOf(study.title, pages));
    } catch (error) {
      void sayFault(error instanceof ApiFault ? error.message : 'The PDF could not be made.');
    }
    setSaving(false);
  };
  const saveSvg = () =>
    pages.forEach((page, index) => {
      const name = pages.length === 1 ? study.title : `${study.title} ${index + 1}`;
      saveFile(fileName(name, 'svg'), new Blob([printSvg(page)], { type: 'image/svg+xml' }));
    });
  return (
    <Sheet title="Study sheet" open onOpenChange={onClose}>
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <Choice label="Paper" value={paper} options={PAPER_CHOICES} onChange={setPaper} />
        <Tick label="Staff" on={staff} onTick={onStaff} />
        <Button look="strong" onClick={() => window.print()} disabled={waiting}>
          <Printer size={17} /> Print
        </Button>
        <Button onClick={() => void savePdf()} disabled={waiting || saving}>
          <FileDown size={17} /> {saving ? 'Setting…' : 'PDF'}
        </Button>
        <Button onClick={saveSvg} disabled={waiting}>
          <FileDown size={17} /> SVG
        </Button>
        {waiting && <p role="status">Fetching the staff…</p>}
        {failed && <p role="alert">The staff could not be fetched; the tab is complete without it.</p>}
      </div>
      <div className="flex flex-col items-center gap-4">
        {pages.map((page) => (
          <DrawingView key={page.label} drawing={page} printed className="w-full max-w-[44rem] border border-edge bg-white" />
        ))}
      </div>
      <PrintedPages pages={pages} paper={paper} />
    </Sheet>
  );
}

/** Out of sight until the browser prints; then the only thing there is. */
function PrintedPages({ pages, paper }: { readonly pages: readonly Drawing[]; readonly paper: Paper }) {
  return createPortal(
    <div className="print-pages" aria-hidden="true">
      <style>{`@page { size: ${paper}; margin: 0; }`}</style>
      {pages.map((page) => (
        <DrawingView key={page.label} drawing={page} printed decorative />
      ))}
    </div>,
    document.body,
  );
}
