import { parseKey } from '@aurora/core';
import { gone, type SetList, type SetListBody, setList, setListBody, setListSaveRequest, setListsAnswer } from '@aurora/wire';
import type { Request } from 'express';
import { type Call, call } from '../call/call.ts';
import { authorOf } from '../context/context.ts';
import { HttpFault } from '../http-fault.ts';
import { idOf, notFound, orMissing, required } from '../validate.ts';
import { addSet, deleteSet, findSet, listSets, type SetOutcome, saveSet } from './set-store.ts';

/** `/bands/{id}/sets`: what is played tonight, in which order and keys. */
export function setCalls(): readonly Call[] {
  const [all, one] = ['/bands/{bandId}/sets', '/bands/{bandId}/sets/{setId}'];
  const ids = (request: Request) => [idOf(request, 'bandId', 'band'), idOf(request, 'setId', 'set')] as const;
  return [
    call(
      { id: 'listSets', access: 'guest', method: 'get', path: all, tag: 'sets', summary: 'The band’s sets', answer: setListsAnswer },
      async ({ request, db }) => ({
        sets: await listSets(db, idOf(request, 'bandId', 'band')),
      }),
    ),
    call(
      {
        id: 'addSet',
        access: 'member',
        method: 'post',
        path: all,
        tag: 'sets',
        summary: 'Make a set',
        body: setListBody,
        answer: setList,
        status: 201,
      },
      async ({ body, request, db, seat }) =>
        savedOr(await addSet(db, idOf(request, 'bandId', 'band'), checkedKeys(body), authorOf(seat)), 'band'),
    ),
    call(
      { id: 'readSet', access: 'guest', method: 'get', path: one, tag: 'sets', summary: 'A set with its songs', answer: setList },
      async ({ request, db }) => orMissing(await findSet(db, ...ids(request)), 'set'),
    ),
    call(
      {
        id: 'saveSet',
        access: 'member',
        method: 'put',
        path: one,
        tag: 'sets',
        summary: 'Save a set on top of a revision',
        body: setListSaveRequest,
        answer: setList,
        problems: [409],
      },
      async ({ body: { baseRevision, ...body }, request, db, seat }) =>
        savedOr(await saveSet(db, ...ids(request), { ...checkedKeys(body), baseRevision, by: authorOf(seat) }), 'set'),
    ),
    call(
      { id: 'deleteSet', access: 'member', method: 'delete', path: one, tag: 'sets', summary: 'Take a set away', answer: gone },
      async ({ request, db }) => {
        if (!(await deleteSet(db, ...ids(request)))) throw notFound('set');
        return { gone: true };
      },
    ),
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
