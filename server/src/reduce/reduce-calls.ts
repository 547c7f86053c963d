import { FORMAT_FILES } from '@aurora/core/format';
import { MOST_SCORE_BYTES, type ReduceRequest, reduceAnswer, reduceRequest } from '@aurora/wire';
import { type Call, openCall } from '../call/call.ts';
import { bytesOf } from '../file/bytes-of.ts';
import { HttpFault } from '../http-fault.ts';
import { required } from '../validate.ts';
import { reducePiece } from './reduce-piece.ts';

const DEADLINE_MS = 60_000;

/** `/reduce`: a written-out piece as its harmony. */
export const REDUCE_CALLS: readonly Call[] = [
  openCall(
    {
      id: 'reducePiece',
      method: 'post',
      path: '/reduce',
      tag: 'theory',
      summary: 'A written-out piece as its harmony: chords, keys, cadences, and the notes outside the chords',
      body: reduceRequest,
      bodyLimit: '8mb',
      answer: reduceAnswer,
      isLimited: true,
      isHeavy: true,
      deadlineMs: DEADLINE_MS,
    },
    ({ body }) => required(reducePiece(pieceOf(body)), 'data', FORMAT_FILES[body.format].isText ? body.data : ''),
  ),
];

function pieceOf({ format, data, options }: ReduceRequest) {
  const bytes = bytesOf(format, data, 'data');
  if (bytes.length > MOST_SCORE_BYTES) throw new HttpFault('too-large', 'A piece may have 4 MB at most.');
  return { format, bytes, rhythm: options?.rhythm ?? 'auto' } as const;
}
