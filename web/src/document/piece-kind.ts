import type { RememberedJson } from '@aurora/core';
import { type PieceWork, pieceWork } from '@aurora/wire';
import { z } from 'zod';
import type { DraftKind } from './draft-kind.ts';
import { equalValues, type FieldClash, mergeValues } from './merge-values.ts';

/** What is worked on in a piece: its name, where harmony may change, its chart, and what is said of it, by subject. */
export interface PieceDraftValue extends Omit<PieceWork, 'said'> {
  readonly said: Readonly<Record<string, RememberedJson>>;
}

/** From one state of a piece to another: carried over what others change by putting all three together. */
export interface PieceStep {
  readonly from: PieceDraftValue;
  readonly to: PieceDraftValue;
}

const kept = pieceWork.omit({ said: true }).extend({ said: z.record(z.string(), pieceWork.shape.said.element) });
const keptValue = (stored: unknown): PieceDraftValue | undefined => kept.safeParse(stored).data;
const stepOf = (stored: unknown): PieceStep | undefined => {
  const { from, to } = (typeof stored === 'object' && stored !== null ? stored : {}) as { readonly from?: unknown; readonly to?: unknown };
  const [before, after] = [keptValue(from), keptValue(to)];
  return before === undefined || after === undefined ? undefined : { from: before, to: after };
};

/** A written-out piece. */
export const PIECE_KIND: DraftKind<PieceDraftValue, PieceStep, FieldClash> = {
  name: 'piece',
  equal: equalValues,
  merge: mergeValues,
  steps: {
    between: (from, to) => (equalValues(from, to) ? null : { from, to }),
    apply: (value, { from, to }) => mergeValues(from, to, value).value,
    invert: ({ from, to }, before) => ({ from: mergeValues(from, to, before).value, to: before }),
    goesOn: () => false,
    over: (steps) => steps,
    write: (step) => step,
    read: stepOf,
  },
  write: (value) => value,
  read: keptValue,
};
