import { type Analysis, analysisPages, type Naming } from '@aurora/core';
import { FULL_LAYER, sheetContent } from '../../parts/analysis/sheet-content.ts';
import RoomPaper from '../../parts/paper/RoomPaper.tsx';

/** The analysis, when the browser is told to print the room. */
export default function AnalysisPaper({ analysis, naming }: { readonly analysis: Analysis; readonly naming: Naming }) {
  return <RoomPaper pagesOn={(paper) => analysisPages(sheetContent(analysis, naming, FULL_LAYER), paper)} />;
}
