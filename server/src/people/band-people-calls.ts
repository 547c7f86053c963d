import { auditAnswer, auditQuery, bandChange, doneAnswer, gone, peopleAnswer, roleRequest } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { idOf, notFound } from '../validate.ts';
import { listAudit } from './audit-store.ts';
import { changeRole, leave, nameBand, setBandLeaving, takeOut } from './band-people-store.ts';
import { listPeople } from './invitation-store.ts';

const BAND = '/bands/{bandId}';

/** Who is in a band and as what, what happened, and how a band is named and ends. */
export function bandPeopleCalls(): readonly Call[] {
  return [...roleCalls(), ...leavingCalls(), ...bandCalls(), ...bandEndCalls()];
}

/** Who is in, and as what. */
function roleCalls(): readonly Call[] {
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
      ({ db, seat }) => listPeople(db, seat),
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
        await changeRole(db, seat, idOf(request, 'memberId', 'player'), body.role);
        return { done: true };
      },
    ),
  ];
}

/** Who goes, taken out or by themselves. */
function leavingCalls(): readonly Call[] {
  const leader = { access: 'leader', tag: 'people' } as const;
  return [
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
        if (!(await takeOut(db, seat, idOf(request, 'memberId', 'player')))) throw notFound('player');
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
        await leave(db, seat);
        return { done: true };
      },
    ),
  ];
}

/** What happened in a band, and its name. */
function bandCalls(): readonly Call[] {
  const leader = { access: 'leader', tag: 'people' } as const;
  return [
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
      ({ query, db, seat }) => listAudit(db, seat.bandId, query.before),
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
        await nameBand(db, seat, body.name);
        return { done: true };
      },
    ),
  ];
}

/** A band's end, and thinking better of it. */
function bandEndCalls(): readonly Call[] {
  const leader = { access: 'leader', tag: 'people' } as const;
  return [
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
        await setBandLeaving(db, seat, true);
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
        await setBandLeaving(db, seat, false);
        return { done: true };
      },
    ),
  ];
}
