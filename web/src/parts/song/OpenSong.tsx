import type { ReactNode } from 'react';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useSongDraft } from '../../document/use-song-draft.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';

interface OpenSongProps {
  readonly songId: string;
  readonly children: (draft: ChartDraft) => ReactNode;
}

/** Opens a song while a room shows it; says so when it cannot be had. */
export function OpenSong({ songId, children }: OpenSongProps) {
  const { draft, fault, again } = useSongDraft(songId);
  if (fault !== null) {
    return (
      <Notice title="This song did not open" action={<Button onClick={again}>Try again</Button>}>
        <p>{fault.message}</p>
      </Notice>
    );
  }
  return draft === null ? (
    <p role="status" className="p-8 text-quiet">
      Fetching the song…
    </p>
  ) : (
    children(draft)
  );
}
