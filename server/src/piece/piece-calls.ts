import { FORMAT_FILES, readScore } from '@aurora/core/format';
import { gone, MOST_SCORE_BYTES, type Piece, piece, pieceCreateRequest, pieceSaveRequest, piecesAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { bytesOf } from '../file/bytes-of.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing, required } from '../validate.ts';
import { addPiece, deletePiece, findPiece, listPieces, type PieceOutcome, type StoredPiece, savePiece } from './piece-store.ts';

/** `/bands/{id}/pieces`: written-out pieces, and what the players say of their harmony. */
export function pieceCalls(pool: Pool): readonly Call[] {
  const [all, one] = ['/bands/{bandId}/pieces', '/bands/{bandId}/pieces/{pieceId}'];
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'pieceId', 'piece')] as const;
  return [
    call(
      { id: 'listPieces', method: 'get', path: all, tag: 'pieces', summary: 'The band’s written-out pieces', answer: piecesAnswer },
      async ({ request }) => ({ pieces: await listPieces(pool, idOf(request, 'bandId', 'band')) }),
    ),
    call(
      {
        id: 'addPiece',
        method: 'post',
        path: all,
        tag: 'pieces',
        summary: 'Keep a file of notes as a piece',
        body: pieceCreateRequest,
        bodyLimit: '8mb',
        answer: piece,
        status: 201,
      },
      async ({ body: { format, data, title, rhythm }, request }) => {
        const source = sourceOf(format, data);
        const { score } = required(readScore(format, source), 'data', FORMAT_FILES[format].isText ? data : '');
        const named = title || score.title;
        const added = await addPiece(pool, idOf(request, 'bandId', 'band'), { title: named, by: score.by, format, source, rhythm });
        return told(orMissing(added, 'band'));
      },
    ),
    call(
      { id: 'readPiece', method: 'get', path: one, tag: 'pieces', summary: 'A piece with its file', answer: piece },
      async ({ request }) => told(orMissing(await findPiece(pool, ...ids(request)), 'piece')),
    ),
    call(
      {
        id: 'savePiece',
        method: 'put',
        path: one,
        tag: 'pieces',
        summary: 'Save what is said of a piece on top of a revision',
        body: pieceSaveRequest,
        bodyLimit: '8mb',
        answer: piece,
        problems: [409],
      },
      async ({ body: { data, ...work }, request }) => {
        const source = data === undefined ? null : await newSource(pool, ids(request), data);
        return savedOr(await savePiece(pool, ...ids(request), { ...work, source }));
      },
    ),
    call(
      { id: 'deletePiece', method: 'delete', path: one, tag: 'pieces', summary: 'Take a piece away', answer: gone },
      async ({ request }) => {
        if (!(await deletePiece(pool, ...ids(request)))) throw notFound('piece');
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

/** A file that comes in place of a piece's own has to be one that can be read. */
async function newSource(pool: Pool, ids: readonly [string, string], data: string): Promise<Uint8Array> {
  const { format } = orMissing(await findPiece(pool, ...ids), 'piece');
  const source = sourceOf(format, data);
  required(readScore(format, source), 'data', FORMAT_FILES[format].isText ? data : '');
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
