import { useState } from 'react';
import { doneAgain, NO_HISTORY, takenBack, written } from './text-history.ts';

/** A text with every step taken back and done again. */
export interface Rewriting {
  readonly write: (text: string) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

/** Remembers what a text was before each change made here. */
export function useRewriting(text: string, put: (text: string) => void): Rewriting {
  const [history, setHistory] = useState(NO_HISTORY);
  const step = (to: ReturnType<typeof takenBack>) => {
    if (to === null) return null;
    return () => {
      setHistory(to.history);
      put(to.text);
    };
  };
  return {
    write: (next) => {
      if (next === text) return;
      setHistory(written(history, text));
      put(next);
    },
    undo: step(takenBack(history, text)),
    redo: step(doneAgain(history, text)),
  };
}
