import { readSaid, subjectOf } from '@aurora/core';
import type { Piece } from '@aurora/wire';
import type { QueryClient } from '@tanstack/react-query';
import { ApiFault } from '../api/client.ts';
import { fetchPiece, pieceKey, savePiece } from '../api/pieces.ts';
import { copiesHere, guard, PAGE_CLOCK } from './browser-device.ts';
import type { Saved } from './device-copy.ts';
import { Draft, type SaveFault } from './draft.ts';
import type { FieldClash } from './merge-values.ts';
import { PIECE_KIND, type PieceDraftValue, type PieceStep } from './piece-kind.ts';
import { asApiFault, plainFault } from './save-fault.ts';
import { tellSaved } from './saved-news.ts';

export type PieceDraft = Draft<PieceDraftValue, PieceStep, FieldClash>;

/** Drafts stay as long as the page does, and with them what can be taken back. */
const DRAFTS = new Map<string, PieceDraft>();

/** The draft of a piece; it takes in whatever is fetched of it from then on. */
export function openPieceDraft(queries: QueryClient, bandId: string, piece: Piece): PieceDraft {
  const known = DRAFTS.get(piece.id);
  if (known !== undefined) return known;
  const draft: PieceDraft = new Draft(savedPiece(piece), PIECE_KIND, {
    ...PAGE_CLOCK,
    copies: copiesHere(PIECE_KIND, piece.id),
    save: async ({ said, ...work }, base) => {
      const saved = await savePiece(bandId, piece.id, { ...work, said: Object.values(said) }, base).catch(async (error: unknown) => {
        // somebody saved meanwhile: what they made of it is fetched, and put together with this
        if (error instanceof ApiFault && error.status === 409) throw new StalePiece(savedPiece(await fetchPiece(bandId, piece.id)));
        throw error;
      });
      queries.setQueryData(pieceKey(bandId, piece.id), saved);
      tellSaved(piece.id);
      return savedPiece(saved);
    },
    faultOf,
  });
  DRAFTS.set(piece.id, draft);
  guard(draft);
  const key = JSON.stringify(pieceKey(bandId, piece.id));
  queries.getQueryCache().subscribe(({ type, query }) => {
    if (type === 'updated' && JSON.stringify(query.queryKey) === key && query.state.data !== undefined)
      draft.adopt(savedPiece(query.state.data as Piece));
  });
  return draft;
}

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

function faultOf(error: unknown): SaveFault<PieceDraftValue> {
  if (error instanceof StalePiece) return { kind: 'stale', current: error.current };
  const fault = asApiFault(error);
  return plainFault(fault);
}
