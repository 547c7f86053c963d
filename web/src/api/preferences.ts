import { DEFAULT_PREFERENCES, type Preferences, preferences } from '@aurora/wire';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useEffect, useState } from 'react';
import type { RecordForm } from '../device/record-form.ts';
import { device } from '../device/records.ts';
import { call } from './client.ts';
import { refetchAfterLast } from './shown-at-once.ts';
import { knownBandId, useBand } from './songs.ts';

/** The preferences of last time, so that the page opens as it was left before the server answers. */
const REMEMBERED: RecordForm<Preferences> = { name: 'aurora-preferences', schema: preferences, upgrades: [(text) => JSON.parse(text)] };

export const preferencesKey = (bandId: string) => ['preferences', bandId] as const;

export const preferencesQuery = (bandId: string) =>
  queryOptions({
    queryKey: preferencesKey(bandId),
    queryFn: ({ signal }) => call('GET', `/bands/${bandId}/preferences`, preferences, { signal }),
  });

type PreferencesWish = (before: Preferences) => Partial<Preferences>;

/**
 * What the band prefers, and how to change it. A change is made to what the server has: pressed before that has come, it
 * waits for it. It shows as soon as it is made and is kept by the server.
 */
export function usePreferences(): { readonly preferences: Preferences; readonly change: (wish: PreferencesWish) => void } {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  const { data } = useQuery({ ...preferencesQuery(bandId), enabled: bandId !== '' });
  // read once: a new object at every drawing would look like a change
  const [before] = useState(() => device.get(REMEMBERED) ?? DEFAULT_PREFERENCES);
  const current = data ?? before;
  const { mutate } = useMutation({
    mutationKey: preferencesKey(bandId),
    onMutate: async (wish: PreferencesWish) => {
      const asked = preferencesQuery(await knownBandId(queries));
      const before = await queries.ensureQueryData(asked);
      // an answer that is still on its way is of what was there before
      await queries.cancelQueries({ queryKey: asked.queryKey });
      queries.setQueryData(asked.queryKey, { ...before, ...wish(before) });
    },
    mutationFn: async () => {
      const known = await knownBandId(queries);
      return call('PATCH', `/bands/${known}/preferences`, preferences, { body: queries.getQueryData(preferencesKey(known)) });
    },
    // what the server refused does not stay on the screen
    onSettled: async () => refetchAfterLast(queries, preferencesKey(await knownBandId(queries))),
  });
  useEffect(() => {
    if (data !== undefined) device.put(REMEMBERED, data);
  }, [data]);
  return { preferences: current, change: mutate };
}
