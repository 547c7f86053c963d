import { doneAnswer, mailLinkRequest, me, openLinkRequest, sentAnswer, signInRequest } from '@aurora/wire';
import { type Call, call } from '../call/call.ts';
import { takeToken } from '../context/session-cookie.ts';
import { HttpFault } from '../http-fault.ts';
import { accountByEmail, accountByPassword, changeAccount, removeDevice } from './account-store.ts';
import { posting, sendWayBack } from './link-mail.ts';
import { openLink } from './link-store.ts';
import { meOf, type PeopleDeps, signIn } from './people-deps.ts';

/** `/sign-in`: ways in beside an invitation, and out. */
export function signInCalls(deps: PeopleDeps): readonly Call[] {
  return [...wayInCalls(deps), ...linkCalls(deps)];
}

/** By a password, or a link to be sent. */
function wayInCalls(deps: PeopleDeps): readonly Call[] {
  const { house } = deps;
  const tries = { access: 'stranger', tag: 'people', isLimited: 'tries' } as const;
  return [
    call(
      {
        ...tries,
        id: 'signIn',
        method: 'post',
        path: '/sign-in',
        summary: 'Sign in with an e-mail address and a password',
        body: signInRequest,
        answer: me,
        problems: [401],
      },
      async ({ body: { email, password }, request, response }) => {
        const account = await accountByPassword(house.as({}), email, password);
        if (account === null) throw new HttpFault('sign-in', 'This address and this password do not belong together.');
        await signIn(house, request, response, account);
        return meOf(deps, account, null);
      },
    ),
    call(
      {
        ...tries,
        id: 'sendSignInLink',
        method: 'post',
        path: '/sign-in/links',
        summary: 'Have a link sent that signs one in, for a lost phone',
        body: mailLinkRequest,
        answer: sentAnswer,
        status: 202,
      },
      async ({ body: { email }, request }) => {
        posting(deps);
        const account = await accountByEmail(house.as({}), email);
        if (account !== null) await sendWayBack(deps, account, email, request);
        // whoever asks does not learn who has an account
        return { sent: true };
      },
    ),
  ];
}

/** A link that is opened, and the way out. */
function linkCalls(deps: PeopleDeps): readonly Call[] {
  const { house } = deps;
  const tries = { access: 'stranger', tag: 'people', isLimited: 'tries' } as const;
  return [
    call(
      {
        ...tries,
        id: 'openLink',
        method: 'post',
        path: '/sign-in/links/open',
        summary: 'Open a link that signs one in or confirms an address',
        body: openLinkRequest,
        answer: me,
        problems: [404, 409],
      },
      async ({ body: { token }, request, response, person }) => {
        const opened = await openLink(house, token, ['sign-in', 'email']);
        if (opened === undefined || opened.account_id === null)
          throw new HttpFault('not-found', 'This link is used up or too old. Have a new one made.');
        const account = opened.account_id;
        // an address is confirmed wherever its mail is read; that signs nobody in
        if (opened.purpose === 'email') {
          await changeAccount(house.as({ account }), account, { email: opened.email });
          return meOf(deps, person?.accountId ?? null, person?.deviceId ?? null);
        }
        if (person?.accountId !== account || person.deviceId === null) await signIn(house, request, response, account);
        return meOf(deps, account, person?.deviceId ?? null);
      },
    ),
    call(
      {
        id: 'signOut',
        method: 'post',
        path: '/me/sign-out',
        access: 'stranger',
        tag: 'people',
        summary: 'Sign out on this device',
        answer: doneAnswer,
      },
      async ({ person, db, request, response }) => {
        if (person !== null && person.deviceId !== null) await removeDevice(db, person.accountId, person.deviceId);
        takeToken(request, response);
        return { done: true };
      },
    ),
  ];
}
