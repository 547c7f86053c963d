import { preferencesChange } from '@aurora/wire';
import { Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { changePreferences, readPreferences } from '../preference/preference-store.ts';
import { bodyOf, idOf, notFound } from '../validate.ts';
import { listBands } from './band-store.ts';

/** `/bands`: the bands, and what each of them prefers. */
export function bandRoutes(pool: Pool): Router {
  const routes = Router();

  routes.get('/', async (_request, response) => {
    response.json({ bands: await listBands(pool) });
  });

  routes.get('/:bandId/preferences', async (request, response) => {
    response.json(await readPreferences(pool, idOf(request, 'bandId', 'band')));
  });

  routes.patch('/:bandId/preferences', async (request, response) => {
    const changed = await changePreferences(pool, idOf(request, 'bandId', 'band'), bodyOf(request, preferencesChange));
    if (changed === undefined) throw notFound('band');
    response.json(changed);
  });

  return routes;
}
