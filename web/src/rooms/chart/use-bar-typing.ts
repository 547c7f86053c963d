import { faultWords, openChart } from '@aurora/core';
import { type RefObject, useCallback, useRef } from 'react';
import type { After, BarInputHandle } from './BarInput.tsx';
import { choose } from './bar-selection.ts';
import { barText } from './desk-text.ts';
import type { BarEditing } from './use-bar-editing.ts';

/** Writing bars one after the other where they stand. */
export interface BarTyping {
  /** Opens a bar with its own text, or with what is given. */
  readonly begin: (bar: number, begins: string | null, isNew?: boolean) => void;
  /** Writes what was typed and goes where it asks; the fault's words when it cannot be read. */
  readonly commit: (typed: string, after: After) => string | null;
  readonly cancel: () => void;
  readonly input: RefObject<BarInputHandle | null>;
}

interface TypingRoom {
  readonly editing: BarEditing;
  /** The text as it stands just now. */
  readonly textNow: () => string;
  /** Gives the focus back to the chosen bar. */
  readonly focusSoon: () => void;
}

export function useBarTyping({ editing, textNow, focusSoon }: TypingRoom): BarTyping {
  const { typing, setTyping, setSelection } = editing;
  const input = useRef<BarInputHandle>(null);
  const begin = useCallback(
    (bar: number, begins: string | null, isNew = false) => {
      setTyping({ bar, isNew, begin: begins ?? (isNew ? '' : barText(textNow(), bar)) });
      setSelection(choose(bar));
    },
    [textNow, setTyping, setSelection],
  );
  const rest = (bar: number) => {
    setTyping(null);
    setSelection(choose(bar));
    focusSoon();
  };
  const commit = (typed: string, after: After): string | null => {
    if (typing === null) return null;
    const fault = editing.commit(typing.bar, typing.isNew, typed);
    if (fault !== null) return faultWords(fault.fault);
    const count = openChart(textNow()).reading.bars.length;
    const next = typing.bar + (after === 'next' ? 1 : -1);
    if (after === 'stay' || next < 0) rest(typing.bar);
    else begin(next, null, next >= count);
    return null;
  };
  const cancel = () => {
    setTyping(null);
    focusSoon();
  };
  return { begin, commit, cancel, input };
}
