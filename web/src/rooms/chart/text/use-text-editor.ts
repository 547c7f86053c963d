import { type RefCallback, useCallback, useRef } from 'react';
import { flushSync } from 'react-dom';
import { setFolds } from '../../../session/device-store.ts';
import { raiseHand } from '../../../session/hand-store.ts';
import { usePhone } from '../../../session/use-media.ts';
import type { EditorHandle } from './ChartEditor.tsx';

interface TextEditor {
  /** Where the editor says that it is there. */
  readonly hold: RefCallback<EditorHandle>;
  /** Opens the text and does something in it: at once, or as soon as the editor has been fetched. */
  readonly inText: (act: (editor: EditorHandle) => void) => void;
}

/** The text editor as the desk asks for it: its pane may be folded, and the editor itself still on its way. */
export function useTextEditor(): TextEditor {
  const editor = useRef<EditorHandle | null>(null);
  const waiting = useRef<((editor: EditorHandle) => void) | null>(null);
  const hold = useCallback((handle: EditorHandle | null) => {
    editor.current = handle;
    if (handle === null) return;
    const act = waiting.current;
    waiting.current = null;
    act?.(handle);
  }, []);
  const isPhone = usePhone();
  const inText = useCallback(
    (act: (editor: EditorHandle) => void) => {
      // the next key is meant for the text already
      flushSync(() => (isPhone ? raiseHand('text') : setFolds('chart', { side: 'text' })));
      if (editor.current === null) waiting.current = act;
      else act(editor.current);
    },
    [isPhone],
  );
  return { hold, inText };
}
