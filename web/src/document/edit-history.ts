import { applyEdit, editBetween, invertEdit, type TextEdit } from '@aurora/core';

/** One change that is taken back in one go. */
interface Step {
  readonly edit: TextEdit;
  /** When it was made, in milliseconds; only steps of typing that follow each other closely become one. */
  readonly at: number;
  readonly typed: boolean;
}

/** What was done to a text, and what was taken back. There is no limit. */
export interface EditHistory {
  readonly done: readonly Step[];
  readonly undone: readonly TextEdit[];
}

export const NO_HISTORY: EditHistory = { done: [], undone: [] };

const TYPING_MS = 900;

/** The history after another text was written in the place of `before`. */
export function written(
  history: EditHistory,
  before: string,
  after: string,
  how: { readonly typed: boolean; readonly at: number },
): EditHistory {
  const edit = editBetween(before, after);
  if (edit === null) return history;
  const last = history.done.at(-1);
  const goesOn = last?.typed === true && how.typed && how.at - last.at < TYPING_MS && isNear(last.edit, edit);
  const base = goesOn ? applyEdit(before, invertEdit(last.edit)) : null;
  const merged = base === null ? null : editBetween(base, after);
  if (base !== null && merged === null) return { done: history.done.slice(0, -1), undone: [] };
  if (merged !== null) return { done: [...history.done.slice(0, -1), { edit: merged, ...how }], undone: [] };
  return { done: [...history.done, { edit, ...how }], undone: [] };
}

/** Whether a change stands where the one before it ended, as when somebody types on. */
function isNear(before: TextEdit, { at, inserted, removed }: TextEdit): boolean {
  const end = before.at + before.inserted.length;
  return at + removed.length >= before.at && at <= end && inserted.length <= 1 && !inserted.includes('\n');
}

/** A text and the history it has come to. */
export interface Moved {
  readonly text: string;
  readonly history: EditHistory;
}

/** One step back; null when there is none, or when the text is no longer the one it was made in. */
export function takenBack({ done, undone }: EditHistory, now: string): Moved | null {
  const last = done.at(-1);
  const text = last === undefined ? null : applyEdit(now, invertEdit(last.edit));
  return last === undefined || text === null ? null : { text, history: { done: done.slice(0, -1), undone: [last.edit, ...undone] } };
}

/** One step on again. */
export function doneAgain({ done, undone }: EditHistory, now: string): Moved | null {
  const [next, ...rest] = undone;
  const text = next === undefined ? null : applyEdit(now, next);
  return next === undefined || text === null
    ? null
    : { text, history: { done: [...done, { edit: next, at: 0, typed: false }], undone: rest } };
}
