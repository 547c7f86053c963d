import { applyChange, compileEdit, lettersTonic, type Note, openChart, success } from '@aurora/core';
import { type CHART_KIND, TEXT_STEPS } from '../../../document/chart-kind.ts';
import { doneAgain, type History, NO_HISTORY, takenBack, written } from '../../../document/history.ts';
import { SheetInput } from './sheet-input.ts';

/** A sheet over a text that nobody saves: for tests, and for the page that shows the parts. */
export function sheetOn(source: string, look: { readonly written?: Note; readonly ownChords?: boolean } = {}) {
  let text = source;
  let history: History<ReturnType<typeof CHART_KIND.steps.invert>> = NO_HISTORY;
  const step = (moved: ReturnType<typeof takenBack<string, ReturnType<typeof CHART_KIND.steps.invert>>>) => {
    if (moved !== null) ({ value: text, history } = moved);
  };
  const input = new SheetInput(
    {
      chart: () => openChart(text),
      edit: (edit) => {
        const made = compileEdit(openChart(text), edit);
        if (!made.ok) return made;
        const after = made.value === null ? text : (applyChange(text, made.value) as string);
        history = written(history, { before: text, after, typed: false, at: 0 }, TEXT_STEPS);
        text = after;
        return success(null);
      },
      undo: () => step(takenBack(history, text, TEXT_STEPS)),
      redo: () => step(doneAgain(history, text, TEXT_STEPS)),
    },
    {
      lettersFrom: (bar) => {
        const { reading } = openChart(text);
        return lettersTonic(reading, bar, look.written ?? reading.head.key.tonic);
      },
      ownChords: look.ownChords ?? false,
    },
  );
  return { input, text: () => text };
}
