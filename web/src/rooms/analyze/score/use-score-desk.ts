import { barPrint, placeOfSaid, type Reduction, type RememberedJson, type Said, storeSaid, subjectOf } from '@aurora/core';
import type { Piece } from '@aurora/wire';
import { useMemo, useState, useSyncExternalStore } from 'react';
import { useFollowing } from '../../../api/news/news-state.ts';
import { usePiece } from '../../../api/pieces.ts';
import { useBand } from '../../../api/songs.ts';
import { PIECE_DOCUMENT, type PieceDraft } from '../../../document/piece-drafts.ts';
import type { PieceDraftValue } from '../../../document/piece-kind.ts';
import { useOpenDocument } from '../../../document/use-open-document.ts';
import { useScore } from '../../../parts/score/use-score.ts';

/** The draft of a piece, or why it did not open. */
export function usePieceDraft(pieceId: string) {
  const bandId = useBand().data?.id;
  const { data, error } = usePiece(pieceId, useFollowing());
  const draft = useOpenDocument(PIECE_DOCUMENT, bandId, pieceId, data);
  return { piece: data, draft, fault: data === undefined ? error : null };
}

/** A piece on the desk: its harmony, what is said of it, and how that is changed. */
export interface ScoreWork {
  readonly reduction: Reduction;
  readonly xml: string;
  readonly losses: readonly string[];
  readonly value: PieceDraftValue;
  readonly say: (...said: readonly Said[]) => void;
  readonly takeBack: (...said: readonly Said[]) => void;
  readonly hasSaid: (said: Said) => boolean;
  readonly change: (part: Partial<Omit<PieceDraftValue, 'said'>>) => void;
  readonly undo: (() => void) | null;
  readonly redo: (() => void) | null;
}

export interface ScoreDeskState {
  readonly work: ScoreWork | null;
  readonly isBusy: boolean;
  readonly fault: Error | null;
}

/** Reads a piece and keeps what is said of it. */
export function useScoreWork(piece: Piece, draft: PieceDraft): ScoreDeskState {
  const { value, canUndo, canRedo } = useSyncExternalStore(draft.subscribe, draft.get);
  const file = useMemo(() => ({ name: `${piece.id} ${piece.data.length}`, format: piece.format, bytes: bytesOf(piece) }), [piece]);
  const said = useMemo(() => Object.values(value.said), [value.said]);
  const { data, isFetching, error } = useScore(file, value.rhythm, said);
  const work = useMemo((): ScoreWork | null => {
    if (data === undefined) return null;
    const { score } = data.reduction;
    const write = (next: Readonly<Record<string, RememberedJson>>) => draft.write({ ...draft.get().value, said: next });
    return {
      ...data,
      value,
      say: (...all) => {
        const fresh = all.map((one) => [subjectOf(one), storeSaid({ said: one, print: barPrint(score, placeOfSaid(one).bar) })] as const);
        write({ ...draft.get().value.said, ...Object.fromEntries(fresh) });
      },
      takeBack: (...all) => {
        const gone = new Set(all.map(subjectOf));
        write(Object.fromEntries(Object.entries(draft.get().value.said).filter(([subject]) => !gone.has(subject))));
      },
      hasSaid: (one) => value.said[subjectOf(one)] !== undefined,
      change: (part) => draft.write({ ...draft.get().value, ...part }),
      undo: canUndo ? draft.undo : null,
      redo: canRedo ? draft.redo : null,
    };
  }, [data, value, draft, canUndo, canRedo]);
  return { work, isBusy: isFetching, fault: error };
}

function bytesOf({ format, data }: Piece): Uint8Array {
  if (format === 'musicxml' || format === 'abc') return new TextEncoder().encode(data);
  return Uint8Array.from(atob(data), (letter) => letter.charCodeAt(0));
}

/** Which column is looked at: kept by its time, so that it stays when borders around it change. */
export function useChosenColumn({ columns }: Reduction) {
  const [time, setTime] = useState(0);
  const found = columns.findIndex(({ from, to }) => from <= time && time < to);
  const index = found < 0 ? 0 : found;
  return {
    index,
    column: columns[index],
    choose: (next: number) => setTime(columns[Math.max(0, Math.min(columns.length - 1, next))]?.from ?? 0),
    chooseTime: setTime,
  };
}
