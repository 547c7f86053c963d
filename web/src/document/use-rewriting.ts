import { useCallback, useEffect, useRef } from 'react';
import { create } from 'zustand';
import { doneAgain, type EditHistory, NO_HISTORY, takenBack, written } from './edit-history.ts';

/** A text with every step taken back and done again. */
export interface Rewriting {
  /** Puts another text in its place; letters typed one after the other are taken back together. */
  readonly write: (text: string, typed?: boolean) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** The history of each text for as long as the page is open, so that going to another room forgets nothing. */
const useHistories = create<{ readonly of: Readonly<Record<string, EditHistory>> }>()(() => ({ of: {} }));

function keep(id: string, history: EditHistory): void {
  useHistories.setState(({ of }) => ({ of: { ...of, [id]: history } }));
}

/** Remembers every change of a text by its id, wherever it is made. */
export function useRewriting(id: string, text: string, put: (text: string) => void): Rewriting {
  const history = useHistories(({ of }) => of[id] ?? NO_HISTORY);
  // several changes may come before the page is drawn again: each starts from the one before
  const now = useRef(text);
  useEffect(() => {
    now.current = text;
  }, [text]);
  const write = useCallback(
    (next: string, typed = false) => {
      const before = now.current;
      if (next === before) return;
      now.current = next;
      keep(id, written(useHistories.getState().of[id] ?? NO_HISTORY, before, next, { typed, at: Date.now() }));
      put(next);
    },
    [id, put],
  );
  const step = (moved: ReturnType<typeof takenBack>) => {
    if (moved === null) return null;
    return () => {
      now.current = moved.text;
      keep(id, moved.history);
      put(moved.text);
    };
  };
  return { write, undo: step(takenBack(history, text)), redo: step(doneAgain(history, text)) };
}
