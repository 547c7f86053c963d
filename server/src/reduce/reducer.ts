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
const TOO_MUCH = 'This piece takes too long to reduce: bring it in by movements.';
const NOBODY_WAITS = 'Nobody waits for this piece any more.';

/** `thread` is the built script of the thread; without it every piece is reduced where it is asked for. */
export function createReducer(thread: URL | null): Reducer {
  const waiting: (() => void)[] = [];
  let running = 0;
  const turn = async () => {
    if (running >= MOST_THREADS) return new Promise<void>((resolve) => waiting.push(resolve));
    running += 1;
  };
  // who waits takes the turn over
  const done = () => {
    const next = waiting.shift();
    if (next === undefined) running -= 1;
    else next();
  };
  return async (piece, gone) => {
    if (thread === null || piece.bytes.length <= LARGE) return reducePiece(piece);
    await turn();
    try {
      if (gone.aborted) throw new HttpFault('too-large', NOBODY_WAITS);
      return await inThread(thread, piece, gone);
    } finally {
      done();
    }
  };
}

function inThread(thread: URL, piece: PieceToReduce, gone: AbortSignal): Promise<Result<ReduceAnswer>> {
  return new Promise((resolve, reject) => {
    const worker = new Worker(thread, { workerData: piece, resourceLimits: { maxOldGenerationSizeMb: MOST_MEGABYTES } });
    const tooLong = () => end(() => reject(new HttpFault('too-large', TOO_MUCH)));
    const timer = setTimeout(tooLong, DEADLINE_MS);
    const leave = () => end(() => reject(new HttpFault('too-large', NOBODY_WAITS)));
    const end = (answer: () => void) => {
      clearTimeout(timer);
      gone.removeEventListener('abort', leave);
      void worker.terminate();
      answer();
    };
    gone.addEventListener('abort', leave);
    worker.once('message', (answer: Result<ReduceAnswer>) => end(() => resolve(answer)));
    worker.once('error', (error: NodeJS.ErrnoException) =>
      end(() => reject(isOutOfMemory(error) ? new HttpFault('too-large', TOO_MUCH) : error)),
    );
  });
}

function isOutOfMemory(error: { readonly code?: unknown }): boolean {
  return error.code === 'ERR_WORKER_OUT_OF_MEMORY';
}
