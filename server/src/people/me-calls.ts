import {
  devicesAnswer,
  doneAnswer,
  gone,
  linkAnswer,
  type Me,
  mailLinkRequest,
  me,
  meChange,
  openLinkRequest,
  sentAnswer,
  signInRequest,
} from '@aurora/wire';
import type { Request, Response } from 'express';
import { z } from 'zod';
import { type Call, call, fileCall } from '../call/call.ts';
import type { Person } from '../context/context.ts';
import type { House } from '../context/enter.ts';
import { giveToken, takeToken } from '../context/session-cookie.ts';
import { isEmpty } from '../db/whole-house.ts';
import { HttpFault } from '../http-fault.ts';
import type { Post } from '../mail/post.ts';
import { idOf, notFound } from '../validate.ts';
import { accountByEmail, addDevice, changeAccount, listDevices, listSeats, readPerson, removeDevice, setLeaving } from './account-store.ts';
import { deviceName } from './device-name.ts';
import { exportAccount } from './export-store.ts';
import { addLink, openLink } from './link-store.ts';
import { hashPassword, isPassword } from './password.ts';

/** What the people's calls need of the house around them. */
export interface PeopleDeps {
  readonly house: House;
  /** How mail is sent; null where none is. */
  readonly post: Post | null;
  /** Whether mail is shown on a page instead of being sent. */
  readonly mailbox: boolean;
  /** In the demo: who one can be; null elsewhere. */
  readonly demo: DemoDoor | null;
  readonly publicUrl: string | null;
}

/** The demo's door: who one can be, and the account of each. */
export interface DemoDoor {
  readonly players: () => Promise<NonNullable<Me['demo']>>;
  readonly accountOf: (memberId: string) => Promise<string | undefined>;
}

const DEVICE_LINK_MINUTES = 15;
const MAIL_LINK_MINUTES = 30;

/** `/me` and `/sign-in`: who one is on this device, one's devices, and ways in beside an invitation. */
export function meCalls(deps: PeopleDeps): readonly Call[] {
  return [...ownCalls(deps), ...deviceCalls(deps), ...signInCalls(deps), ...leavingCalls(deps)];
}

/** Signs somebody in here. */
export async function signIn(house: House, request: Request, response: Response, account: string): Promise<void> {
  giveToken(request, response, await addDevice(house, account, deviceName(request.get('User-Agent') ?? '')));
}

/** Who one is once somebody has signed in, or out, or changed. */
export async function meOf({ house, mailbox, demo }: PeopleDeps, accountId: string | null, deviceId: string | null): Promise<Me> {
  const db = house.as({ account: accountId ?? undefined });
  const person = accountId === null ? null : await readPerson(db, accountId);
  return {
    person,
    deviceId,
    bands: accountId === null ? [] : [...(await listSeats(db, accountId))],
    demo: demo === null ? null : [...(await demo.players())],
    mailbox,
    isEmpty: person === null && (await isEmpty(db)),
  };
}

/** One who is signed in; the calls that use it ask for an account. */
const known = (person: Person | null): Person => person as Person;

/** What is one's own needs a device that is signed in: in an open house nobody is. */
function own(person: Person | null): Person {
  if (person === null || person.deviceId === null) throw new HttpFault('sign-in', 'Sign in first: in the demo, choose who you are.');
  return person;
}

function ownCalls(deps: PeopleDeps): readonly Call[] {
  const { house } = deps;
  return [
    call(
      {
        id: 'readMe',
        method: 'get',
        path: '/me',
        access: 'stranger',
        tag: 'people',
        summary: 'Who one is on this device, and where one plays',
        answer: me,
        cache: 'no-store',
      },
      ({ person }) => meOf(deps, person?.accountId ?? null, person?.deviceId ?? null),
    ),
    call(
      {
        id: 'changeMe',
        method: 'patch',
        path: '/me',
        access: 'account',
        tag: 'people',
        summary: 'Change one’s name, e-mail address or password',
        body: meChange,
        answer: me,
        problems: [409],
      },
      async ({ body: { name, email, password }, person, request, db }) => {
        const { accountId, deviceId } = own(person);
        const passwordHash = typeof password === 'string' ? await hashPassword(password) : password;
        await changeAccount(db, accountId, { name, passwordHash, ...(email === null ? { email } : {}) });
        if (typeof email === 'string') await confirmEmail(deps, accountId, email, request);
        return meOf(deps, accountId, deviceId);
      },
    ),
    fileCall(
      {
        id: 'exportMe',
        method: 'get',
        path: '/me/export.json',
        access: 'account',
        tag: 'people',
        summary: 'Everything that is kept about oneself',
        answer: z.object({}),
        isLimited: true,
        cache: 'no-store',
      },
      async ({ person, response }) => {
        const { accountId, name } = known(person);
        response
          .attachment(`${name.replaceAll(/[^\p{L}\p{N} -]/gu, '') || 'Me'}.json`)
          .type('application/json')
          .send(JSON.stringify(await exportAccount(house, accountId), null, 2));
      },
    ),
  ];
}

