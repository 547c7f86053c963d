import { useParams } from 'react-router';
import { Notice } from '../../../ui/Notice.tsx';
import { SCORE_WORDS } from '../../../wording/score.ts';
import { DeskChoice } from './DeskChoice.tsx';
import { PieceList } from './PieceList.tsx';
import { ScoreDesk } from './ScoreDesk.tsx';
import { usePieceDraft, useScoreWork } from './use-score-desk.ts';

/** Pieces with every note written, and the harmony each comes to. */
export function ScoreRoom() {
  const { pieceId } = useParams();
  return (
    <div className="mx-auto flex min-h-full max-w-[1240px] flex-col gap-2 px-5 pt-2 phone:px-3 3xl:max-w-[1500px]">
      <DeskChoice />
      {pieceId === undefined ? <PieceList /> : <OpenPiece key={pieceId} pieceId={pieceId} />}
    </div>
  );
}

function OpenPiece({ pieceId }: { readonly pieceId: string }) {
  const { piece, draft, fault } = usePieceDraft(pieceId);
  if (fault !== null) return <Notice title={SCORE_WORDS.thisPieceCannotBeOpened}>{fault.message}</Notice>;
  if (piece === undefined || draft === null) return <p role="status">{SCORE_WORDS.fetchingThePiece}</p>;
  return <Reduced piece={piece} draft={draft} />;
}

type Opened = Parameters<typeof useScoreWork>;

function Reduced({ piece, draft }: { readonly piece: Opened[0]; readonly draft: Opened[1] }) {
  const { work, isBusy, fault } = useScoreWork(piece, draft);
  if (fault !== null) return <Notice title={SCORE_WORDS.thisPieceCannotBeRead}>{fault.message}</Notice>;
  if (work === null) return <p role="status">{SCORE_WORDS.readingTheNotes}</p>;
  return <ScoreDesk work={work} isBusy={isBusy} />;
}
