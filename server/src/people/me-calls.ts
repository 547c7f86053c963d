import { devicesAnswer, gone, linkAnswer, me, meChange } from '@aurora/wire';
import { z } from 'zod';
import { type Call, call, fileCall } from '../call/call.ts';
import type { ContextOf } from '../context/context.ts';
import { takeToken } from '../context/session-cookie.ts';
import { idOf, notFound } from '../validate.ts';
import { changeAccount, listDevices, removeDevice, setLeaving } from './account-store.ts';
import { exportAccount } from './export-store.ts';
import { confirmEmail } from './link-mail.ts';
import { addLink } from './link-store.ts';
import { hashPassword } from './password.ts';
import { meOf, own, type PeopleDeps } from './people-deps.ts';

const DEVICE_LINK_MINUTES = 15;

/** `/me`: who one is on this device, one's devices, and what is kept about oneself. */
export function meCalls(deps: PeopleDeps): readonly Call[] {
  return [...ownCalls(deps), ...deviceCalls(deps), ...leavingCalls(deps)];
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
        const { accountId, name } = person;
        response
          .attachment(`${name.replaceAll(/[^\p{L}\p{N} -]/gu, '') || 'Me'}.json`)
          .type('application/json')
          .send(JSON.stringify(await exportAccount(house, accountId), null, 2));
      },
    ),
  ];
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

function leavingCalls(deps: PeopleDeps): readonly Call[] {
  const account = { access: 'account', tag: 'people', answer: me } as const;
  const leaving = async ({ person, db }: ContextOf<'account'>, leaves: boolean) => {
    const { accountId, deviceId } = own(person);
    await setLeaving(db, accountId, leaves);
    return meOf(deps, accountId, deviceId);
  };
  return [
    call({ ...account, id: 'deleteMe', method: 'delete', path: '/me', summary: 'Have one’s account deleted in a fortnight' }, (asked) =>
      leaving(asked, true),
    ),
    call({ ...account, id: 'keepMe', method: 'post', path: '/me/stay', summary: 'Keep one’s account after all' }, (asked) =>
      leaving(asked, false),
    ),
  ];
}
