import { useMemo, useSyncExternalStore } from 'react';
import { useParams } from 'react-router';
import type { DraftKeeper } from '../../document/draft-keeper.ts';
import { useRewriting } from '../../document/use-rewriting.ts';
import { Conflict } from '../../parts/song/Conflict.tsx';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { AnalysisDesk } from './AnalysisDesk.tsx';
import { ChordsInput } from './ChordsInput.tsx';
import { useFreeText } from './free-text.ts';

/** What each chord is doing, and why it works: of a song, or of chords that are typed. */
export function AnalyzeRoom() {
  const { songId } = useParams();
  if (songId === undefined) return <FreeAnalysis />;
  return <OpenSong songId={songId}>{(keeper) => <SongAnalysis keeper={keeper} songId={songId} />}</OpenSong>;
}

function SongAnalysis({ keeper, songId }: { readonly keeper: DraftKeeper; readonly songId: string }) {
  const { text, status } = useSyncExternalStore(keeper.subscribe, keeper.get);
  const rewriting = useRewriting(songId, text, keeper.write);
  return (
    <>
      {status.kind === 'conflict' && <Conflict keeper={keeper} mine={text} theirs={status.theirs.source} />}
      <AnalysisDesk source={text} rewriting={rewriting} songId={songId} />
    </>
  );
}

function FreeAnalysis() {
  const { text, write } = useFreeText();
  const rewriting = useRewriting('free', text, write);
  const input = useMemo(() => <ChordsInput text={text} onWrite={rewriting.write} />, [text, rewriting.write]);
  return <AnalysisDesk source={text} rewriting={rewriting} songId={undefined} input={input} />;
}
