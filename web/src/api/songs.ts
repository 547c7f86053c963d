import { bandsAnswer, type Song, song, songsAnswer } from '@aurora/wire';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { ApiFault, call } from './client.ts';

const bandQuery = queryOptions({
  queryKey: ['band'],
  queryFn: async () => {
    const { bands } = await call('GET', '/bands', bandsAnswer);
    const first = bands[0];
    if (first === undefined) throw new ApiFault(404, 'There is no band here yet. Start the demo with: npm run demo');
    return first;
  },
  staleTime: Number.POSITIVE_INFINITY,
});

/** The band whose shelf this is. */
export function useBand() {
  return useQuery(bandQuery);
}

export const songsKey = (bandId: string) => ['songs', bandId] as const;
export const songKey = (bandId: string, songId: string) => ['song', bandId, songId] as const;

/** The band's songs by title. */
export function useSongs() {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: songsKey(bandId),
    queryFn: async () => (await call('GET', `/bands/${bandId}/songs`, songsAnswer)).songs,
    enabled: bandId !== '',
  });
}

/** One song with its chart. */
export function useSong(songId: string | undefined) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: songKey(bandId, songId ?? ''),
    queryFn: () => call('GET', `/bands/${bandId}/songs/${songId}`, song),
    enabled: bandId !== '' && songId !== undefined,
  });
}

/** Puts a new song on the shelf. */
export function useAddSong() {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  return useMutation({
    mutationFn: (source: string) => call('POST', `/bands/${bandId}/songs`, song, { source }),
    onSuccess: (added) => {
      queries.setQueryData(songKey(bandId, added.id), added);
      void queries.invalidateQueries({ queryKey: songsKey(bandId) });
    },
  });
}

/** Saves a chart on top of the revision it was written from. */
export function saveSong(bandId: string, songId: string, source: string, baseRevision: number): Promise<Song> {
  return call('PUT', `/bands/${bandId}/songs/${songId}`, song, { source, baseRevision });
}
