import type { ChartEdit, Problem } from '@aurora/core';
import { useRef, useState } from 'react';
import { useMayWrite } from '../../api/songs.ts';
import { type ChartDraft, edit } from '../../document/song-drafts.ts';
import { useDraftState, useRewriting } from '../../document/use-song-draft.ts';
import { type Layer, NO_LAYER } from '../../parts/analysis/sheet-content.ts';
import { useChartSheet } from '../../parts/sheet/use-chart-sheet.ts';
import { useShortcuts } from '../../session/use-shortcuts.ts';
import { useFocusOnChosen, useShownChord } from './sheet/use-chosen-bar.ts';
import { useSheetInput, useSheetKeys } from './sheet/use-sheet-input.ts';
import { useWrittenTonic } from './sheet/use-written.ts';
import { useTextEditor } from './text/use-text-editor.ts';
import { useChartAnalysis } from './use-chart-analysis.ts';
import { useSongPlay } from './use-song-play.ts';

/** What is laid over the desk. */
export type DeskSheetName = 'paste' | 'capo' | 'print' | 'export' | 'versions' | 'changes' | 'details' | 'send';

/** Everything about an open chart: what it says, what is chosen and typed in it, how it sounds. */
export function useDesk(draft: ChartDraft, songId: string) {
  const { value: text } = useDraftState(draft);
  const rewriting = useRewriting(draft);
  const { input, state } = useSheetInput(draft, useWrittenTonic(text));
  const desk = useChartSheet(songId, text, { whole: state.typing !== null });
  const selection = input.selection;
  const [layer, setLayer] = useState<Layer>(NO_LAYER);
  const song = useChartAnalysis(desk.text, layer);
  const [sheet, setSheet] = useState<DeskSheetName | null>(null);
  const [pasted, setPasted] = useState('');
  const [checking, setChecking] = useState(false);
  const play = useSongPlay(songId, desk, song.scaleAt, selection?.head ?? null);
  const editor = useTextEditor();
  const room = useRef<HTMLDivElement>(null);
  useShownChord(desk, selection, song.whyOf);
  useFocusOnChosen(room, state, selection);
  const openPaste = (put: string) => {
    setPasted(put);
    setSheet('paste');
  };
  const mayWrite = useMayWrite();
  const onKeyDown = useSheetKeys(input, openPaste, mayWrite);
  useShortcuts({
    ArrowLeft: () => input.walk(-1),
    ArrowRight: () => input.walk(1),
    e: () => editor.inText((text) => text.focus()),
    v: play.toggle,
    'Ctrl+z': input.undo,
    'Ctrl+y': input.redo,
    'Ctrl+Z': input.redo,
  });
  return {
    songId,
    text,
    rewriting,
    input,
    state,
    desk,
    selection,
    layer,
    setLayer,
    song,
    sheet,
    setSheet,
    pasted,
    openPaste,
    checking,
    setChecking,
    play,
    editor,
    room,
    onKeyDown,
    mayWrite,
    edit: (change: ChartEdit) => void edit(draft, change),
    goToText: ({ line, column }: Problem['at']) => editor.inText((text) => text.goTo(line, column)),
  };
}

export type Desk = ReturnType<typeof useDesk>;
