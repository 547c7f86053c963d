import { parentPort, workerData } from 'node:worker_threads';
import { type PieceToReduce, reducePiece } from './reduce-piece.ts';

// a thread of its own for one large piece: it answers once and ends
parentPort?.postMessage(reducePiece(workerData as PieceToReduce));
