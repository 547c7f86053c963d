import { type SetListBody, setListBody } from '@aurora/wire';
import { z } from 'zod';
import type { DraftKind } from './draft-kind.ts';
import { equalValues, type FieldClash, mergeValues } from './merge-values.ts';
import { type MergedStep, mergedSteps } from './merged-steps.ts';

export type SetStep = MergedStep<SetListBody>;

// a name being typed may be empty for a moment
const keptBody = setListBody.extend({ name: z.string().max(200) });
const bodyOf = (stored: unknown): SetListBody | undefined => keptBody.safeParse(stored).data;
const tidy = (body: SetListBody): SetListBody => ({ ...body, name: body.name.trim() });

/** The order of an evening. */
export const SET_KIND: DraftKind<SetListBody, SetStep, FieldClash> = {
  name: 'set',
  equal: (a, b) => equalValues(tidy(a), tidy(b)),
  merge: mergeValues,
  steps: mergedSteps(bodyOf),
  write: (body) => body,
  read: bodyOf,
};
