import { parseKey } from '@aurora/core';
import { type SetList, type SetListBody, setListBody, setListSaveRequest } from '@aurora/wire';
import { Router } from 'express';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { bodyOf, idOf, notFound, required } from '../validate.ts';
import { addSet, deleteSet, findSet, listSets, type SetOutcome, saveSet } from './set-store.ts';

/** `/bands/{id}/sets`: what is played tonight, in which order and keys. */
export function setRoutes(pool: Pool): Router {
  const routes = Router({ mergeParams: true });

  routes.get('/', async (request, response) => {
    response.json({ sets: await listSets(pool, idOf(request, 'bandId', 'band')) });
  });

  routes.post('/', async (request, response) => {
    const body = checkedKeys(bodyOf(request, setListBody));
    response.status(201).json(savedOr(await addSet(pool, idOf(request, 'bandId', 'band'), body), 'band'));
  });

  routes.get('/:setId', async (request, response) => {
    const set = await findSet(pool, idOf(request, 'bandId', 'band'), idOf(request, 'setId', 'set'));
    if (set === undefined) throw notFound('set');
    response.json(set);
  });

  routes.put('/:setId', async (request, response) => {
    const { baseRevision, ...body } = bodyOf(request, setListSaveRequest);
    const [bandId, setId] = [idOf(request, 'bandId', 'band'), idOf(request, 'setId', 'set')];
    response.json(savedOr(await saveSet(pool, bandId, setId, baseRevision, checkedKeys(body)), 'set'));
  });

  routes.delete('/:setId', async (request, response) => {
    const gone = await deleteSet(pool, idOf(request, 'bandId', 'band'), idOf(request, 'setId', 'set'));
    if (!gone) throw notFound('set');
    response.json({ gone: true });
  });

  return routes;
}

function checkedKeys(body: SetListBody): SetListBody {
  body.entries.forEach((entry, place) => {
    if (entry.kind === 'song' && entry.key !== null) required(parseKey(entry.key), `entries.${place}.key`);
  });
  return body;
}

function savedOr(outcome: SetOutcome, what: string): SetList {
  switch (outcome.kind) {
    case 'saved':
      return outcome.set;
    case 'missing':
      throw notFound(what);
    case 'strange-song': {
      const message = `The song at place ${outcome.place + 1} is not on this band’s shelf.`;
      throw new HttpFault('invalid', message, { errors: [{ message, path: `entries.${outcome.place}.songId` }] });
    }
    case 'stale':
      throw new HttpFault('stale-save', `Somebody saved revision ${outcome.set.revision} of this set. Nothing was overwritten.`, {
        currentSet: outcome.set,
      });
  }
}
