import { useParams } from 'react-router';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useTonightSet } from '../../document/use-evening.ts';
import { useDraftState } from '../../document/use-song-draft.ts';
import { useKeyChosenEarly, useOpensTonight, useTonightsSong } from '../../parts/evening/tonights-song.ts';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { Stand } from './Stand.tsx';

/** One song's chart on a stand; where the song is in tonight's set, in tonight's key. */
export function StandRoom() {
  const { songId = '' } = useParams();
  return <OpenSong songId={songId}>{(draft) => <SongOnStand draft={draft} songId={songId} />}</OpenSong>;
}

function SongOnStand({ draft, songId }: { readonly draft: ChartDraft; readonly songId: string }) {
  const { value } = useDraftState(draft);
  const { tonight, waiting } = useTonightSet();
  const song = useTonightsSong(tonight, ({ song: one }) => one?.songId === songId);
  useOpensTonight(song);
  useKeyChosenEarly(waiting, song);
  return <Stand songId={songId} text={value} back={`/songs/${songId}/chart`} isTonight={song !== null} />;
}
