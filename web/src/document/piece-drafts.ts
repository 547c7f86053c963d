import { readSaid, subjectOf } from '@aurora/core';
import type { Piece } from '@aurora/wire';
import { fetchPiece, pieceKey, savePiece } from '../api/pieces.ts';
import { asApiFault, verdictOn } from './answers.ts';
import { copiesHere, PAGE_CLOCK } from './browser-device.ts';
import type { Saved } from './device-copy.ts';
import { Draft } from './draft.ts';
import type { FieldClash } from './merge-values.ts';
import type { DocumentKind } from './open-documents.ts';
import { PIECE_KIND, type PieceDraftValue, type PieceStep } from './piece-kind.ts';

export type PieceDraft = Draft<PieceDraftValue, PieceStep, FieldClash>;

/** What is said of a written-out piece. */
export const PIECE_DOCUMENT: DocumentKind<Piece, PieceDraft> = {
  name: 'piece',
  key: ({ bandId, id }) => pieceKey(bandId, id),
  adopt: (draft, piece) => draft.adopt(savedPiece(piece)),
  open: (queries, { bandId, id }, piece) =>
    new Draft(savedPiece(piece), PIECE_KIND, {
      ...PAGE_CLOCK,
      copies: copiesHere(PIECE_KIND, { bandId, id }),
      save: async ({ said, ...work }, base) => {
        const saved = await savePiece(bandId, id, { ...work, said: Object.values(said) }, base).catch(async (error: unknown) => {
          // somebody saved meanwhile: what they made of it is fetched, and put together with this
          if (asApiFault(error).status === 409) throw new StalePiece(savedPiece(await fetchPiece(bandId, id)));
          throw error;
        });
        queries.setQueryData(pieceKey(bandId, id), saved);
        return savedPiece(saved);
      },
      faultOf: (error) => (error instanceof StalePiece ? { current: error.current } : verdictOn(error)),
    }),
};

function savedPiece({ title, rhythm, songId, said, revision, savedAt }: Piece): Saved<PieceDraftValue> {
  const bySubject = said.flatMap((remembered) => {
    const read = readSaid(remembered);
    return read === undefined ? [] : [[subjectOf(read.said), remembered] as const];
  });
  return { value: { title, rhythm, songId, said: Object.fromEntries(bySubject) }, revision, savedAt };
}

class StalePiece extends Error {
  readonly current: Saved<PieceDraftValue>;

  constructor(current: Saved<PieceDraftValue>) {
    super('saved elsewhere');
    this.current = current;
  }
}
