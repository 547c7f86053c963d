import { gone, type Piece, type PieceHead, type PieceWork, piece, piecesAnswer } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { type Following, intervalOf, knownBandId, SAVE_MS, useBand } from './songs.ts';

export const piecesKey = (bandId: string) => ['pieces', bandId] as const;
export const pieceKey = (bandId: string, pieceId: string) => ['piece', bandId, pieceId] as const;

/** The band's written-out pieces, the last one worked on first. */
export function usePieces() {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: piecesKey(bandId),
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/pieces`, piecesAnswer, { signal })).pieces,
    enabled: bandId !== '',
  });
}

/** One piece with its file; `following` says how often it is asked for again. */
export function usePiece(pieceId: string | undefined, following: Following) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: pieceKey(bandId, pieceId ?? ''),
    queryFn: ({ signal }) => fetchPiece(bandId, pieceId as string, signal),
    enabled: bandId !== '' && pieceId !== undefined,
    refetchInterval: intervalOf(following),
  });
}

/** A piece as the server has it now. */
export function fetchPiece(bandId: string, pieceId: string, signal?: AbortSignal): Promise<Piece> {
  return call('GET', `/bands/${bandId}/pieces/${pieceId}`, piece, signal === undefined ? {} : { signal });
}

/** A file to be kept as a piece: text as it stands, other formats in base64. */
export interface PieceFile {
  readonly title: string;
  readonly format: Piece['format'];
  readonly data: string;
}

/** Keeps a file as a piece, or takes a piece away. */
export function usePieceChanges() {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const refresh = () => void queries.invalidateQueries({ queryKey: piecesKey(bandId) });
  const add = useMutation({
    mutationFn: async (file: PieceFile) => call('POST', `/bands/${await knownBandId(queries)}/pieces`, piece, { body: file }),
    onSuccess: (added) => {
      queries.setQueryData(pieceKey(bandId, added.id), added);
      queries.setQueryData<readonly PieceHead[]>(piecesKey(bandId), (pieces) => pieces && [headOf(added), ...pieces]);
      refresh();
    },
  });
  const remove = useMutation({
    mutationFn: (pieceId: string) => call('DELETE', `/bands/${bandId}/pieces/${pieceId}`, gone),
    onSuccess: refresh,
  });
  return { add, remove };
}

function headOf({ data: _, said: __, rhythm: ___, ...head }: Piece): PieceHead {
  return head;
}

/** Saves what is said of a piece on top of the revision it was changed from. */
export function savePiece(bandId: string, pieceId: string, work: PieceWork, baseRevision: number): Promise<Piece> {
  return call('PUT', `/bands/${bandId}/pieces/${pieceId}`, piece, { body: { ...work, baseRevision }, limitMs: SAVE_MS });
}