/** The address is kept once a link sent there has been opened. */
async function confirmEmail(deps: PeopleDeps, account: string, email: string, request: Request): Promise<void> {
  const { house, publicUrl } = deps;
  const post = posting(deps);
  const { token } = await addLink(house, { purpose: 'email', account, email, minutes: MAIL_LINK_MINUTES });
  await post({
    to: email,
    subject: 'Is this your address?',
    body: `Open this link to have your lost-phone mail sent here. It opens once, within ${MAIL_LINK_MINUTES} minutes:\n\n${linkTo(publicUrl, request, token)}\n\nIf you did not ask for it, do nothing.\n`,
  });
}

function posting({ post }: PeopleDeps): Post {
  if (post !== null) return post;
  throw new HttpFault('invalid', 'This server sends no mail. The leader of your band can make you a new link.');
}

/** Behind the `#` a token is sent to no server and stands in no log. */
function linkTo(publicUrl: string | null, request: Request, token: string): string {
  return `${publicUrl ?? `${request.protocol}://${request.get('Host')}`}/open#${token}`;
}

function deviceCalls({ house }: PeopleDeps): readonly Call[] {
  return [
    call(
      {
        id: 'listDevices',
        method: 'get',
        path: '/me/devices',
        access: 'account',
        tag: 'people',
        summary: 'The devices one is signed in on',
        answer: devicesAnswer,
        cache: 'no-store',
      },
      async ({ person, db }) => {
        const { accountId, deviceId } = own(person);
        return { devices: await listDevices(db, accountId, deviceId) };
      },
    ),
    call(
      {
        id: 'removeDevice',
        method: 'delete',
        path: '/me/devices/{deviceId}',
        access: 'account',
        tag: 'people',
        summary: 'Sign a device out',
        answer: gone,
      },
      async ({ person, db, request, response }) => {
        const { accountId, deviceId } = own(person);
        const id = idOf(request, 'deviceId', 'device');
        if (!(await removeDevice(db, accountId, id))) throw notFound('device');
        if (id === deviceId) takeToken(request, response);
        return { gone: true };
      },
    ),
    call(
      {
        id: 'linkDevice',
        method: 'post',
        path: '/me/devices',
        access: 'account',
        tag: 'people',
        summary: 'A link that signs one in on another device, once and soon',
        answer: linkAnswer,
        status: 201,
      },
      async ({ person }) => {
        const { accountId } = own(person);
        const { token, expiresAt } = await addLink(house, { purpose: 'sign-in', account: accountId, minutes: DEVICE_LINK_MINUTES });
        return { token, expiresAt: expiresAt.toISOString() };
      },
    ),
  ];
}

function signInCalls(deps: PeopleDeps): readonly Call[] {
  const { house, publicUrl } = deps;
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
        const found = await accountByEmail(house.as({}), email);
        if (!(await isPassword(found?.passwordHash ?? null, password)) || found === undefined)
          throw new HttpFault('sign-in', 'This address and this password do not belong together.');
        await signIn(house, request, response, found.accountId);
        return meOf(deps, found.accountId, null);
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
        const post = posting(deps);
        const found = await accountByEmail(house.as({}), email);
        if (found !== undefined) {
          const { token } = await addLink(house, { purpose: 'sign-in', account: found.accountId, minutes: MAIL_LINK_MINUTES });
          const body = `Open this link on your new device. It opens once, within ${MAIL_LINK_MINUTES} minutes:\n\n${linkTo(publicUrl, request, token)}\n\nAfterwards remove the lost device under You and your devices. If you did not ask for this, do nothing.\n`;
          await post({ to: email, subject: 'Your way back in', body });
        }
        // whoever asks does not learn who has an account
        return { sent: true };
      },
    ),
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
        if (opened.purpose === 'email') await changeAccount(house.as({ account }), account, { email: opened.email });
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

function leavingCalls(deps: PeopleDeps): readonly Call[] {
  const account = { access: 'account', tag: 'people', answer: me } as const;
  const leaving =
    (leaves: boolean): Parameters<typeof call<typeof me>>[1] =>
    async ({ person, db }) => {
      const { accountId, deviceId } = own(person);
      await setLeaving(db, accountId, leaves);
      return meOf(deps, accountId, deviceId);
    };
  return [
    call(
      { ...account, id: 'deleteMe', method: 'delete', path: '/me', summary: 'Have one’s account deleted in a fortnight' },
      leaving(true),
    ),
    call({ ...account, id: 'keepMe', method: 'post', path: '/me/stay', summary: 'Keep one’s account after all' }, leaving(false)),
  ];
}
