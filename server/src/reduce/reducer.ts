import { Worker } from 'node:worker_threads';
import type { Result } from '@aurora/core';
import type { ReduceAnswer } from '@aurora/wire';
import { HttpFault } from '../http-fault.ts';
import { type PieceToReduce, reducePiece } from './reduce-piece.ts';

/** Reduces pieces; what is asked for by nobody any more is ended. */
export type Reducer = (piece: PieceToReduce, gone: AbortSignal) => Promise<Result<ReduceAnswer>>;

/** A file above this many bytes is worked on in a thread of its own, so that nobody else waits for it. */
const LARGE = 60_000;
const DEADLINE_MS = 60_000;
const MOST_THREADS = 2;
const MOST_MEGABYTES = 768;

/** `thread` is the built script of the thread; without it every piece is reduced where it is asked for. */
export function createReducer(thread: URL | null): Reducer {
  const waiting: (() => void)[] = [];
  let running = 0;
  const turn = async () => {
    if (running >= MOST_THREADS) await new Promise<void>((resolve) => waiting.push(resolve));
    running += 1;
  };
  const done = () => {
    running -= 1;
    waiting.shift()?.();
  };
  return async (piece, gone) => {
    if (thread === null || piece.bytes.length <= LARGE) return reducePiece(piece);
    await turn();
    try {
      return await inThread(thread, piece, gone);
    } finally {
      done();
    }
  };
}

function inThread(thread: URL, piece: PieceToReduce, gone: AbortSignal): Promise<Result<ReduceAnswer>> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(thread, { workerData: piece, resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
    const tooLong = () => end(() => reject(new HttpFault('too-large', 'This piece takes too long to reduce: bring it in by movements.')));
    const timer = setTimeout(tooLong, DEADLINE_MS);
    const leave = () => end(() => reject(new HttpFault('too-large', 'Nobody waits for this piece any more.')));
    const end = (answer: () => void) => {
      clearTimeout(timer);
      gone.removeEventListener('abort', leave);
      void worker.terminate();
      answer();
    };
    gone.addEventListener('abort', leave);
    worker.once('message', (answer: Result<ReduceAnswer>) => end(() => resolve(answer)));
    worker.once('error', (error) => end(() => reject(error)));
  });
}
