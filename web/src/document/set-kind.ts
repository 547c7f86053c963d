import { type SetListBody, setListBody } from '@aurora/wire';
import { z } from 'zod';
import type { DraftKind } from './draft-kind.ts';
import { equalValues, type FieldClash, mergeValues } from './merge-values.ts';

/** From one body of a set to another: carried over what others change by putting all three together. */
export interface SetStep {
  readonly from: SetListBody;
  readonly to: SetListBody;
}

// a name being typed may be empty for a moment
const keptBody = setListBody.extend({ name: z.string().max(200) });
const bodyOf = (stored: unknown): SetListBody | undefined => keptBody.safeParse(stored).data;
const tidy = (body: SetListBody): SetListBody => ({ ...body, name: body.name.trim() });

/** The order of an evening. */
export const SET_KIND: DraftKind<SetListBody, SetStep, FieldClash> = {
  name: 'set',
  equal: (a, b) => equalValues(tidy(a), tidy(b)),
  merge: mergeValues,
  steps: {
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
      const [before, after] = [bodyOf(from), bodyOf(to)];
      return before === undefined || after === undefined ? undefined : { from: before, to: after };
    },
  },
  write: (body) => body,
  read: bodyOf,
};
