import {
  applyChange,
  type ChartClash,
  changeBetween,
  invertChange,
  mapChange,
  mergeCharts,
  readChange,
  spansOf,
  storeChange,
  type TextChange,
} from '@aurora/core';
import type { DraftKind } from './draft-kind.ts';
import type { Steps } from './history.ts';

/** Changes of a text: undo is a change like any other, and is carried over what others write. */
export const TEXT_STEPS: Steps<string, TextChange> = {
  between: changeBetween,
  apply: applyChange,
  invert: invertChange,
  goesOn: (last, next, now) => {
    const [before, after] = [spansOf(last), spansOf(next)];
    const [was, is] = [before[0], after[0]];
    if (was === undefined || is === undefined || before.length > 1 || after.length > 1) return false;
    const typed = now.slice(is.from, is.to);
    return typed.length <= 1 && typed !== '\n' && is.from + is.insert.length >= was.from && is.from <= was.to;
  },
  over: (steps, from, to) => {
    let other = changeBetween(from, to);
    return steps.map((step) => {
      if (other === null) return step;
      const carried = mapChange(step, other, 'second');
      other = mapChange(other, step, 'first');
      return carried;
    });
  },
  write: storeChange,
  read: readChange,
};

/** A song's chart text. */
export const CHART_KIND: DraftKind<string, TextChange, ChartClash> = {
  name: 'song',
  equal: (a, b) => a === b,
  merge: (base, mine, theirs) => {
    const { text, clashes } = mergeCharts(base, mine, theirs);
    return { value: text, clashes };
  },
  steps: TEXT_STEPS,
  write: (text) => text,
  read: (stored) => (typeof stored === 'string' ? stored : undefined),
};
