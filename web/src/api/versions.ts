import { songVersion, songVersionsAnswer } from '@aurora/wire';
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { useBand } from './songs.ts';

const head = songVersion.omit({ source: true });

/** The saves of a song, newest first, a page at a time. */
export function useVersions(songId: string, named: boolean) {
  const bandId = useBand().data?.id ?? '';
  return useInfiniteQuery({
    queryKey: ['versions', songId, named],
    queryFn: ({ pageParam, signal }) =>
      call(
        'GET',
        `/bands/${bandId}/songs/${songId}/versions?named=${named ? 'yes' : 'no'}${pageParam === null ? '' : `&before=${pageParam}`}`,
        songVersionsAnswer,
        { signal },
      ),
    initialPageParam: null as number | null,
    getNextPageParam: ({ next }) => next,
    enabled: bandId !== '',
    staleTime: 0,
  });
}

/** One save with its chart. */
export function useVersion(songId: string, revision: number) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: ['version', songId, revision],
    queryFn: ({ signal }) => call('GET', `/bands/${bandId}/songs/${songId}/versions/${revision}`, songVersion, { signal }),
    enabled: bandId !== '',
    staleTime: Number.POSITIVE_INFINITY,
  });
}

/** Names a save, or takes its name away. */
export function useNameVersion(songId: string) {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ revision, name }: { readonly revision: number; readonly name: string | null }) =>
      call('PATCH', `/bands/${bandId}/songs/${songId}/versions/${revision}`, head, { body: { name } }),
    onSuccess: () => void queries.invalidateQueries({ queryKey: ['versions', songId] }),
  });
}
