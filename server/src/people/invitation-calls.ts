import { gone, invitation, invitationLook, invitationRequest, me, openLinkRequest } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { idOf, notFound } from '../validate.ts';
import { addAccount } from './account-store.ts';
import { invite, lookAt, openInvitation, revoke } from './invitation-store.ts';
import { meOf, type PeopleDeps, signIn } from './people-deps.ts';

const BAND = '/bands/{bandId}';

/** Inviting, and opening an invitation. */
export function invitationCalls(deps: PeopleDeps): readonly Call[] {
  return [...openingCalls(deps), ...invitingCalls()];
}

/** What an invitation would open, and opening it. */
function openingCalls(deps: PeopleDeps): readonly Call[] {
  const { house } = deps;
  const tries = { access: 'stranger', tag: 'people', isLimited: 'tries', body: openLinkRequest, method: 'post' } as const;
  return [
    call(
      {
        ...tries,
        id: 'lookAtInvitation',
        path: '/invitations/look',
        summary: 'What an invitation would open',
        answer: invitationLook,
        problems: [404],
      },
      ({ body }) => lookAt(house, body.token),
    ),
    call(
      {
        ...tries,
        id: 'openInvitation',
        path: '/invitations/open',
        summary: 'Open an invitation: that is the sign-in on this device',
        answer: me,
        problems: [404, 409],
      },
      async ({ body, person, request, response }) => {
        // one who only stands in an open house is nobody yet
        const here = person?.deviceId === null ? null : person;
        const accountId = await openInvitation(house, body.token, async (name) => here?.accountId ?? addAccount(house, name));
        if (here === null) await signIn(house, request, response, accountId);
        return meOf(deps, accountId, here?.deviceId ?? null);
      },
    ),
  ];
}

/** Inviting, and taking an invitation back. */
function invitingCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'invite',
        method: 'post',
        path: `${BAND}/invitations`,
        access: 'leader',
        tag: 'people',
        summary: 'Invite a player of the band, or a guest for one evening',
        body: invitationRequest,
        answer: invitation,
        status: 201,
      },
      ({ body, db, seat }) => invite(db, seat, body, new Date()),
    ),
    call(
      {
        id: 'revokeInvitation',
        method: 'delete',
        path: `${BAND}/invitations/{invitationId}`,
        access: 'leader',
        tag: 'people',
        summary: 'Take an invitation back',
        answer: gone,
      },
      async ({ request, db, seat }) => {
        if (!(await revoke(db, seat, idOf(request, 'invitationId', 'invitation')))) throw notFound('invitation');
        return { gone: true };
      },
    ),
  ];
}
