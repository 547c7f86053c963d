import { type Analysis, analysisPages, type Naming } from '@aurora/core';
import { useMemo, useState } from 'react';
import { FULL_LAYER, LAYER_NAMES, type Layer, sheetContent } from '../../parts/analysis/sheet-content.ts';
import { PagesSheet } from '../../parts/paper/PagesSheet.tsx';
import { setPaper, usePaper } from '../../session/paper-store.ts';
import { Tick } from '../../ui/Tick.tsx';
import { ANALYZE_WORDS } from '../../wording/analyze.ts';

interface AnalysisSheetProps {
  readonly analysis: Analysis;
  readonly naming: Naming;
  readonly onClose: () => void;
}

/** The chart with its analysis as it will lie on the music stand: printed, or kept as SVG or PDF. */
export function AnalysisSheet({ analysis, naming, onClose }: AnalysisSheetProps) {
  const [layer, setLayer] = useState<Layer>(FULL_LAYER);
  const { paper } = usePaper();
  const content = useMemo(() => sheetContent(analysis, naming, layer), [analysis, naming, layer]);
  const pages = useMemo(() => analysisPages(content, paper), [content, paper]);
  return (
    <PagesSheet
      name={ANALYZE_WORDS.analysisSheet}
      title={ANALYZE_WORDS.analysis(content.title)}
      pages={pages}
      paper={paper}
      onPaper={setPaper}
      onClose={onClose}
    >
      {LAYER_NAMES.map(([name, label]) => (
        <Tick key={name} label={label} on={layer[name]} onTick={(on) => setLayer({ ...layer, [name]: on })} />
      ))}
    </PagesSheet>
  );
}
