import type { ReactNode } from 'react';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useSongDraft } from '../../document/use-song-draft.ts';
import { useReaderIsKnown } from '../../session/lens.ts';
import { Button } from '../../ui/Button.tsx';
import { Notice } from '../../ui/Notice.tsx';
import { PARTS_WORDS } from '../../wording/parts.ts';

interface OpenSongProps {
  readonly songId: string;
  readonly children: (draft: ChartDraft) => ReactNode;
}

/** Opens a song while a room shows it; says so when it cannot be had. */
export function OpenSong({ songId, children }: OpenSongProps) {
  const { draft, fault, again } = useSongDraft(songId);
  const isKnown = useReaderIsKnown();
  if (fault !== null) {
    return (
      <Notice title={PARTS_WORDS.thisSongDidNotOpen} action={<Button onClick={again}>{PARTS_WORDS.tryAgain}</Button>}>
        <p>{fault.message}</p>
      </Notice>
    );
  }
  return draft === null || !isKnown ? (
    <p role="status" className="p-8 text-quiet">
      {PARTS_WORDS.fetchingTheSong}
    </p>
  ) : (
    children(draft)
  );
}
