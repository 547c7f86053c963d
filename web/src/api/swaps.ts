import { type ChordSwap, type SwapRequest, swapsAnswer } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { useBand } from './songs.ts';

export const swapsKey = (bandId: string, songId: string) => ['swaps', bandId, songId] as const;

/** Chords that players of the band play otherwise in a song, and how to change them. */
export function useSwaps(songId: string): {
  readonly swaps: readonly ChordSwap[];
  readonly put: (swap: SwapRequest) => void;
  readonly fault: string | null;
} {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const at = `/bands/${bandId}/songs/${songId}/swaps`;
  const queryKey = swapsKey(bandId, songId);
  const { data } = useQuery({
    queryKey,
    queryFn: ({ signal }) => call('GET', at, swapsAnswer, { signal }),
    enabled: bandId !== '' && songId !== '',
  });
  const { mutate, error } = useMutation({
    mutationFn: (swap: SwapRequest) => call('PUT', at, swapsAnswer, { body: swap }),
    onSuccess: (answer) => queries.setQueryData(queryKey, answer),
  });
  return { swaps: data?.swaps ?? NONE, put: mutate, fault: error?.message ?? null };
}

const NONE: readonly ChordSwap[] = [];
