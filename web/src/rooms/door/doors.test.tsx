/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { FirstBandPage } from './FirstBandPage.tsx';
import { OpenLinkPage } from './OpenLinkPage.tsx';
import { Welcome } from './Welcome.tsx';

let house: FakeHouse;

beforeEach(() => {
  house = new FakeHouse();
  house.me = { ...house.me, person: null, bands: [] };
});
afterEach(cleanup);

describe('nobody is signed in', () => {
  test('a lost phone: a link is asked for by mail, and whoever asks is told nothing else', async () => {
    house.on('POST', /\/sign-in\/links/, () => ({ sent: true }));
    openRoom(house, '/welcome', [{ path: 'welcome', Component: Welcome }]);
    const form = within(await screen.findByRole('form', { name: 'Lost your phone?' }));
    await user.type(form.getByLabelText('E-mail address'), 'edda@band.example');
    await user.click(form.getByRole('button', { name: 'Send me a link' }));
    expect((await screen.findByRole('status')).textContent).toContain('on its way');
    expect(house.all('POST', /sign-in\/links/)[0]?.body).toEqual({ email: 'edda@band.example' });
  });
});

describe('links', () => {
  const TOKEN = 'z'.repeat(32);

  test('a used one says so, and what to do', async () => {
    house.on('POST', /\/sign-in\/links\/open/, () => new Refusal(404, 'This link is used up or too old. Have a new one made.'));
    window.location.hash = TOKEN;
    openRoom(house, `/open#${TOKEN}`, [{ path: 'open', Component: OpenLinkPage }]);
    await user.click(await screen.findByRole('button', { name: 'Open it' }));
    expect((await screen.findByRole('alert')).textContent).toContain('used up or too old');
  });

  test('the first band is named by whoever starts the house', async () => {
    house.on('POST', /\/begin/, () => new Refusal(404, 'This link is used up.'));
    openRoom(house, `/first#${TOKEN}`, [{ path: 'first', Component: FirstBandPage }]);
    await user.type(await screen.findByLabelText('Name of the band'), 'The Slack Water');
    await user.type(screen.getByLabelText('Your name'), 'Edda');
    await user.click(screen.getByRole('button', { name: 'Begin' }));
    await waitFor(() => expect(house.all('POST', /\/begin/)[0]?.body).toMatchObject({ band: 'The Slack Water', name: 'Edda' }));
    expect((await screen.findByRole('alert')).textContent).toContain('used up');
  });
});
