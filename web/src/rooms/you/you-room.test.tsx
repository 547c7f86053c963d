/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { YouRoom } from './YouRoom.tsx';

let house: FakeHouse;
const DEVICES = [
  { id: 'one', name: 'Laptop', madeAt: '2026-01-01T00:00:00Z', seenAt: '2026-01-05T00:00:00Z', isThis: true },
  { id: 'two', name: 'Phone', madeAt: '2026-01-02T00:00:00Z', seenAt: '2026-01-04T00:00:00Z', isThis: false },
];

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  let devices = DEVICES;
  house.on('GET', /\/me\/devices/, () => ({ devices }));
  house.on('DELETE', /\/me\/devices\/([^/]+)/, (_, [id]) => {
    devices = devices.filter((device) => device.id !== id);
    return { gone: true };
  });
  house.on('POST', /\/me\/devices/, () => ({ token: 'x'.repeat(32), expiresAt: '2026-02-01T00:00:00Z' }));
  house.on('PATCH', /\/me/, ({ body }) => {
    const { name, email } = body as { name?: string; email?: string | null };
    const person = house.me.person as NonNullable<typeof house.me.person>;
    house.me = { ...house.me, person: { ...person, name: name ?? person.name, email: email === null ? null : person.email } };
    return house.me;
  });
  house.on('DELETE', /\/me/, () => leaving('2026-03-01T00:00:00Z'));
  house.on('POST', /\/me\/stay/, () => leaving(null));
});
afterEach(cleanup);

function leaving(leavesAt: string | null) {
  const person = house.me.person as NonNullable<typeof house.me.person>;
  house.me = { ...house.me, person: { ...person, leavesAt } };
  return house.me;
}

const open = () => openRoom(house, '/you', [{ path: 'you', Component: YouRoom }]);

describe('oneself', () => {
  test('a name is kept when the field is left; an empty one is not', async () => {
    open();
    const name = await screen.findByLabelText('Your name', { selector: 'input' });
    await user.clear(name);
    await user.type(name, 'Tamsin{Enter}');
    await waitFor(() => expect(house.me.person?.name).toBe('Tamsin'));
    await user.clear(name);
    await user.keyboard('{Enter}');
    expect(house.all('PATCH', /\/me/)).toHaveLength(1);
  });

  test('an address is asked to be confirmed by mail, and stays unknown until then', async () => {
    open();
    const mail = await screen.findByRole('textbox', { name: 'E-mail address' });
    await user.type(mail, 'tam@band.example');
    await user.click(screen.getByRole('button', { name: 'Keep this address' }));
    await waitFor(() => expect(house.all('PATCH', /\/me/).at(-1)?.body).toEqual({ email: 'tam@band.example' }));
    expect(house.me.person?.email).toBeNull();
  });

  test('devices are listed with this one marked; another is signed out, a further one added by a link', async () => {
    open();
    const list = within(await screen.findByRole('list', { name: 'Devices' }));
    expect(await list.findAllByRole('listitem')).toHaveLength(2);
    expect(list.getByText('this device').closest('li')?.textContent).toContain('Laptop');
    await user.click(list.getByRole('button', { name: /Phone/ }));
    await waitFor(() => expect(list.getAllByRole('listitem')).toHaveLength(1));
    await user.click(screen.getByRole('button', { name: 'Add a device' }));
    const link = (await screen.findByRole('textbox', { name: 'Add a device' })) as HTMLInputElement;
    expect(link.value).toMatch(/\/open#x{32}$/);
  });

  test('leaving is asked once more, takes a fortnight, and may be thought better of', async () => {
    open();
    await user.click(await screen.findByRole('button', { name: 'Delete your account' }));
    await user.click(within(await screen.findByRole('alertdialog')).getByRole('button', { name: 'Delete' }));
    await user.click(await screen.findByRole('button', { name: 'Keep my account' }));
    await waitFor(() => expect(house.me.person?.leavesAt).toBeNull());
    expect(await screen.findByRole('button', { name: 'Delete your account' })).toBeTruthy();
  });

  test('what the server refuses leaves everything as it was', async () => {
    house.on('DELETE', /\/me\/devices\/.*/, () => new Refusal(503, 'The database is away for a moment.'));
    open();
    const list = within(await screen.findByRole('list', { name: 'Devices' }));
    await user.click(await list.findByRole('button', { name: /Phone/ }));
    await waitFor(() => expect(house.all('DELETE', /devices/)).toHaveLength(1));
    expect(list.getAllByRole('listitem')).toHaveLength(2);
  });
});

describe('the demo', () => {
  test('one can be any of its players', async () => {
    house.me = { ...house.me, demo: [{ memberId: 'juno', name: 'Juno', plays: 'second guitar' }] };
    house.on('POST', /\/demo\/player/, () => house.me);
    open();
    await user.click(await screen.findByRole('button', { name: /^Juno/ }));
    await waitFor(() => expect(house.all('POST', /demo/).at(-1)?.body).toEqual({ memberId: 'juno' }));
  });
});
