import { DEFAULT_PREFERENCES, type Preferences, type PreferencesChange, preferences } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import { call } from './client.ts';
import { refetchAfterLast } from './shown-at-once.ts';
import { knownBandId, useBand } from './songs.ts';

const LOCAL = 'aurora-preferences';

const preferencesKey = (bandId: string) => ['preferences', bandId] as const;

/** What the band prefers, and how to change it. Changes show at once and are kept by the server. */
export function usePreferences(): { readonly preferences: Preferences; readonly change: (change: PreferencesChange) => void } {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const { data } = useQuery({
    queryKey: preferencesKey(bandId),
    queryFn: ({ signal }) => call('GET', `/bands/${bandId}/preferences`, preferences, { signal }),
    enabled: bandId !== '',
  });
  // read once: a new object at every drawing would look like a change
  const [before] = useState(remembered);
  const current = data ?? before;
  const { mutate } = useMutation({
    mutationFn: async (change: PreferencesChange) =>
      call('PATCH', `/bands/${await knownBandId(queries)}/preferences`, preferences, { body: change }),
    mutationKey: preferencesKey(bandId),
    onMutate: async (change) => {
      // an answer that is still on its way is of what was there before
      await queries.cancelQueries({ queryKey: preferencesKey(bandId) });
      const before = queries.getQueryData<Preferences>(preferencesKey(bandId)) ?? current;
      queries.setQueryData(preferencesKey(bandId), { ...before, ...change });
    },
    // what was changed before the band was known
    onSuccess: async (changed) => {
      if (bandId === '') queries.setQueryData(preferencesKey(await knownBandId(queries)), changed);
    },
    // what the server refused does not stay on the screen
    onSettled: () => refetchAfterLast(queries, preferencesKey(bandId)),
  });
  useEffect(() => {
    if (data !== undefined) localStorage.setItem(LOCAL, JSON.stringify(data));
  }, [data]);
  return { preferences: current, change: mutate };
}

/** The preferences of last time, so that the page opens in its theme before the server answers. */
function remembered(): Preferences {
  try {
    const read = preferences.safeParse(JSON.parse(localStorage.getItem(LOCAL) ?? ''));
    return read.success ? read.data : DEFAULT_PREFERENCES;
  } catch {
    return DEFAULT_PREFERENCES;
  }
}
