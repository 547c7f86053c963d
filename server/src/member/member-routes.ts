import { checkInstrument, checkVoice } from '@aurora/core';
import { instrument, type MemberReads, memberChange, memberCreateRequest } from '@aurora/wire';
import { Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { bodyOf, idOf, notFound, required } from '../validate.ts';
import { addMember, changeMember, deleteMember, listMembers, saveInstrument } from './member-store.ts';

/** `/bands/{id}/members`: who plays, how they read, and how their instruments are set up. */
export function memberRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/', async (request, response) => {
    response.json({ members: await listMembers(pool, idOf(request, 'bandId', 'band')) });
  });

  routes.post('/', async (request, response) => {
    const wanted = bodyOf(request, memberCreateRequest);
    checkReads(wanted.reads);
    const member = await addMember(pool, idOf(request, 'bandId', 'band'), wanted);
    if (member === undefined) throw notFound('band');
    response.status(201).json(member);
  });

  routes.patch('/:memberId', async (request, response) => {
    const change = bodyOf(request, memberChange);
    checkReads(change.reads);
    const member = await changeMember(pool, idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player'), change);
    if (member === undefined) throw notFound('player');
    response.json(member);
  });

  routes.delete('/:memberId', async (request, response) => {
    const gone = await deleteMember(pool, idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player'));
    if (!gone) throw notFound('player');
    response.json({ gone: true });
  });

  routes.put('/:memberId/instrument', async (request, response) => {
    const [bandId, memberId] = [idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player')];
    const wanted = required(checkInstrument(bodyOf(request, instrument)), 'instrument');
    const saved = await saveInstrument(pool, bandId, memberId, wanted);
    if (saved === undefined) throw notFound('player');
    response.json(saved);
  });

  return routes;
}

function checkReads(reads: { readonly voice?: MemberReads['voice'] | undefined } | undefined): void {
  if (reads?.voice !== null && reads?.voice !== undefined) required(checkVoice(reads.voice), 'reads.voice');
}
