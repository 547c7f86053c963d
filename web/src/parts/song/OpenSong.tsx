import type { Song } from '@aurora/wire';
import type { ReactNode } from 'react';
import { useBand, useSong } from '../../api/songs.ts';
import type { DraftKeeper } from '../../document/draft-keeper.ts';
import { useDraft } from '../../document/use-draft.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';

interface OpenSongProps {
  readonly songId: string;
  readonly children: (keeper: DraftKeeper, song: Song) => ReactNode;
}

/** Fetches a song and keeps its draft while a room shows it; says so when it cannot be had. */
export function OpenSong({ songId, children }: OpenSongProps) {
  const band = useBand();
  const song = useSong(songId);
  const fault = band.error ?? song.error;
  if (fault !== null && song.data === undefined) {
    return (
      <Notice title="This song did not open" action={<Button onClick={() => void song.refetch()}>Try again</Button>}>
        <p>{fault.message}</p>
      </Notice>
    );
  }
  if (song.data === undefined || band.data === undefined) return <p className="p-8 text-quiet">Fetching the song…</p>;
  return (
    <Draft key={song.data.id} bandId={band.data.id} song={song.data}>
      {children}
    </Draft>
  );
}

function Draft({ bandId, song, children }: { readonly bandId: string; readonly song: Song; readonly children: OpenSongProps['children'] }) {
  const keeper = useDraft(bandId, song);
  return keeper === null ? null : children(keeper, song);
}
