import {
  auditAnswer,
  auditQuery,
  bandChange,
  bandCreateRequest,
  beginRequest,
  demoPlayerRequest,
  doneAnswer,
  gone,
  invitation,
  invitationLook,
  invitationRequest,
  mailboxAnswer,
  me,
  openLinkRequest,
  peopleAnswer,
  roleRequest,
} from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import type { Seat } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import { listMail } from '../mail/post.ts';
import { idOf, notFound } from '../validate.ts';
import { addAccount } from './account-store.ts';
import { listAudit } from './audit-store.ts';
import { changeRole, leave, nameBand, setBandLeaving, takeOut } from './band-people-store.ts';
import { foundBand } from './found-band.ts';
import { invite, listPeople, lookAt, openInvitation, revoke } from './invitation-store.ts';
import { openLink } from './link-store.ts';
import { meOf, type PeopleDeps, signIn } from './me-calls.ts';

/** Invitations, who is in a band and as what, and how a band begins and ends. */
export function peopleCalls(deps: PeopleDeps): readonly Call[] {
  return [
    ...invitationCalls(deps),
    ...bandPeopleCalls(),
    ...foundingCalls(deps),
    ...(deps.mailbox ? mailboxCalls(deps) : []),
    ...(deps.demo === null ? [] : demoCalls(deps)),
  ];
}

const BAND = '/bands/{bandId}';
/** The seat of one who belongs to the band; the calls that use it ask for that. */
const seated = (seat: Seat | null): Seat => seat as Seat;

function invitationCalls(deps: PeopleDeps): readonly Call[] {
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
        const { accountId } = await openInvitation(house, body.token, async (name) => here?.accountId ?? addAccount(house, name));
        if (here === null) await signIn(house, request, response, accountId);
        return meOf(deps, accountId, here?.deviceId ?? null);
      },
    ),
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
      ({ body, db, seat }) => invite(db, seated(seat), body, new Date()),
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
        if (!(await revoke(db, seated(seat), idOf(request, 'invitationId', 'invitation')))) throw notFound('invitation');
        return { gone: true };
      },
    ),
  ];
}

function bandPeopleCalls(): readonly Call[] {
  const leader = { access: 'leader', tag: 'people' } as const;
  return [
    call(
      {
        id: 'listPeople',
        method: 'get',
        path: `${BAND}/people`,
        access: 'member',
        tag: 'people',
        summary: 'Who is in the band, as what, and who is invited',
        answer: peopleAnswer,
        cache: 'no-store',
      },
      ({ db, seat }) => listPeople(db, seated(seat)),
    ),
    call(
      {
        ...leader,
        id: 'changeRole',
        method: 'put',
        path: `${BAND}/members/{memberId}/role`,
        summary: 'Make a player a leader, or a member',
        body: roleRequest,
        answer: doneAnswer,
        problems: [409],
      },
      async ({ body, request, db, seat }) => {
        await changeRole(db, seated(seat), idOf(request, 'memberId', 'player'), body.role);
        return { done: true };
      },
    ),
    call(
      {
        ...leader,
        id: 'deleteMember',
        method: 'delete',
        path: `${BAND}/members/{memberId}`,
        tag: 'members',
        summary: 'Take a player out',
        answer: gone,
        problems: [409],
      },
      async ({ request, db, seat }) => {
        if (!(await takeOut(db, seated(seat), idOf(request, 'memberId', 'player')))) throw notFound('player');
        return { gone: true };
      },
    ),
    call(
      {
        id: 'leaveBand',
        method: 'post',
        path: `${BAND}/leave`,
        access: 'guest',
        tag: 'people',
        summary: 'Leave the band; what one made stays',
        answer: doneAnswer,
        problems: [409],
      },
      async ({ db, seat }) => {
        await leave(db, seated(seat));
        return { done: true };
      },
    ),
    call(
      {
        ...leader,
        id: 'readAudit',
        method: 'get',
        path: `${BAND}/audit`,
        summary: 'What happened in the band',
        query: auditQuery,
        answer: auditAnswer,
      },
      ({ query, db, seat }) => listAudit(db, seated(seat).bandId, query.before),
    ),
    call(
      {
        ...leader,
        id: 'nameBand',
        method: 'patch',
        path: BAND,
        tag: 'bands',
        summary: 'Name the band',
        body: bandChange,
        answer: doneAnswer,
      },
      async ({ body, db, seat }) => {
        await nameBand(db, seated(seat), body.name);
        return { done: true };
      },
    ),
    call(
      {
        ...leader,
        id: 'deleteBand',
        method: 'delete',
        path: BAND,
        tag: 'bands',
        summary: 'Have the band deleted in a fortnight',
        answer: doneAnswer,
      },
      async ({ db, seat }) => {
        await setBandLeaving(db, seated(seat), true);
        return { done: true };
      },
    ),
    call(
      {
        ...leader,
        id: 'keepBand',
        method: 'post',
        path: `${BAND}/stay`,
        tag: 'bands',
        summary: 'Keep the band after all',
        answer: doneAnswer,
      },
      async ({ db, seat }) => {
        await setBandLeaving(db, seated(seat), false);
        return { done: true };
      },
    ),
  ];
}

function foundingCalls(deps: PeopleDeps): readonly Call[] {
  const { house } = deps;
  return [
    call(
      {
        id: 'beginFirstBand',
        method: 'post',
        path: '/begin',
        access: 'stranger',
        tag: 'people',
        summary: 'Begin the first band, with the link the first start prints',
        body: beginRequest,
        answer: me,
        isLimited: 'tries',
        problems: [404],
      },
      async ({ body, request, response }) => {
        if ((await openLink(house, body.token, ['first-band'])) === undefined)
          throw new HttpFault(
            'not-found',
            'This link is used up or too old. Start the server again: it prints a new one while there is no band.',
          );
        const account = await addAccount(house, body.name);
        await foundBand(house, account, body);
        await signIn(house, request, response, account);
        return meOf(deps, account, null);
      },
    ),
    call(
      {
        id: 'addBand',
        method: 'post',
        path: '/bands',
        access: 'account',
        tag: 'bands',
        summary: 'Begin another band',
        body: bandCreateRequest,
        answer: me,
        status: 201,
        isLimited: 'tries',
      },
      async ({ body, person }) => {
        if (person === null || person.deviceId === null) throw new HttpFault('sign-in', 'Sign in first: in the demo, choose who you are.');
        await foundBand(house, person.accountId, body);
        return meOf(deps, person.accountId, person.deviceId);
      },
    ),
  ];
}

function mailboxCalls({ house }: PeopleDeps): readonly Call[] {
  return [
    call(
      {
        id: 'readMailbox',
        method: 'get',
        path: '/mailbox',
        access: 'stranger',
        tag: 'people',
        summary: 'What would have been sent by mail',
        answer: mailboxAnswer,
        cache: 'no-store',
      },
      async () => ({
        mail: await listMail(house),
      }),
    ),
  ];
}

function demoCalls(deps: PeopleDeps): readonly Call[] {
  const { house, demo } = deps;
  return [
    call(
      {
        id: 'beDemoPlayer',
        method: 'post',
        path: '/demo/player',
        access: 'stranger',
        tag: 'people',
        summary: 'Be another player of the demo band',
        body: demoPlayerRequest,
        answer: me,
      },
      async ({ body: { memberId }, request, response }) => {
        const account = await demo?.accountOf(memberId);
        if (account === undefined) throw notFound('player');
        await signIn(house, request, response, account);
        return meOf(deps, account, null);
      },
    ),
  ];
}
