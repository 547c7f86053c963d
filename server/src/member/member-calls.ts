import { checkInstrument, checkVoice } from '@aurora/core';
import { instrument, type MemberReads, member, memberChange, memberCreateRequest, membersAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import { idOf, orMissing, required } from '../validate.ts';
import { addMember, changeMember, listMembers, saveInstrument } from './member-store.ts';

/** `/bands/{id}/members`: who plays, how they read, and how their instruments are set up. */
export function memberCalls(): readonly Call[] {
  return [...listCalls(), ...changeCalls()];
}

/** Who there is, and one more. */
function listCalls(): readonly Call[] {
  return [
    call(
      {
        id: 'listMembers',
        access: 'guest',
        method: 'get',
        path: '/bands/{bandId}/members',
        tag: 'members',
        summary: 'Who plays, and on what',
        answer: membersAnswer,
      },
      async ({ request, db }) => ({ members: await listMembers(db, idOf(request, 'bandId', 'band')) }),
    ),
    call(
      {
        id: 'addMember',
        access: 'leader',
        method: 'post',
        path: '/bands/{bandId}/members',
        tag: 'members',
        summary: 'Add a player',
        body: memberCreateRequest,
        answer: member,
        status: 201,
      },
      async ({ body: wanted, request, db }) => {
        checkReads(wanted.reads);
        return orMissing(await addMember(db, idOf(request, 'bandId', 'band'), wanted), 'band');
      },
    ),
  ];
}

/** How one of them reads and plays. */
function changeCalls(): readonly Call[] {
  const path = '/bands/{bandId}/members/{memberId}';
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player')] as const;
  return [
    call(
      {
        id: 'changeMember',
        access: 'self-or-leader',
        method: 'patch',
        path,
        tag: 'members',
        summary: 'Change how a player reads',
        body: memberChange,
        answer: member,
      },
      async ({ body: change, request, db }) => {
        checkReads(change.reads);
        return orMissing(await changeMember(db, ...ids(request), change), 'player');
      },
    ),
    call(
      {
        id: 'saveInstrument',
        access: 'self-or-leader',
        method: 'put',
        path: `${path}/instrument`,
        tag: 'members',
        summary: 'Set up a player’s instrument',
        body: instrument,
        answer: member,
      },
      async ({ body, request, db }) =>
        orMissing(await saveInstrument(db, ...ids(request), required(checkInstrument(body), 'instrument')), 'player'),
    ),
  ];
}

function checkReads(reads: { readonly voice?: MemberReads['voice'] | undefined } | undefined): void {
  if (reads?.voice !== null && reads?.voice !== undefined) required(checkVoice(reads.voice), 'reads.voice');
}
