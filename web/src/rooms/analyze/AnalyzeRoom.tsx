import { useEffect, useMemo } from 'react';
import { useParams } from 'react-router';
import { freeDraft, freeSource } from '../../document/free-draft.ts';
import type { ChartDraft } from '../../document/song-drafts.ts';
import { useDraftState, useRewriting } from '../../document/use-song-draft.ts';
import { Conflict } from '../../parts/song/Conflict.tsx';
import { OpenSong } from '../../parts/song/OpenSong.tsx';
import { open } from '../../session/opened.ts';
import { AnalysisDesk } from './AnalysisDesk.tsx';
import { ChordsInput } from './ChordsInput.tsx';
import { DeskChoice } from './score/DeskChoice.tsx';

/** What each chord is doing, and why it works: of a song, or of chords that are typed. */
export function AnalyzeRoom() {
  const { songId } = useParams();
  if (songId === undefined) return <FreeAnalysis />;
  return <OpenSong songId={songId}>{(draft) => <SongAnalysis draft={draft} songId={songId} />}</OpenSong>;
}

function SongAnalysis({ draft, songId }: { readonly draft: ChartDraft; readonly songId: string }) {
  const { value } = useDraftState(draft);
  const rewriting = useRewriting(draft);
  return (
    <>
      <Conflict draft={draft} />
      <AnalysisDesk source={value} rewriting={rewriting} songId={songId} />
    </>
  );
}

function FreeAnalysis() {
  const draft = freeDraft();
  const { value } = useDraftState(draft);
  const rewriting = useRewriting(draft);
  useEffect(() => open(freeSource()), []);
  const input = useMemo(
    () => (
      <>
        <DeskChoice />
        <ChordsInput text={value} onWrite={rewriting.write} />
      </>
    ),
    [value, rewriting.write],
  );
  return <AnalysisDesk source={value} rewriting={rewriting} songId={undefined} input={input} />;
}
