import {
  auditAnswer,
  type BandSeat,
  devicesAnswer,
  doneAnswer,
  gone,
  type InvitationRequest,
  invitation,
  invitationLook,
  linkAnswer,
  type Me,
  type MeChange,
  mailboxAnswer,
  me as meAnswer,
  peopleAnswer,
  sentAnswer,
} from '@aurora/wire';
import { useInfiniteQuery, useMutation, useQuery, useQueryClient } from '@tanstack/react-query';
import { call } from './client.ts';
import { membersKey } from './members.ts';
import { meQuery, useBand } from './songs.ts';

export function useMe() {
  return useQuery(meQuery);
}

/** Everything that is done about oneself answers who one is then. */
function useMeMutation<Given>(change: (given: Given) => Promise<Me>) {
  const queries = useQueryClient();
  return useMutation({ mutationFn: change, onSuccess: (me) => queries.setQueryData(meQuery.queryKey, me) });
}

export const useMeChange = () => useMeMutation((change: MeChange) => call('PATCH', '/me', meAnswer, { body: change }));
export const useMeLeaving = () =>
  useMeMutation((leaves: boolean) => call(leaves ? 'DELETE' : 'POST', leaves ? '/me' : '/me/stay', meAnswer));
export const useNewBand = () =>
  useMeMutation((body: { band: string; name: string; plays: string }) => call('POST', '/bands', meAnswer, { body }));

/** Ways in. After each of them the page is opened anew, since everything on it may be another's. */
export const signIn = (body: { email: string; password: string }) => call('POST', '/sign-in', meAnswer, { body });
export const sendSignInLink = (email: string) => call('POST', '/sign-in/links', sentAnswer, { body: { email } });
export const openLink = (token: string) => call('POST', '/sign-in/links/open', meAnswer, { body: { token } });
export const openInvitation = (token: string) => call('POST', '/invitations/open', meAnswer, { body: { token } });
export const beginFirstBand = (body: { token: string; band: string; name: string; plays: string }) =>
  call('POST', '/begin', meAnswer, { body });
export const beDemoPlayer = (memberId: string) => call('POST', '/demo/player', meAnswer, { body: { memberId } });
export const signOut = () => call('POST', '/me/sign-out', doneAnswer);

/** What an invitation would open. */
export function useInvitation(token: string) {
  return useQuery({
    queryKey: ['invitation', token],
    queryFn: ({ signal }) => call('POST', '/invitations/look', invitationLook, { body: { token }, signal }),
    enabled: token !== '',
    staleTime: Number.POSITIVE_INFINITY,
  });
}

const DEVICES = ['devices'] as const;

export function useDevices() {
  return useQuery({
    queryKey: DEVICES,
    queryFn: async ({ signal }) => (await call('GET', '/me/devices', devicesAnswer, { signal })).devices,
  });
}

/** Signs a device out, or makes a link for another one. */
export function useDeviceChanges() {
  const queries = useQueryClient();
  const remove = useMutation({
    mutationFn: (id: string) => call('DELETE', `/me/devices/${id}`, gone),
    onSuccess: () => void queries.invalidateQueries({ queryKey: DEVICES }),
  });
  const link = useMutation({ mutationFn: () => call('POST', '/me/devices', linkAnswer) });
  return { remove, link };
}

/** Whatever changes the players is news of the people too. */
const peopleKey = (bandId: string) => [...membersKey(bandId), 'people'] as const;

/** Who is in the band, as what, and who is invited. */
export function usePeople(band: BandSeat) {
  return useQuery({
    queryKey: peopleKey(band.id),
    queryFn: ({ signal }) => call('GET', `/bands/${band.id}/people`, peopleAnswer, { signal }),
    enabled: band.role !== 'guest',
  });
}

/** What a leader does about who is in the band, and anybody about being in it. */
export function usePeopleChanges() {
  const queries = useQueryClient();
  const bandId = useBand().data?.id ?? '';
  const path = `/bands/${bandId}`;
  const onSuccess = () => {
    for (const key of [membersKey(bandId), ['audit', bandId]]) void queries.invalidateQueries({ queryKey: key });
  };
  const onBand = () => {
    onSuccess();
    void queries.invalidateQueries({ queryKey: meQuery.queryKey });
  };
  return {
    invite: useMutation({ mutationFn: (body: InvitationRequest) => call('POST', `${path}/invitations`, invitation, { body }), onSuccess }),
    revoke: useMutation({ mutationFn: (id: string) => call('DELETE', `${path}/invitations/${id}`, gone), onSuccess }),
    role: useMutation({
      mutationFn: ({ memberId, role }: { memberId: string; role: 'leader' | 'member' }) =>
        call('PUT', `${path}/members/${memberId}/role`, doneAnswer, { body: { role } }),
      onSuccess: onBand,
    }),
    takeOut: useMutation({ mutationFn: (memberId: string) => call('DELETE', `${path}/members/${memberId}`, gone), onSuccess }),
    leave: useMutation({ mutationFn: () => call('POST', `${path}/leave`, doneAnswer) }),
    name: useMutation({ mutationFn: (name: string) => call('PATCH', path, doneAnswer, { body: { name } }), onSuccess: onBand }),
    leaving: useMutation({
      mutationFn: (leaves: boolean) => call(leaves ? 'DELETE' : 'POST', leaves ? path : `${path}/stay`, doneAnswer),
      onSuccess: onBand,
    }),
  };
}

/** What happened in the band, the newest first. */
export function useAudit(bandId: string) {
  return useInfiniteQuery({
    queryKey: ['audit', bandId],
    queryFn: ({ pageParam, signal }) =>
      call('GET', `/bands/${bandId}/audit${pageParam === '' ? '' : `?before=${encodeURIComponent(pageParam)}`}`, auditAnswer, { signal }),
    initialPageParam: '',
    getNextPageParam: ({ next }) => next,
  });
}

/** What would have been sent by mail, where it is not. */
export function useMailbox() {
  return useQuery({
    queryKey: ['mailbox'],
    queryFn: async ({ signal }) => (await call('GET', '/mailbox', mailboxAnswer, { signal })).mail,
    refetchInterval: 5000,
  });
}
