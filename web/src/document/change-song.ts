import type { Song } from '@aurora/wire';
import type { QueryClient } from '@tanstack/react-query';
import { songKey } from '../api/songs.ts';
import { type ChartDraft, SONG_DOCUMENT } from './song-drafts.ts';
import { documentsOf } from './use-open-document.ts';

/** What came of a change that was made without looking at the song. */
export type Changed =
  | { readonly kind: 'saved'; readonly undo: () => Promise<void> }
  /** It is on this device, and sent later. */
  | { readonly kind: 'kept' }
  /** It waits for somebody to say which of two changes counts, or what to change. */
  | { readonly kind: 'asked'; readonly why: string | null };

/** Changes a song from outside its own room: through its draft, as everything is that writes a song. */
export async function changeSong(queries: QueryClient, bandId: string, song: Song, edit: (source: string) => string): Promise<Changed> {
  const address = { bandId, id: song.id };
  const held = () => documentsOf(queries).open(SONG_DOCUMENT, address, queries.getQueryData<Song>(songKey(bandId, song.id)) ?? song);
  const { document: draft, close } = held();
  draft.write(edit(draft.get().value));
  // what others saved meanwhile is put together with it, and saved once more
  for (let round = 0; round < MOST_ROUNDS && !isOver(draft); round += 1) await draft.flush();
  const { status } = draft.get();
  close();
  if (status.kind === 'conflict') return { kind: 'asked', why: null };
  if (status.kind === 'refused') return { kind: 'asked', why: status.why };
  if (status.kind !== 'saved') return { kind: 'kept' };
  const undo = async () => {
    const again = held();
    again.document.undo();
    await again.document.flush();
    again.close();
  };
  return { kind: 'saved', undo };
}

const MOST_ROUNDS = 4;

/** Whether saving it again now would make nothing of it. */
function isOver(draft: ChartDraft): boolean {
  const { kind } = draft.get().status;
  return kind !== 'waiting' && kind !== 'saving';
}
