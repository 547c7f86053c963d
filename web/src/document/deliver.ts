import type { QueryClient } from '@tanstack/react-query';
import { fetchPiece } from '../api/pieces.ts';
import { setQuery } from '../api/sets.ts';
import { songQuery } from '../api/songs.ts';
import { asApiFault } from './answers.ts';
import type { WaitingCopy } from './device-copy.ts';
import type { Address, DocumentKind, Openable } from './open-documents.ts';
import { PIECE_DOCUMENT } from './piece-drafts.ts';
import { SET_DOCUMENT } from './set-desks.ts';
import { SONG_DOCUMENT } from './song-drafts.ts';
import { documentsOf } from './use-open-document.ts';

/** As the server has it now, asked once. */
const NOW = { staleTime: 0, retry: false } as const;

type Deliver = (queries: QueryClient, address: Address) => Promise<void>;

const DELIVER: Readonly<Record<string, Deliver>> = {
  song: async (queries, at) => saved(queries, at, SONG_DOCUMENT, await queries.fetchQuery({ ...songQuery(at.bandId, at.id), ...NOW })),
  set: async (queries, at) => saved(queries, at, SET_DOCUMENT, await queries.fetchQuery({ ...setQuery(at.bandId, at.id), ...NOW })),
  piece: async (queries, at) => saved(queries, at, PIECE_DOCUMENT, await fetchPiece(at.bandId, at.id)),
};

/**
 * Opens a document as the room would, so that what waits of it is put together with what the server has and saved; what others
 * changed too stays open and is asked when it is seen.
 */
async function saved<Answer, Document extends Openable & { readonly ready: Promise<void> }>(
  queries: QueryClient,
  address: Address,
  kind: DocumentKind<Answer, Document>,
  answer: Answer,
): Promise<void> {
  const { document, close } = documentsOf(queries).open(kind, address, answer);
  await document.ready;
  await document.flush();
  close();
}

/** The server answers that it is not there for who is here: what else waits may be. */
const NOT_HERE = [403, 404, 410];

/** Sends what waits of a band, one after the other, until the server does not answer. It never fails. */
export async function deliver(queries: QueryClient, bandId: string, copies: readonly WaitingCopy[]): Promise<void> {
  for (const { kind, id, bandId: of } of copies) {
    if (of !== null && of !== bandId) continue;
    try {
      await DELIVER[kind]?.(queries, { bandId, id });
    } catch (thrown) {
      if (!NOT_HERE.includes(asApiFault(thrown).status ?? 0)) return;
    }
  }
}
