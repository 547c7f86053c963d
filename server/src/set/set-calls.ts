import { parseKey } from '@aurora/core';
import { gone, type SetList, type SetListBody, setList, setListBody, setListSaveRequest, setListsAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import type { Pool } from '../db/pool.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing, required } from '../validate.ts';
import { addSet, deleteSet, findSet, listSets, type SetOutcome, saveSet } from './set-store.ts';

/** `/bands/{id}/sets`: what is played tonight, in which order and keys. */
export function setCalls(pool: Pool): readonly Call[] {
  const [all, one] = ['/bands/{bandId}/sets', '/bands/{bandId}/sets/{setId}'];
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'setId', 'set')] as const;
  return [
    call(
      { id: 'listSets', method: 'get', path: all, tag: 'sets', summary: 'The band’s sets', answer: setListsAnswer },
      async ({ request }) => ({
        sets: await listSets(pool, idOf(request, 'bandId', 'band')),
      }),
    ),
    call(
      { id: 'addSet', method: 'post', path: all, tag: 'sets', summary: 'Make a set', body: setListBody, answer: setList, status: 201 },
      async ({ body, request }) => savedOr(await addSet(pool, idOf(request, 'bandId', 'band'), checkedKeys(body)), 'band'),
    ),
    call({ id: 'readSet', method: 'get', path: one, tag: 'sets', summary: 'A set with its songs', answer: setList }, async ({ request }) =>
      orMissing(await findSet(pool, ...ids(request)), 'set'),
    ),
    call(
      {
        id: 'saveSet',
        method: 'put',
        path: one,
        tag: 'sets',
        summary: 'Save a set on top of a revision',
        body: setListSaveRequest,
        answer: setList,
        problems: [409],
      },
      async ({ body: { baseRevision, ...body }, request }) =>
        savedOr(await saveSet(pool, ...ids(request), baseRevision, checkedKeys(body)), 'set'),
    ),
    call({ id: 'deleteSet', method: 'delete', path: one, tag: 'sets', summary: 'Take a set away', answer: gone }, async ({ request }) => {
      if (!(await deleteSet(pool, ...ids(request)))) throw notFound('set');
      return { gone: true };
    }),
  ];
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
