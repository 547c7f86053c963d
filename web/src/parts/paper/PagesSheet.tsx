import { type Drawing, type Paper, printSvg } from '@aurora/core';
import { type ReactNode, useState } from 'react';
import { ApiFault } from '../../api/client.ts';
import { useBand } from '../../api/songs.ts';
import { Button } from '../../ui/Button.tsx';
import { Choice } from '../../ui/Choice.tsx';
import { ExportIcon, PrintIcon } from '../../ui/icons.ts';
import { Sheet } from '../../ui/Sheet.tsx';
import { sayFault } from '../../ui/say.ts';
import { PARTS_WORDS } from '../../wording/parts.ts';
import { DrawingView } from './DrawingView.tsx';
import { PrintedPages } from './PrintedPages.tsx';
import { fileName, pdfOf, saveFile } from './save-file.ts';

interface PagesSheetProps {
  readonly name: string;
  /** What files are named after. */
  readonly title: string;
  readonly pages: readonly Drawing[];
  readonly paper: Paper;
  readonly onPaper: (paper: Paper) => void;
  readonly onClose: () => void;
  /** Whether the pages are not all there yet. */
  readonly waiting?: boolean;
  /** What may be chosen, and what is to be said. */
  readonly children: ReactNode;
}

const PAPER_CHOICES = [
  ['A4', 'A4'],
  ['Letter', 'Letter'],
] as const;

/** Pages as they will lie on the music stand: printed, or kept as SVG or PDF. */
export function PagesSheet({ name, title, pages, paper, onPaper, onClose, waiting = false, children }: PagesSheetProps) {
  const [saving, setSaving] = useState(false);
  const author = useBand().data?.name ?? '';
  const savePdf = async () => {
    setSaving(true);
    try {
      saveFile(fileName(title, 'pdf'), await pdfOf(title, author, pages));
    } catch (error) {
      void sayFault(error instanceof ApiFault ? error.message : PARTS_WORDS.thePDFCouldNotBeMade);
    }
    setSaving(false);
  };
  const saveSvg = () =>
    pages.forEach((page, index) => {
      const named = pages.length === 1 ? title : `${title} ${index + 1}`;
      saveFile(fileName(named, 'svg'), new Blob([printSvg(page)], { type: 'image/svg+xml' }));
    });
  return (
    <Sheet title={name} open onOpenChange={onClose}>
      <div className="mb-4 flex flex-wrap items-center gap-3">
        <Choice label={PARTS_WORDS.paper} value={paper} options={PAPER_CHOICES} onChange={onPaper} />
        <Button look="strong" onClick={() => window.print()} disabled={waiting}>
          <PrintIcon size={17} /> {PARTS_WORDS.print}
        </Button>
        <Button onClick={() => void savePdf()} disabled={waiting || saving}>
          <ExportIcon size={17} /> {saving ? PARTS_WORDS.setting : 'PDF'}
        </Button>
        <Button onClick={saveSvg} disabled={waiting}>
          <ExportIcon size={17} /> {PARTS_WORDS.sVG}
        </Button>
        {children}
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
