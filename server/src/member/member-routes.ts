import { checkInstrument } from '@aurora/core';
import { instrument, type Member } from '@aurora/wire';
import { Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { bodyOf, idOf, notFound, required } from '../validate.ts';
import { listMembers, saveInstrument } from './member-store.ts';

/** `/bands/{id}/members`: who plays, and how their instruments are set up. */
export function memberRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/', async (request, response) => {
    response.json({ members: await listMembers(pool, idOf(request, 'bandId', 'band')) });
  });

  routes.put('/:memberId/instrument', async (request, response) => {
    const [bandId, memberId] = [idOf(request, 'bandId', 'band'), idOf(request, 'memberId', 'player')];
    const wanted = required(checkInstrument(bodyOf(request, instrument)), 'instrument');
    const saved: Member | undefined = await saveInstrument(pool, bandId, memberId, wanted);
    if (saved === undefined) throw notFound('player');
    response.json(saved);
  });

  return routes;
}
