import type { QueryClient, QueryFunctionContext } from '@tanstack/react-query';
import { fetchPiece } from '../api/pieces.ts';
import { setQuery } from '../api/sets.ts';
import { songQuery } from '../api/songs.ts';
import { asApiFault } from './answers.ts';
import type { WaitingCopy } from './device-copy.ts';
import type { Address, DocumentKind, Openable } from './open-documents.ts';
import type { Owner } from './outbox.ts';
import { PIECE_DOCUMENT } from './piece-drafts.ts';
import { passesOutbox, sessionsOutbox } from './practice-outbox.ts';
import { SET_DOCUMENT } from './set-desks.ts';
import { SONG_DOCUMENT } from './song-drafts.ts';
import { documentsOf } from './use-open-document.ts';

type Deliver = (queries: QueryClient, address: Address) => Promise<boolean>;

const DELIVER: Readonly<Record<string, Deliver>> = {
  song: (queries, address) => opened(queries, address, SONG_DOCUMENT, songQuery(address.bandId, address.id).queryFn as Ask),
  set: (queries, address) => opened(queries, address, SET_DOCUMENT, setQuery(address.bandId, address.id).queryFn as Ask),
  piece: (queries, address) => opened(queries, address, PIECE_DOCUMENT, () => fetchPiece(address.bandId, address.id)),
};

// biome-ignore lint/suspicious/noExplicitAny: what a query answers is what its document is opened with
type Ask = (context: QueryFunctionContext) => any;

/** Whether somebody is there: an answer that this is not one's own, or gone, is one too. */
const NOT_HERE = [403, 404, 410];

/**
 * Opens a document as the room would, so that what waits of it is put together with what the server has and saved; what others
 * changed too stays open and is asked when it is seen. False where the server does not answer.
 */
async function opened<Answer, Document extends Openable & { readonly ready: Promise<void> }>(
  queries: QueryClient,
  address: Address,
  kind: DocumentKind<Answer, Document>,
  ask: Ask,
): Promise<boolean> {
  try {
    const answer = await queries.fetchQuery<Answer>({ queryKey: kind.key(address), queryFn: ask, staleTime: 0, retry: false });
    const { document, close } = documentsOf(queries).open(kind, address, answer);
    await document.ready;
    await document.flush();
    close();
    return true;
  } catch (thrown) {
    return NOT_HERE.includes(asApiFault(thrown).status ?? 0);
  }
}

/** Sends what waits of a band, one after the other, until the server does not answer. */
export async function deliver(queries: QueryClient, bandId: string, copies: readonly WaitingCopy[]): Promise<void> {
  for (const { kind, id, bandId: of } of copies) {
    if (of !== null && of !== bandId) continue;
    if ((await DELIVER[kind]?.(queries, { bandId, id })) === false) return;
  }
}

/** Sends what a player practised while nothing answered. */
export async function deliverPractice(owner: Owner): Promise<void> {
  await passesOutbox.flush(owner);
  await sessionsOutbox.flush(owner);
}
