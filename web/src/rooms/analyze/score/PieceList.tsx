import { nameKey } from '@aurora/core';
import type { PieceHead } from '@aurora/wire';
import { useEffect } from 'react';
import { Link, useNavigate } from 'react-router';
import { usePieceChanges, usePieces } from '../../../api/pieces.ts';
import { Glyphs } from '../../../parts/notation/Glyphs.tsx';
import { readAsScore, useFileToRead } from '../../../parts/score/file-to-read.ts';
import { useNaming } from '../../../session/lens.ts';
import { AskOnce } from '../../../ui/AskOnce.tsx';
import { Button } from '../../../ui/Button.tsx';
import { DropFile } from '../../../ui/DropFile.tsx';
import { DeleteIcon } from '../../../ui/icons.ts';
import { Notice } from '../../../ui/Notice.tsx';
import { SignButton } from '../../../ui/SignButton.tsx';
import { sayFault } from '../../../ui/say.ts';
import { SCORE_WORDS } from '../../../wording/score.ts';
import { type FileReading, useFileReading } from './use-file-reading.ts';

const ENDINGS = '.musicxml,.xml,.mxl,.mid,.midi,.abc';

/** Where a piece is brought in, and those that are here. */
export function PieceList() {
  const reading = useFileReading();
  const handed = useFileToRead(({ file }) => file);
  const { read } = reading;
  useEffect(() => {
    if (handed === null) return;
    readAsScore(null);
    read(handed);
  }, [handed, read]);
  return (
    <div className="flex flex-col gap-4 py-2">
      <p className="max-w-2xl text-lead leading-relaxed text-quiet">{SCORE_WORDS.aPieceWithEveryNoteWritten}</p>
      <DropFile choose={SCORE_WORDS.chooseAPiece} label={SCORE_WORDS.pieceToRead} endings={ENDINGS} onFile={read}>
        {SCORE_WORDS.orDropItHereAsAFile}
      </DropFile>
      <Preview reading={reading} />
      <Pieces />
    </div>
  );
}

/** What was read of a file, before it is kept. */
function Preview({ reading }: { readonly reading: FileReading }) {
  const { add } = usePieceChanges();
  const naming = useNaming();
  const navigate = useNavigate();
  const { answer, file, fault, isBusy, forget } = reading;
  if (fault !== null) return <p className="font-semibold text-alarm">{fault}</p>;
  if (isBusy) return <p role="status">{SCORE_WORDS.readingTheNotes}</p>;
  if (answer === null || file === null) return null;
  const { score, columns, keys, tones } = answer.reduction;
  const keep = () =>
    add.mutate(file, {
      onSuccess: ({ id }) => void navigate(`/analyze/score/${id}`),
      onError: (error) => void sayFault(error.message),
    });
  return (
    <section aria-label={SCORE_WORDS.whatWasRead} className="flex flex-col items-start gap-2 rounded-2xl border border-edge bg-raised p-4">
      <h2 className="font-numeral text-head font-bold">{file.title || SCORE_WORDS.untitled}</h2>
      <p className="text-base">
        {score.parts.map(({ name, id }) => name || id).join(', ')}: {score.measures.length} {SCORE_WORDS.barsWord}, {score.notes.length}{' '}
        {SCORE_WORDS.notesWord}. <Glyphs text={keys.map(({ key }) => nameKey(key, naming)).join(' → ')} />. {columns.length}{' '}
        {SCORE_WORDS.harmoniesWord}, {tones.length} {SCORE_WORDS.notesBesideThem}
      </p>
      {answer.losses.length > 0 && (
        <ul aria-label={SCORE_WORDS.leftOutOrGuessed} className="list-disc pl-5 text-base text-quiet">
          {answer.losses.map((loss) => (
            <li key={loss}>{loss}</li>
          ))}
        </ul>
      )}
      <div className="flex gap-2">
        <Button look="strong" disabled={add.isPending} onClick={keep}>
          {SCORE_WORDS.keepThisPiece}
        </Button>
        <Button look="bare" onClick={forget}>
          {SCORE_WORDS.cancel}
        </Button>
      </div>
    </section>
  );
}

function Pieces() {
  const { data, error } = usePieces();
  if (error !== null && data === undefined) return <Notice title={SCORE_WORDS.thePiecesCannotBeFetched}>{error.message}</Notice>;
  if (data === undefined) return <p role="status">{SCORE_WORDS.fetchingThePieces}</p>;
  if (data.length === 0) return <p className="text-quiet">{SCORE_WORDS.noPiecesYet}</p>;
  return (
    <ul aria-label={SCORE_WORDS.pieces} className="border-t border-hairline">
      {data.map((piece) => (
        <PieceRow key={piece.id} piece={piece} />
      ))}
    </ul>
  );
}

function PieceRow({ piece: { id, title, by, songId } }: { readonly piece: PieceHead }) {
  const { remove } = usePieceChanges();
  const name = title || SCORE_WORDS.untitled;
  return (
    <li className="flex items-center gap-3 border-b border-hairline">
      <Link to={`/analyze/score/${id}`} className="flex min-h-14 flex-1 flex-col justify-center px-2 hover:bg-wash">
        <span className="text-lead font-semibold">{name}</span>
        {by !== '' && <span className="text-fine text-quiet">{by}</span>}
      </Link>
      {songId !== null && (
        <Link to={`/songs/${songId}/chart`} className="text-base font-semibold text-accent underline">
          {SCORE_WORDS.itsChart}
        </Link>
      )}
      <AskOnce
        title={SCORE_WORDS.takeAway(name)}
        yes={SCORE_WORDS.takeItAway}
        no={SCORE_WORDS.cancel}
        onYes={() => remove.mutate(id, { onError: (error) => void sayFault(error.message) })}
        trigger={
          <SignButton name={SCORE_WORDS.takeAway(name)}>
            <DeleteIcon size={18} />
          </SignButton>
        }
      >
        {SCORE_WORDS.theFileAndEverythingSaid}
      </AskOnce>
    </li>
  );
}
