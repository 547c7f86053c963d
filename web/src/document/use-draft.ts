import type { Song } from '@aurora/wire';
import { useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { keepSong, saveSong } from '../api/songs.ts';
import { DraftKeeper } from './draft-keeper.ts';
import { useOpenDraft } from './draft-store.ts';

/** Keeps the open song's text for as long as the room is open; null until it is ready. */
export function useDraft(bandId: string, song: Song): DraftKeeper | null {
  const queries = useQueryClient();
  const [keeper, setKeeper] = useState<DraftKeeper | null>(null);
  // biome-ignore lint/correctness/useExhaustiveDependencies: later answers for the same song must not replace what is being written
  useEffect(() => {
    const opened = new DraftKeeper(song, {
      save: (source, baseRevision) => saveSong(bandId, song.id, source, baseRevision),
      storage: window.localStorage,
      onSaved: (saved) => keepSong(queries, bandId, saved),
      setTimer: (work, ms) => window.setTimeout(work, ms),
      clearTimer: (timer) => window.clearTimeout(timer),
    });
    setKeeper(opened);
    useOpenDraft.setState({ keeper: opened });
    const leave = () => void opened.flush();
    document.addEventListener('visibilitychange', leave);
    return () => {
      document.removeEventListener('visibilitychange', leave);
      void opened.flush();
      opened.close();
      useOpenDraft.setState({ keeper: null });
    };
  }, [bandId, song.id]);
  return keeper;
}
