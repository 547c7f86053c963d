import { bandCreateRequest, beginRequest, demoPlayerRequest, mailboxAnswer, me } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { HttpFault } from '../http-fault.ts';
import { listMail } from '../mail/post.ts';
import { notFound } from '../validate.ts';
import { addAccount } from './account-store.ts';
import { foundBand } from './found-band.ts';
import { openLink } from './link-store.ts';
import { meOf, own, type PeopleDeps, signIn } from './people-deps.ts';

/** How a band begins; and in the demo the mailbox, and being another player. */
export function doorCalls(deps: PeopleDeps): readonly Call[] {
  return [...foundingCalls(deps), ...(deps.mailbox ? mailboxCalls(deps) : []), ...(deps.demo === null ? [] : demoCalls(deps))];
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
        const { accountId, deviceId } = own(person);
        await foundBand(house, accountId, body);
        return meOf(deps, accountId, deviceId);
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
