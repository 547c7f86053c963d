import {
  DEFAULT_PRACTICE,
  type PracticePass,
  type PracticeSession,
  type PracticeSettings,
  passesAnswer,
  practiceLog,
  practiceSessionsAnswer,
  practiceSettings,
} from '@aurora/wire';
import { queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { useCallback } from 'react';
import type { z } from 'zod';
import { call } from './client.ts';

/** Whose practice it is. */
export interface PlayerAddress {
  readonly bandId: string;
  readonly memberId: string;
}

const memberPath = ({ bandId, memberId }: PlayerAddress) => `/bands/${bandId}/members/${memberId}`;
const keyOf = (what: string, { bandId, memberId }: PlayerAddress) => ['practice', what, bandId, memberId] as const;

const PAGE = 1000;
/** What is known of a player goes back so far; older passes count in the log, which is worked out on the server. */
const MOST_PAGES = 4;

/** The passes of a player, the newest first. */
export function usePasses(player: PlayerAddress) {
  return useQuery({
    queryKey: keyOf('passes', player),
    queryFn: async ({ signal }): Promise<readonly PracticePass[]> => {
      const passes: PracticePass[] = [];
      let after: string | null = '';
      for (let page = 0; after !== null && page < MOST_PAGES; page += 1) {
        const path: string = `${memberPath(player)}/passes?limit=${PAGE}${after === '' ? '' : `&after=${after}`}`;
        const answer: z.output<typeof passesAnswer> = await call('GET', path, passesAnswer, { signal });
        passes.push(...answer.passes);
        after = answer.next;
      }
      return passes;
    },
    enabled: player.bandId !== '' && player.memberId !== '',
  });
}

const settingsQuery = (player: PlayerAddress) =>
  queryOptions({
    queryKey: keyOf('settings', player),
    queryFn: ({ signal }) => call('GET', `${memberPath(player)}/practice`, practiceSettings, { signal }),
  });

export type SettingsChange = (before: PracticeSettings) => PracticeSettings;

/**
 * What a player has set for practising; as nobody set it until the server has answered. A change is made to what the
 * server has, never to what stands in for it: pressed early, it waits for that.
 */
export function usePracticeSettings(player: PlayerAddress) {
  const queries = useQueryClient();
  const asked = settingsQuery(player);
  const isSomebody = player.bandId !== '' && player.memberId !== '';
  const query = useQuery({ ...asked, enabled: isSomebody });
  const { mutate } = useMutation({
    onMutate: async (change: SettingsChange) => {
      const before = await queries.ensureQueryData(asked);
      // an answer that is still on its way is of what was there before
      await queries.cancelQueries({ queryKey: asked.queryKey });
      queries.setQueryData(asked.queryKey, change(before));
      return { before };
    },
    mutationFn: () => call('PUT', `${memberPath(player)}/practice`, practiceSettings, { body: queries.getQueryData(asked.queryKey) }),
    onError: (_, __, kept) => void (kept && queries.setQueryData(asked.queryKey, kept.before)),
  });
  return { settings: query.data ?? DEFAULT_PRACTICE, isSomebody, change: mutate };
}

/** What a player's practice comes to, worked out on the server. */
export function usePracticeLog(player: PlayerAddress) {
  return useQuery({
    queryKey: keyOf('log', player),
    queryFn: ({ signal }) => call('GET', `${memberPath(player)}/practice/log`, practiceLog, { signal }),
    enabled: player.bandId !== '' && player.memberId !== '',
  });
}

/** The sessions of a player's log, the newest first. */
export function usePracticeSessions(player: PlayerAddress): readonly PracticeSession[] {
  return (
    useQuery({
      queryKey: keyOf('sessions', player),
      queryFn: async ({ signal }) =>
        (await call('GET', `${memberPath(player)}/practice/sessions`, practiceSessionsAnswer, { signal })).sessions,
      enabled: player.bandId !== '' && player.memberId !== '',
    }).data ?? []
  );
}

/** Has what is known of a player's passes asked for anew. */
export function useRefreshPractice(player: PlayerAddress): () => void {
  const queries = useQueryClient();
  return useCallback(() => {
    for (const what of ['passes', 'log', 'sessions']) void queries.invalidateQueries({ queryKey: keyOf(what, player) });
  }, [queries, player]);
}

/** Where the passes of a player come out as a table. */
export function passesTablePath({ bandId, memberId }: PlayerAddress): string {
  return `/api/v1/bands/${bandId}/exports/members/${memberId}/practice.csv`;
}
