import type { RememberedJson } from '@aurora/core';
import { type PieceWork, pieceWork } from '@aurora/wire';
import { z } from 'zod';
import type { DraftKind } from './draft-kind.ts';
import { equalValues, type FieldClash, mergeValues } from './merge-values.ts';
import { type MergedStep, mergedSteps } from './merged-steps.ts';

/** What is worked on in a piece: its name, where harmony may change, its chart, and what is said of it, by subject. */
export interface PieceDraftValue extends Omit<PieceWork, 'said'> {
  readonly said: Readonly<Record<string, RememberedJson>>;
}

export type PieceStep = MergedStep<PieceDraftValue>;

const kept = pieceWork.omit({ said: true }).extend({ said: z.record(z.string(), pieceWork.shape.said.element) });
const keptValue = (stored: unknown): PieceDraftValue | undefined => kept.safeParse(stored).data;

/** A written-out piece. */
export const PIECE_KIND: DraftKind<PieceDraftValue, PieceStep, FieldClash> = {
  name: 'piece',
  equal: equalValues,
  merge: mergeValues,
  steps: mergedSteps(keptValue),
  write: (value) => value,
  read: keptValue,
};
