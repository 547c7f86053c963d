/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { FakeHouse, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import SendSheet from './SendSheet.tsx';

let house: FakeHouse;
let made: { readonly until: string }[];

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  made = [];
  house.on('POST', /.*\/sent/, ({ body }) => {
    made.push(body as { until: string });
    const expiresAt = made.at(-1)?.until === 'evening' ? '2026-12-03T12:00:00.000Z' : null;
    return { id: `link-${made.length}`, token: `token-${made.length}`, expiresAt };
  });
  house.on('DELETE', /.*\/sent\/.*/, () => ({ gone: true }));
});
afterEach(cleanup);

const open = () =>
  openRoom(house, '/', [
    {
      index: true,
      Component: () => <SendSheet name="Harbor Wall" sent={{ what: 'song', songId: 's', key: 'F' }} onClose={() => undefined} />,
    },
  ]);
const link = () => screen.findByRole<HTMLInputElement>('textbox', { name: 'Link to Harbor Wall' });

test('a link for the evening is there at once, with its code', async () => {
  open();
  expect((await link()).value).toContain('/read#token-1');
  expect(screen.getByTitle('Link to Harbor Wall')).toBeTruthy();
  expect(made).toEqual([{ what: 'song', songId: 's', key: 'F', until: 'evening' }]);
});

test('one that opens until it is taken back takes the place of the first', async () => {
  open();
  await link();
  await user.click(screen.getByRole('radio', { name: 'Until taken back' }));
  await waitFor(async () => expect((await link()).value).toContain('token-2'));
  expect(screen.getByText(/until it is taken back/)).toBeTruthy();
  await waitFor(() =>
    expect(house.asked.filter(({ method }) => method === 'DELETE').map(({ path }) => path.split('/').at(-1))).toEqual(['link-1']),
  );
});

test('without the server it says why, and tries again', async () => {
  house.on('POST', /.*\/sent/, () =>
    made.length === 0 && made.push({ until: '' }) ? new Refusal(503, 'Away.') : { id: 'a', token: 'late', expiresAt: null },
  );
  open();
  expect((await screen.findByRole('alert')).textContent).toContain('Away.');
  await user.click(screen.getByRole('button', { name: 'Try again' }));
  expect((await link()).value).toContain('late');
});
