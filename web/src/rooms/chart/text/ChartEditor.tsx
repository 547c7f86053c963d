import { changeBetween, faultWords, type Problem, quickFix } from '@aurora/core';
import { autocompletion, completionKeymap } from '@codemirror/autocomplete';
import { defaultKeymap } from '@codemirror/commands';
import { type Diagnostic, lintGutter, setDiagnostics } from '@codemirror/lint';
import { EditorState, type Text } from '@codemirror/state';
import { EditorView, keymap, lineNumbers } from '@codemirror/view';
import { type Ref, type RefObject, useEffect, useImperativeHandle, useLayoutEffect, useRef } from 'react';
import { CHART_WORDS } from '../../../wording/chart.ts';
import { chartCompletions } from './chart-completion.ts';
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
  readonly onUndo: () => void;
  readonly onRedo: () => void;
  readonly onLeave: () => void;
  readonly handle: Ref<EditorHandle>;
}

type Calls = Pick<ChartEditorProps, 'onChange' | 'onUndo' | 'onRedo' | 'onLeave'>;

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
  '.cm-tooltip-autocomplete > ul': { fontFamily: 'var(--font-text)', fontSize: '16px' },
  '.cm-tooltip-autocomplete > ul > li[aria-selected]': { backgroundColor: 'var(--accent)', color: 'var(--on-accent)' },
  '.cm-completionDetail': { fontStyle: 'normal', opacity: '0.85' },
  '.cm-diagnostic': { border: 'none', padding: '6px 10px', fontFamily: 'var(--font-text)' },
  '.cm-diagnosticAction': { backgroundColor: 'var(--accent)', color: 'var(--on-accent)', borderRadius: '6px', padding: '2px 8px' },
});

/** The chart's text, with problems marked where they stand. It shares its history with the sheet. */
export function ChartEditor({ text, problems, handle, ...wanted }: ChartEditorProps) {
  const host = useRef<HTMLDivElement>(null);
  const view = useRef<EditorView | null>(null);
  const calls = useRef<Calls>(wanted);
  const first = useRef(text);
  // what came from outside is no typing of this editor's own
  const receiving = useRef(false);
  useEffect(() => {
    calls.current = wanted;
  });

  // before the handle is given out
  useLayoutEffect(() => {
    const editor = new EditorView({ parent: host.current as HTMLDivElement, state: openState(first.current, calls, receiving) });
    view.current = editor;
    return () => editor.destroy();
  }, []);

  useEffect(() => {
    const editor = view.current;
    const changes = editor === null ? null : changeBetween(editor.state.doc.toString(), text);
    if (editor === null || changes === null) return;
    receiving.current = true;
    editor.dispatch({ changes });
    receiving.current = false;
  }, [text]);

  useEffect(() => {
    const editor = view.current;
    if (editor === null) return;
    const source = editor.state.doc.toString();
    const marked = problems.slice(0, MOST_MARKED).map((problem) => diagnosticOf(problem, editor.state.doc, source));
    editor.dispatch(setDiagnostics(editor.state, marked));
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

function openState(text: string, calls: RefObject<Calls>, receiving: RefObject<boolean>): EditorState {
  const call = (name: 'onUndo' | 'onRedo' | 'onLeave') => () => {
    calls.current[name]();
    return true;
  };
  return EditorState.create({
    doc: text,
    extensions: [
      lineNumbers(),
      lintGutter(),
      chartLanguage,
      look,
      autocompletion({ override: [chartCompletions], icons: false }),
      EditorView.lineWrapping,
      EditorView.contentAttributes.of({ 'aria-label': CHART_WORDS.chartText, tabindex: '0', spellcheck: 'false', autocapitalize: 'off' }),
      keymap.of([
        ...completionKeymap,
        { key: 'Mod-z', run: call('onUndo'), preventDefault: true },
        { key: 'Mod-y', run: call('onRedo'), preventDefault: true },
        { key: 'Mod-Shift-z', run: call('onRedo'), preventDefault: true },
        { key: 'Escape', run: call('onLeave') },
        ...defaultKeymap,
      ]),
      EditorView.updateListener.of((update) => {
        if (update.docChanged && !receiving.current) calls.current.onChange(update.state.doc.toString());
      }),
    ],
  });
}

function diagnosticOf(problem: Problem, doc: Text, source: string): Diagnostic {
  const { fault, severity, at } = problem;
  const from = offsetOf(doc, at.line, at.column);
  const fix = quickFix(problem, source);
  const start = fix === undefined ? from : offsetOf(doc, fix.at.line, fix.at.column);
  const mend = (editor: EditorView) =>
    fix === undefined
      ? undefined
      : editor.dispatch({ changes: { from: start, to: Math.min(editor.state.doc.length, start + fix.at.length), insert: fix.write } });
  return {
    from,
    to: Math.min(doc.length, from + Math.max(1, at.length)),
    severity,
    message: faultWords(fault),
    ...(fix === undefined ? {} : { actions: [{ name: CHART_WORDS.writeFix(fix.write.trim()), apply: mend }] }),
  };
}

/** The place may be of a text a few letters older than the editor's: it is kept inside. */
function offsetOf(doc: Text, line: number, column: number): number {
  const found = doc.line(Math.min(Math.max(1, line), doc.lines));
  return Math.min(found.from + column - 1, found.to);
}
