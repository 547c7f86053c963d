import type { Instrument } from '@aurora/core';
import { type Member, type MemberChange, type MemberCreateRequest, member as memberSchema, membersAnswer } from '@aurora/wire';
import { type QueryClient, queryOptions, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { refetchAfterLast } from './shown-at-once.ts';
import { knownBandId, useBand } from './songs.ts';

export const membersKey = (bandId: string) => ['members', bandId] as const;

/** Everyone in the band; undefined until the server has answered. */
export function useMembers(): readonly Member[] | undefined {
  return useMembersQuery().data;
}

export const membersQuery = (bandId: string) =>
  queryOptions({
    queryKey: membersKey(bandId),
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/members`, membersAnswer, { signal })).members,
  });

export function useMembersQuery() {
  const bandId = useBand().data?.id ?? '';
  return useQuery({ ...membersQuery(bandId), enabled: bandId !== '' });
}

/** Changes what is shown of the people, who may be unknown yet; an answer still on its way is of what was there before. */
function putting(queries: QueryClient, bandId: string) {
  return async (change: (before: readonly Member[]) => readonly Member[]): Promise<void> => {
    await queries.cancelQueries({ queryKey: membersKey(bandId) });
    queries.setQueryData<readonly Member[]>(membersKey(bandId), (before) => before && change(before));
  };
}

/** What can be done with the people in the band; shown at once, taken back where the server refuses. */
export function useMemberChanges() {
  const queries = useQueryClient();
  const bandId = useBand().data?.id ?? '';
  const put = putting(queries, bandId);
  const shown = { mutationKey: membersKey(bandId), onSettled: () => refetchAfterLast(queries, membersKey(bandId)) };
  const add = useMutation({
    ...shown,
    mutationFn: async (wish: MemberCreateRequest) =>
      call('POST', `/bands/${await knownBandId(queries)}/members`, memberSchema, { body: wish }),
    onSuccess: (member) => put((before) => [...before, member]),
  });
  const change = useMutation({
    ...shown,
    mutationFn: ({ id, change }: { readonly id: string; readonly change: MemberChange }) =>
      call('PATCH', `/bands/${bandId}/members/${id}`, memberSchema, { body: change }),
    onMutate: ({ id, change: { reads, ...rest } }) =>
      put((before) => before.map((one) => (one.id === id ? ({ ...one, ...rest, reads: { ...one.reads, ...reads } } as Member) : one))),
  });
  return { add, change };
}

/** Keeps how a member's instrument is set up. */
export function useInstrumentChange(): (change: { readonly id: string; readonly instrument: Instrument }) => void {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  return useMutation({
    mutationKey: membersKey(bandId),
    mutationFn: ({ id, instrument }: { readonly id: string; readonly instrument: Instrument }) =>
      call('PUT', `/bands/${bandId}/members/${id}/instrument`, memberSchema, { body: instrument }),
    onMutate: ({ id, instrument }) =>
      putting(
        queries,
        bandId,
      )((before) => before.map((one) => (one.id === id ? { ...one, instrument: { ...instrument, tuning: [...instrument.tuning] } } : one))),
    onSettled: () => refetchAfterLast(queries, membersKey(bandId)),
  }).mutate;
}
