import {
  beginSection,
  type Cell,
  cellsOf,
  deepenBars,
  deleteBars,
  duplicateBars,
  type FormerChords,
  insertCells,
  joinBars,
  markEnding,
  moveBars,
  moveSection,
  openChart,
  type SlotMark,
  splitBar,
  toggleMark,
  toggleRepeat,
  writeBar,
} from '@aurora/core';
import { useCallback, useRef, useState } from 'react';
import type { Rewriting } from '../../document/use-rewriting.ts';
import { type BarSelection, choose, rangeOf } from './bar-selection.ts';

/** A bar being typed: which one, with what, and whether it is a new one put before it. */
export interface Typing {
  readonly bar: number;
  readonly begin: string;
  readonly isNew: boolean;
}

/** Bars that were copied, for as long as the page is open. */
let copied: readonly Cell[] = [];

/** Everything that can be done to bars on the sheet, in the text as it stands just now. Each change is one step that can be taken back. */
export function useBarEditing(textNow: () => string, rewriting: Rewriting) {
  const [selection, setSelection] = useState<BarSelection | null>(null);
  const [typing, setTyping] = useState<Typing | null>(null);
  const former = useRef<FormerChords>(new Map());
  const { write } = rewriting;

  const change = (make: (chart: ReturnType<typeof openChart>) => string, select?: BarSelection) => {
    write(make(openChart(textNow())));
    if (select !== undefined) setSelection(select);
  };
  /** A change of the chosen bars; nothing when none is chosen. */
  const onBars = (
    make: (chart: ReturnType<typeof openChart>, range: { readonly from: number; readonly to: number }) => string,
    select?: BarSelection,
  ) => {
    if (selection !== null) change((chart) => make(chart, rangeOf(selection)), select);
  };

  const commands = {
    delete: () => onBars(deleteBars, selection === null ? undefined : choose(Math.max(0, rangeOf(selection).from - 1))),
    duplicate: () => onBars(duplicateBars, selection === null ? undefined : choose(rangeOf(selection).to + 1)),
    split: () => selection !== null && change((chart) => splitBar(chart, selection.head)),
    join: () => onBars(joinBars, selection === null ? undefined : choose(rangeOf(selection).from)),
    repeat: () => onBars((chart, range) => toggleRepeat(chart, range)),
    ending: (passes: readonly number[]) => onBars((chart, range) => markEnding(chart, range, passes)),
    mark: (mark: SlotMark) => {
      const alone = selection !== null && selection.anchor === selection.head ? selection.chord : null;
      onBars((chart, range) => toggleMark(chart, range, mark, alone));
    },
    deepen: (depth: 'triad' | 'seventh') =>
      onBars((chart, range) => {
        const deepened = deepenBars(chart, range, depth, former.current);
        former.current = deepened.former;
        return deepened.text;
      }),
    move: (step: 1 | -1) => {
      if (selection === null) return;
      const { from, to } = rangeOf(selection);
      const bars = openChart(textNow()).reading.bars.length;
      const before = step === -1 ? from - 1 : to + 2;
      if (before < 0 || before > bars) return;
      const by = (bar: number) => bar + step;
      change((chart) => moveBars(chart, { from, to }, before), { ...selection, anchor: by(selection.anchor), head: by(selection.head) });
    },
    moveTo: (before: number) => {
      if (selection === null) return;
      const { from, to } = rangeOf(selection);
      const landed = before > to ? before - (to - from + 1) : before;
      change((chart) => moveBars(chart, { from, to }, before), { anchor: landed, head: landed + to - from, chord: 0 });
    },
    moveSection: (section: number, before: number) => change((chart) => moveSection(chart, section, before)),
    section: (name: string) => selection !== null && change((chart) => beginSection(chart, rangeOf(selection).from, name)),
    copy: () => {
      if (selection !== null) copied = cellsOf(openChart(textNow()), rangeOf(selection));
      return copied.length;
    },
    /** Puts what was copied behind the chosen bars; false when nothing was. */
    putCopied: () => {
      if (copied.length === 0) return false;
      const behind = selection === null ? openChart(textNow()).reading.bars.length : rangeOf(selection).to + 1;
      change((chart) => insertCells(chart, behind, copied), { anchor: behind, head: behind + copied.length - 1, chord: 0 });
      return true;
    },
  };

  /** Writes what was typed; null when it landed, else the fault with its place in what was typed. */
  const commit = useCallback(
    (bar: number, isNew: boolean, typed: string) => {
      const chart = openChart(textNow());
      const made = isNew ? openChart(insertCells(chart, bar, [PLACEHOLDER])) : chart;
      const result = writeBar(made, bar, typed);
      if (!result.ok) return result;
      write(result.value);
      return null;
    },
    [textNow, write],
  );

  return { selection, setSelection, typing, setTyping, commands, commit };
}

/** Stands where a new bar will be until it is written. */
const PLACEHOLDER: Cell = [
  {
    kind: 'bar',
    slots: [{ chord: null, push: false, ring: false, stop: false, optional: false, beats: null }],
    broken: null,
    at: { line: 1, column: 1, length: 1 },
  },
];

export type BarEditing = ReturnType<typeof useBarEditing>;
