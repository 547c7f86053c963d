import { useEffect, useMemo, useState, useSyncExternalStore } from 'react';
import { useFollowing } from '../api/news/news-state.ts';
import { useBand, useMayWrite, useSong } from '../api/songs.ts';
import { open } from '../session/opened.ts';
import { type ChartDraft, type ChartDraftState, lensSource, SONG_DOCUMENT } from './song-drafts.ts';
import { useOpenDocument } from './use-open-document.ts';

/** An open song, or why it did not open. */
export interface OpenSongAnswer {
  readonly draft: ChartDraft | null;
  readonly fault: Error | null;
  readonly again: () => void;
}

/** Opens a song for as long as something shows it: what others save is taken in, and its key is the home of the lenses. */
export function useSongDraft(songId: string | undefined): OpenSongAnswer {
  const bandId = useBand().data?.id;
  const song = useSong(songId, useFollowing());
  const draft = useOpenDocument(SONG_DOCUMENT, bandId, songId, song.data);
  const mayWrite = useMayWrite();
  useEffect(() => (draft === null ? undefined : open(lensSource(draft, mayWrite))), [draft, mayWrite]);
  const { fault, forget } = useStandingFault(songId, song.error);
  const again = () => {
    void song.refetch();
    forget();
  };
  return { draft, fault: song.data === undefined ? fault : null, again };
}

interface StandingFault {
  readonly fault: Error | null;
  /** Not said any more, until there is another. */
  readonly forget: () => void;
}

/** Why something did not open, said until it does: it is asked for again by itself, and meanwhile nobody is told to wait. */
function useStandingFault(id: string | undefined, error: Error | null): StandingFault {
  const [said, setSaid] = useState({ id, error });
  if (said.id !== id || (error !== null && error !== said.error)) setSaid({ id, error });
  return { fault: error ?? (said.id === id ? said.error : null), forget: () => setSaid({ id, error: null }) };
}

/** A draft as it stands. */
export function useDraftState(draft: ChartDraft): ChartDraftState {
  return useSyncExternalStore(draft.subscribe, draft.get);
}

/** A text that can be changed, with every step taken back and done again. */
export interface Rewriting {
  /** Puts another text in its place; letters typed one after the other are taken back together. */
  readonly write: (text: string, typed?: boolean) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

export function useRewriting(draft: ChartDraft): Rewriting {
  const { canUndo, canRedo } = useDraftState(draft);
  return useMemo(
    () => ({ write: draft.write, undo: canUndo ? draft.undo : null, redo: canRedo ? draft.redo : null }),
    [draft, canUndo, canRedo],
  );
}
