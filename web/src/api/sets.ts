import { gone, type SetList, type SetListBody, type SetListHead, setList, setListsAnswer } from '@aurora/wire';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { type Following, fullSetsKey, intervalOf, knownBandId, SAVE_MS, useBand } from './songs.ts';

export const setsKey = (bandId: string) => ['sets', bandId] as const;
export const setKey = (bandId: string, setId: string) => [...fullSetsKey(bandId), setId] as const;

/** The band's sets, the last one worked on first. */
export function useSets() {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: setsKey(bandId),
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/sets`, setListsAnswer, { signal })).sets,
    enabled: bandId !== '',
  });
}

export const setQuery = (bandId: string, setId: string) =>
  queryOptions({
    queryKey: setKey(bandId, setId),
    queryFn: ({ signal }) => call('GET', `/bands/${bandId}/sets/${setId}`, setList, { signal }),
  });

/** One set with its songs; `following` says how often it is asked for again. */
export function useSet(setId: string | null, following: Following) {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    ...setQuery(bandId, setId ?? ''),
    enabled: bandId !== '' && setId !== null,
    refetchInterval: intervalOf(following),
  });
}

/** Makes a set, or takes one away. */
export function useSetChanges() {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const refresh = () => void queries.invalidateQueries({ queryKey: setsKey(bandId) });
  const add = useMutation({
    mutationFn: async (body: SetListBody) => call('POST', `/bands/${await knownBandId(queries)}/sets`, setList, { body }),
    onSuccess: (set) => {
      queries.setQueryData(setKey(bandId, set.id), set);
      // in the list before that is fetched again, so that what opens next is the new set and no other
      queries.setQueryData<readonly SetListHead[]>(setsKey(bandId), (sets) => sets && [headOf(set), ...sets]);
      refresh();
    },
  });
  const remove = useMutation({
    mutationFn: (setId: string) => call('DELETE', `/bands/${bandId}/sets/${setId}`, gone),
    onSuccess: refresh,
  });
  return { add, remove, refresh };
}

function headOf({ songs, entries: _, gapSeconds: __, ...head }: SetList): SetListHead {
  return { ...head, songs: songs.length };
}

/** Saves a set on top of the revision it was changed from. */
export function saveSet(bandId: string, setId: string, body: SetListBody, baseRevision: number): Promise<SetList> {
  return call('PUT', `/bands/${bandId}/sets/${setId}`, setList, { body: { ...body, baseRevision }, limitMs: SAVE_MS });
}
