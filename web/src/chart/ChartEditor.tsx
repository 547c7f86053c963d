import type { Problem } from '@aurora/core';
import { faultWords } from '@aurora/core';
import { defaultKeymap, history, historyKeymap } from '@codemirror/commands';
import { type Diagnostic, lintGutter, setDiagnostics } from '@codemirror/lint';
import { EditorState, type Text } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import { type RefObject, useEffect, useImperativeHandle, useRef } from 'react';
import { chartLanguage } from './chart-language.ts';

/** What the room can ask of the editor. */
export interface EditorHandle {
  readonly focus: () => void;
  /** Puts the caret at a place of the text, both counted from 1. */
  readonly goTo: (line: number, column: number) => void;
}

interface ChartEditorProps {
  readonly text: string;
  readonly problems: readonly Problem[];
  readonly onChange: (text: string) => void;
  readonly onLeave: () => void;
  readonly handle: RefObject<EditorHandle | null>;
}

const MOST_MARKED = 200;

const look = EditorView.theme({
  '&': { height: '100%', fontSize: '16px', color: 'var(--ink)', backgroundColor: 'var(--raised)' },
  '.cm-scroller': { fontFamily: 'var(--font-text, inherit)', lineHeight: '1.65' },
  '.cm-content': { caretColor: 'var(--accent)', padding: '12px 0' },
  '.cm-gutters': { backgroundColor: 'transparent', color: 'var(--quiet)', border: 'none' },
  '&.cm-focused': { outline: 'none' },
  '&.cm-focused .cm-cursor': { borderLeftColor: 'var(--accent)', borderLeftWidth: '2.5px' },
  '&.cm-focused .cm-selectionBackground, .cm-selectionBackground': { backgroundColor: 'var(--wash) !important' },
  '.cm-tooltip': { backgroundColor: 'var(--ink)', color: 'var(--ground)', border: 'none', borderRadius: '8px' },
  '.cm-diagnostic': { border: 'none', padding: '6px 10px', fontFamily: 'var(--font-text)' },
});

/** The chart's text, with problems marked where they stand. */
export function ChartEditor({ text, problems, onChange, onLeave, handle }: ChartEditorProps) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const calls = useRef({ onChange, onLeave });
  const first = useRef(text);
  useEffect(() => {
    calls.current = { onChange, onLeave };
  });

  useEffect(() => {
    const editor = new EditorView({ parent: host.current as HTMLDivElement, state: openState(first.current, calls) });
    view.current = editor;
    return () => editor.destroy();
  }, []);

  useEffect(() => {
    const editor = view.current;
    if (editor === null || editor.state.doc.toString() === text) return;
    editor.dispatch({ changes: { from: 0, to: editor.state.doc.length, insert: text } });
  }, [text]);

  useEffect(() => {
    const editor = view.current;
    if (editor === null) return;
    editor.dispatch(
      setDiagnostics(
        editor.state,
        problems.slice(0, MOST_MARKED).map((problem) => diagnosticOf(problem, editor.state.doc)),
      ),
    );
  }, [problems]);

  useImperativeHandle(handle, () => ({
    focus: () => view.current?.focus(),
    goTo: (line, column) => {
      const editor = view.current;
      if (editor === null) return;
      const at = offsetOf(editor.state.doc, line, column);
      editor.dispatch({ selection: { anchor: at }, scrollIntoView: true });
      editor.focus();
    },
  }));

  return <div ref={host} className="h-full overflow-hidden" />;
}

function openState(text: string, calls: RefObject<{ onChange: (text: string) => void; onLeave: () => void }>): EditorState {
  const leave = () => {
    calls.current.onLeave();
    return true;
  };
  return EditorState.create({
    doc: text,
    extensions: [
      history(),
      lineNumbers(),
      lintGutter(),
      chartLanguage,
      look,
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ 'aria-label': 'Chart text', tabindex: '0', spellcheck: 'false', autocapitalize: 'off' }),
      keymap.of([{ key: 'Escape', run: leave }, ...defaultKeymap, ...historyKeymap]),
      EditorView.updateListener.of((update) => {
        if (update.docChanged) calls.current.onChange(update.state.doc.toString());
      }),
    ],
  });
}

function diagnosticOf({ fault, severity, at }: Problem, doc: Text): Diagnostic {
  const from = offsetOf(doc, at.line, at.column);
  return { from, to: Math.min(doc.length, from + Math.max(1, at.length)), severity, message: faultWords(fault) };
}

/** The place may be of a text a few letters older than the editor's: it is kept inside. */
function offsetOf(doc: Text, line: number, column: number): number {
  const found = doc.line(Math.min(Math.max(1, line), doc.lines));
  return Math.min(found.from + column - 1, found.to);
}
