import { faultWords } from '@aurora/core';
import { FORMAT_FILES, formatOf, isScoreFormat } from '@aurora/core/format';
import { useCallback, useState } from 'react';
import type { PieceFile } from '../../../api/pieces.ts';
import type { ScoreAnswer } from '../../../parts/score/score-worker.ts';
import { type ScoreFile, Unreadable, useScore } from '../../../parts/score/use-score.ts';
import { SCORE_WORDS } from '../../../wording/score.ts';

/** A file that is read before it is kept. */
export interface FileReading {
  readonly read: (file: File | undefined) => void;
  readonly forget: () => void;
  readonly answer: ScoreAnswer | null;
  /** As it would be kept. */
  readonly file: PieceFile | null;
  readonly fault: string | null;
  readonly isBusy: boolean;
}

const NOTHING_SAID: readonly never[] = [];

/** Reads a file of notes in the worker and shows what it comes to. */
export function useFileReading(): FileReading {
  const [file, setFile] = useState<ScoreFile | null>(null);
  const [refused, setRefused] = useState<string | null>(null);
  const { data, error, isFetching, isPlaceholderData } = useScore(file, 'auto', NOTHING_SAID);
  const read = useCallback((chosen: File | undefined) => {
    if (chosen === undefined) return;
    setRefused(null);
    setFile(null);
    void chosen.arrayBuffer().then((buffer) => {
      const bytes = new Uint8Array(buffer);
      const format = formatOf(chosen.name, bytes);
      if (isScoreFormat(format)) setFile({ name: `${chosen.name} ${chosen.lastModified}`, format, bytes });
      else setRefused(SCORE_WORDS.hasNoNotes(chosen.name));
    });
  }, []);
  const answer = file === null || isPlaceholderData ? null : (data ?? null);
  return {
    read,
    forget: () => setFile(null),
    answer,
    file: file === null || answer === null ? null : pieceFile(file, answer.reduction.score.title),
    fault: refused ?? faultOf(error),
    isBusy: file !== null && isFetching,
  };
}

function faultOf(error: Error | null): string | null {
  if (error === null) return null;
  return error instanceof Unreadable ? faultWords(error.failure.fault) : SCORE_WORDS.thisPieceCannotBeRead;
}

const ENDING = /(\.[^.\s]*)? \d+$/;

function pieceFile({ name, format, bytes }: ScoreFile, title: string): PieceFile {
  const data = FORMAT_FILES[format].isText
    ? new TextDecoder().decode(bytes)
    : btoa(Array.from(bytes, (byte) => String.fromCharCode(byte)).join(''));
  return { title: title || name.replace(ENDING, '').replace(/[-_]+/g, ' '), format, data };
}
