import type { Steps } from './history.ts';
import { equalValues, mergeValues } from './merge-values.ts';

/** From one state of a plain value to another: carried over what others change by putting all three together. */
export interface MergedStep<T> {
  readonly from: T;
  readonly to: T;
}

/** Steps between plain values; `read` gives a stored value back, or undefined for anything that is none. */
export function mergedSteps<T>(read: (stored: unknown) => T | undefined): Steps<T, MergedStep<T>> {
  return {
    between: (from, to) => (equalValues(from, to) ? null : { from, to }),
    apply: (value, { from, to }) => mergeValues(from, to, value).value,
    invert: ({ from, to }, before) => ({ from: mergeValues(from, to, before).value, to: before }),
    goesOn: () => false,
    over: (steps) => steps,
    write: (step) => step,
    read: (stored) => {
      const { from, to } = (typeof stored === 'object' && stored !== null ? stored : {}) as {
        readonly from?: unknown;
        readonly to?: unknown;
      };
      const [before, after] = [read(from), read(to)];
      return before === undefined || after === undefined ? undefined : { from: before, to: after };
    },
  };
}
