/** The changes of one kind of value, as steps that lead from one value to another. */
export interface Steps<T, Step> {
  /** The step from one value to another; null when they are equal. */
  readonly between: (from: T, to: T) => Step | null;
  /** The value after a step; null when the step was made for another value. */
  readonly apply: (value: T, step: Step) => T | null;
  /** The step that takes a step back, made for the value before it. */
  readonly invert: (step: Step, before: T) => Step;
  /** Whether a change goes on where the last one ended, as when somebody types on; both as steps back. */
  readonly goesOn: (last: Step, next: Step, now: T) => boolean;
  /** Steps that follow one another from a value, carried over what somebody else made of that value. */
  readonly over: (steps: readonly Step[], from: T, to: T) => readonly Step[];
  readonly write: (step: Step) => unknown;
  readonly read: (stored: unknown) => Step | undefined;
}

interface DoneStep<Step> {
  /** What takes it back. */
  readonly back: Step;
  /** When it was made, in milliseconds; only typing that follows closely becomes one step. */
  readonly at: number;
  readonly typed: boolean;
}

/** What was done, and what was taken back, each as the step that changes it. There is no limit. */
export interface History<Step> {
  readonly done: readonly DoneStep<Step>[];
  /** The next one to be done again comes first. */
  readonly undone: readonly Step[];
}

export const NO_HISTORY: History<never> = { done: [], undone: [] };

const TYPING_MS = 900;

/** The history after a value gave way to another one. */
export function written<T, Step>(
  history: History<Step>,
  { before, after, typed, at }: { readonly before: T; readonly after: T; readonly typed: boolean; readonly at: number },
  steps: Steps<T, Step>,
): History<Step> {
  const back = steps.between(after, before);
  if (back === null) return history;
  const last = history.done.at(-1);
  const goesOn = last?.typed === true && typed && at - last.at < TYPING_MS && steps.goesOn(last.back, back, after);
  const base = goesOn ? steps.apply(before, last.back) : null;
  if (base === null) return { done: [...history.done, { back, at, typed }], undone: [] };
  const joined = steps.between(after, base);
  return { done: [...history.done.slice(0, -1), ...(joined === null ? [] : [{ back: joined, at, typed }])], undone: [] };
}

/** A value and the history it has come to. */
export interface Moved<T, Step> {
  readonly value: T;
  readonly history: History<Step>;
}

/** One step back; null when there is none, or when the value is not the one it was made in. */
export function takenBack<T, Step>({ done, undone }: History<Step>, now: T, steps: Steps<T, Step>): Moved<T, Step> | null {
  const last = done.at(-1);
  const value = last === undefined ? null : steps.apply(now, last.back);
  if (last === undefined || value === null) return null;
  return { value, history: { done: done.slice(0, -1), undone: [steps.invert(last.back, now), ...undone] } };
}

/** One step on again. */
export function doneAgain<T, Step>({ done, undone }: History<Step>, now: T, steps: Steps<T, Step>): Moved<T, Step> | null {
  const [next, ...rest] = undone;
  const value = next === undefined ? null : steps.apply(now, next);
  if (next === undefined || value === null) return null;
  return { value, history: { done: [...done, { back: steps.invert(next, now), at: 0, typed: false }], undone: rest } };
}

/** The history after somebody else made another value of this one: own steps can still be taken back, theirs stay. */
export function rebased<T, Step>({ done, undone }: History<Step>, from: T, to: T, steps: Steps<T, Step>): History<Step> {
  // the last step done is the first to be taken back
  const backs = steps.over(done.map(({ back }) => back).reverse(), from, to);
  return {
    done: done.map((step, index) => ({ ...step, back: backs[done.length - 1 - index] as Step })),
    undone: steps.over(undone, from, to),
  };
}

/** So many steps outlive the page, and no more letters than these. */
const MOST_KEPT = 100;
const MOST_LETTERS = 200_000;

/** The last steps of a history, as plain values, and what they can be taken back from. */
export interface KeptHistory {
  /** The value they were made up to, as its kind writes it. */
  readonly of: unknown;
  /** What the server had then. */
  readonly revision: number;
  readonly done: readonly unknown[];
  readonly undone: readonly unknown[];
}

/** What of a history is kept over a reload. */
export function keptHistory<T, Step>({ done, undone }: History<Step>, steps: Steps<T, Step>): Pick<KeptHistory, 'done' | 'undone'> {
  for (let most = MOST_KEPT; most >= 1; most = Math.floor(most / 2)) {
    const kept = {
      done: done.slice(-most).map(({ back }) => steps.write(back)),
      undone: undone.slice(0, most).map((step) => steps.write(step)),
    };
    if (JSON.stringify(kept).length <= MOST_LETTERS) return kept;
  }
  return { done: [], undone: [] };
}

/** A kept history; an empty one for anything that is none. */
export function historyOf<T, Step>(kept: Pick<KeptHistory, 'done' | 'undone'> | null, steps: Steps<T, Step>): History<Step> {
  const backs = readSteps(kept?.done, steps);
  const again = readSteps(kept?.undone, steps);
  if (backs === undefined || again === undefined) return NO_HISTORY;
  return { done: backs.map((back) => ({ back, at: 0, typed: false })), undone: again };
}

function readSteps<T, Step>(list: unknown, steps: Steps<T, Step>): readonly Step[] | undefined {
  if (!Array.isArray(list)) return undefined;
  const read = list.map((one) => steps.read(one));
  return read.every((step) => step !== undefined) ? (read as readonly Step[]) : undefined;
}
