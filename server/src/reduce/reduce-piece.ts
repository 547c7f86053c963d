import { type Result, type Rhythm, reduce, success } from '@aurora/core';
import { readScore, type ScoreFormat } from '@aurora/core/format';
import type { ReduceAnswer } from '@aurora/wire';
import { describeReduction } from './describe-reduction.ts';

/** A file of notes to be reduced. */
export interface PieceToReduce {
  readonly format: ScoreFormat;
  readonly bytes: Uint8Array;
  readonly rhythm: Rhythm;
}

/** A file of notes as its harmony, or why it cannot be read. */
export function reducePiece({ format, bytes, rhythm }: PieceToReduce): Result<ReduceAnswer> {
  const read = readScore(format, bytes);
  if (!read.ok) return read;
  return success(describeReduction(reduce(read.value.score, { rhythm }), read.value.losses));
}
