import { FORMAT_FILES } from '@aurora/core/format';
import { gone, MOST_SCORE_BYTES, type Piece, piece, pieceCreateRequest, pieceSaveRequest, piecesAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Threads } from '../compute/threads.ts';
import type { Db } from '../db/pool.ts';
import { bytesOf } from '../file/bytes-of.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing, required } from '../validate.ts';
import { addPiece, deletePiece, findPiece, listPieces, type PieceOutcome, type StoredPiece, savePiece } from './piece-store.ts';

/** `/bands/{id}/pieces`: written-out pieces, and what the players say of their harmony. */
export function pieceCalls(threads: Threads): readonly Call[] {
  return [...keepingCalls(threads), ...changeCalls(threads)];
}

/** Which pieces there are; a new one, and one with its file. */
function keepingCalls(threads: Threads): readonly Call[] {
  const [all, one] = ['/bands/{bandId}/pieces', '/bands/{bandId}/pieces/{pieceId}'];
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'pieceId', 'piece')] as const;
  return [
    call(
      {
        id: 'listPieces',
        access: 'member',
        method: 'get',
        path: all,
        tag: 'pieces',
        summary: 'The band’s written-out pieces',
        answer: piecesAnswer,
      },
      async ({ request, db }) => ({ pieces: await listPieces(db, idOf(request, 'bandId', 'band')) }),
    ),
    call(
      {
        id: 'addPiece',
        access: 'member',
        method: 'post',
        path: all,
        tag: 'pieces',
        summary: 'Keep a file of notes as a piece',
        body: pieceCreateRequest,
        bodyLimit: '8mb',
        answer: piece,
        status: 201,
      },
      async ({ body: { format, data, title, rhythm }, request, db, gone }) => {
        const source = sourceOf(format, data);
        const score = await readable(threads, { format, source, data }, idOf(request, 'bandId', 'band'), gone);
        const named = title || score.title;
        const added = await addPiece(db, idOf(request, 'bandId', 'band'), { title: named, by: score.by, format, source, rhythm });
        return told(orMissing(added, 'band'));
      },
    ),
    call(
      { id: 'readPiece', access: 'member', method: 'get', path: one, tag: 'pieces', summary: 'A piece with its file', answer: piece },
      async ({ request, db }) => told(orMissing(await findPiece(db, ...ids(request)), 'piece')),
    ),
  ];
}

/** A piece saved, and taken away. */
function changeCalls(threads: Threads): readonly Call[] {
  const one = '/bands/{bandId}/pieces/{pieceId}';
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'pieceId', 'piece')] as const;
  return [
    call(
      {
        id: 'savePiece',
        access: 'member',
        method: 'put',
        path: one,
        tag: 'pieces',
        summary: 'Save what is said of a piece on top of a revision',
        body: pieceSaveRequest,
        bodyLimit: '8mb',
        answer: piece,
        problems: [409],
      },
      async ({ body: { data, ...work }, request, db, gone }) => {
        const source = data === undefined ? null : await newSource(db, threads, ids(request), data, gone);
        return savedOr(await savePiece(db, ...ids(request), { ...work, source }));
      },
    ),
    call(
      { id: 'deletePiece', access: 'member', method: 'delete', path: one, tag: 'pieces', summary: 'Take a piece away', answer: gone },
      async ({ request, db }) => {
        if (!(await deletePiece(db, ...ids(request)))) throw notFound('piece');
        return { gone: true };
      },
    ),
  ];
}

function sourceOf(format: Piece['format'], data: string): Uint8Array {
  const source = bytesOf(format, data, 'data');
  if (source.length > MOST_SCORE_BYTES) throw new HttpFault('too-large', 'A piece may have 4 MB at most.');
  return source;
}

interface SentScore {
  readonly format: Piece['format'];
  readonly source: Uint8Array;
  /** As it was sent, to show where it cannot be read. */
  readonly data: string;
}

/** A file of notes has to be one that can be read; it is, beside the loop that answers everybody. */
async function readable(threads: Threads, { format, source, data }: SentScore, client: string, gone: AbortSignal) {
  const read = await threads.task('score', { format, source }, { client, gone, size: source.length });
  return required(read, 'data', FORMAT_FILES[format].isText ? data : '');
}

/** A file that comes in place of a piece's own has to be one that can be read. */
async function newSource(db: Db, threads: Threads, ids: readonly [string, string], data: string, gone: AbortSignal): Promise<Uint8Array> {
  const { format } = orMissing(await findPiece(db, ...ids), 'piece');
  const source = sourceOf(format, data);
  await readable(threads, { format, source, data }, ids[0], gone);
  return source;
}

function told({ source, ...rest }: StoredPiece): Piece {
  const { isText } = FORMAT_FILES[rest.format];
  return { ...rest, data: Buffer.from(source).toString(isText ? 'utf8' : 'base64') };
}

function savedOr(outcome: PieceOutcome): Piece {
  switch (outcome.kind) {
    case 'saved':
      return told(outcome.piece);
    case 'missing':
      throw notFound('piece');
    case 'strange-song': {
      const message = 'The chart of this piece is not on this band’s shelf.';
      throw new HttpFault('invalid', message, { errors: [{ message, path: 'songId' }] });
    }
    case 'stale':
      throw new HttpFault('stale-save', `Somebody saved revision ${outcome.piece.revision} of this piece. Nothing was overwritten.`);
  }
}
