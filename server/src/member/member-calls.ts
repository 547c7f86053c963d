import { checkInstrument, checkVoice } from '@aurora/core';
import { gone, instrument, type MemberReads, member, memberChange, memberCreateRequest, membersAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { idOf, notFound, orMissing, required } from '../validate.ts';
import { addMember, changeMember, deleteMember, listMembers, saveInstrument } from './member-store.ts';

/** `/bands/{id}/members`: who plays, how they read, and how their instruments are set up. */
export function memberCalls(pool: Pool): readonly Call[] {
  const path = '/bands/{bandId}/members/{memberId}';
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player')] as const;
  return [
    call(
      {
        id: 'listMembers',
        method: 'get',
        path: '/bands/{bandId}/members',
        tag: 'members',
        summary: 'Who plays, and on what',
        answer: membersAnswer,
      },
      async ({ request }) => ({ members: await listMembers(pool, idOf(request, 'bandId', 'band')) }),
    ),
    call(
      {
        id: 'addMember',
        method: 'post',
        path: '/bands/{bandId}/members',
        tag: 'members',
        summary: 'Add a player',
        body: memberCreateRequest,
        answer: member,
        status: 201,
      },
      async ({ body: wanted, request }) => {
        checkReads(wanted.reads);
        return orMissing(await addMember(pool, idOf(request, 'bandId', 'band'), wanted), 'band');
      },
    ),
    call(
      {
        id: 'changeMember',
        method: 'patch',
        path,
        tag: 'members',
        summary: 'Change how a player reads',
        body: memberChange,
        answer: member,
      },
      async ({ body: change, request }) => {
        checkReads(change.reads);
        return orMissing(await changeMember(pool, ...ids(request), change), 'player');
      },
    ),
    call(
      { id: 'deleteMember', method: 'delete', path, tag: 'members', summary: 'Take a player out', answer: gone },
      async ({ request }) => {
        if (!(await deleteMember(pool, ...ids(request)))) throw notFound('player');
        return { gone: true };
      },
    ),
    call(
      {
        id: 'saveInstrument',
        method: 'put',
        path: `${path}/instrument`,
        tag: 'members',
        summary: 'Set up a player’s instrument',
        body: instrument,
        answer: member,
      },
      async ({ body, request }) =>
        orMissing(await saveInstrument(pool, ...ids(request), required(checkInstrument(body), 'instrument')), 'player'),
    ),
  ];
}

function checkReads(reads: { readonly voice?: MemberReads['voice'] | undefined } | undefined): void {
  if (reads?.voice !== null && reads?.voice !== undefined) required(checkVoice(reads.voice), 'reads.voice');
}
