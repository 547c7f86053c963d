import type { Instrument } from '@aurora/core';
import { gone, type Member, type MemberChange, type MemberCreateRequest, member as memberSchema, membersAnswer } from '@aurora/wire';
import { useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { useBand } from './songs.ts';

const membersKey = (bandId: string) => ['members', bandId] as const;

/** Everyone in the band; undefined until the server has answered. */
export function useMembers(): readonly Member[] | undefined {
  const bandId = useBand().data?.id ?? '';
  return useQuery({
    queryKey: membersKey(bandId),
    queryFn: async ({ signal }) => (await call('GET', `/bands/${bandId}/members`, membersAnswer, { signal })).members,
    enabled: bandId !== '',
  }).data;
}

/** What can be done with the people in the band; shown at once, taken back where the server refuses. */
export function useMemberChanges() {
  const queries = useQueryClient();
  const bandId = useBand().data?.id ?? '';
  const put = (put: (before: readonly Member[]) => readonly Member[]) =>
    queries.setQueryData<readonly Member[]>(membersKey(bandId), (before = []) => put(before));
  const refresh = () => void queries.invalidateQueries({ queryKey: membersKey(bandId) });
  const add = useMutation({
    mutationFn: (wish: MemberCreateRequest) => call('POST', `/bands/${bandId}/members`, memberSchema, { body: wish }),
    onSuccess: (member) => put((before) => [...before, member]),
  });
  const change = useMutation({
    mutationFn: ({ id, change }: { readonly id: string; readonly change: MemberChange }) =>
      call('PATCH', `/bands/${bandId}/members/${id}`, memberSchema, { body: change }),
    onMutate: ({ id, change: { reads, ...rest } }) =>
      put((before) => before.map((one) => (one.id === id ? ({ ...one, ...rest, reads: { ...one.reads, ...reads } } as Member) : one))),
    onError: refresh,
  });
  const remove = useMutation({
    mutationFn: (id: string) => call('DELETE', `/bands/${bandId}/members/${id}`, gone),
    onMutate: (id) => put((before) => before.filter((one) => one.id !== id)),
    onError: refresh,
  });
  return { add, change, remove };
}

/** Keeps how a member's instrument is set up. */
export function useInstrumentChange(): (change: { readonly id: string; readonly instrument: Instrument }) => void {
  const bandId = useBand().data?.id ?? '';
  const queries = useQueryClient();
  return useMutation({
    mutationFn: ({ id, instrument }: { readonly id: string; readonly instrument: Instrument }) =>
      call('PUT', `/bands/${bandId}/members/${id}/instrument`, memberSchema, { body: instrument }),
    onMutate: ({ id, instrument }) => {
      queries.setQueryData<readonly Member[]>(membersKey(bandId), (before = []) =>
        before.map((one) => (one.id === id ? { ...one, instrument: { ...instrument, tuning: [...instrument.tuning] } } : one)),
      );
    },
    onError: () => void queries.invalidateQueries({ queryKey: membersKey(bandId) }),
  }).mutate;
}
