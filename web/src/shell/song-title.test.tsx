/** @jest-environment jsdom */
import '../../test/dom.ts';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { FakeHouse } from '../../test/fake-house.ts';
import { openRoom } from '../../test/open-room.tsx';
import { user } from '../../test/user.ts';
import { SongTitle } from './SongTitle.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
});
afterEach(cleanup);

function open(source: string) {
  const { id } = house.addSong(source);
  openRoom(house, `/songs/${id}/chart`, [{ path: 'songs/:songId/chart', Component: () => <SongTitle songId={id} name="1 4 5" /> }]);
}
const kept = (text: string) => waitFor(() => expect(house.songs[0]?.source).toBe(text), { timeout: 20_000 });
const field = () => screen.queryByRole('textbox', { name: 'Name the song (F2)' });

test('a title is pressed, typed over and kept with Enter', async () => {
  open('title: Rope\nkey: G\n\n1 4\n');
  await user.click(await screen.findByRole('button', { name: 'Rope: name the song' }));
  await user.keyboard('Rope Walk{Enter}');
  await kept('title: Rope Walk\nkey: G\n\n1 4\n');
  await screen.findByRole('button', { name: 'Rope Walk: name the song' });
});

test('F2 opens it, Esc leaves it as it was, leaving it keeps it', async () => {
  open('title: Rope\nkey: G\n\n1 4\n');
  const button = await screen.findByRole('button', { name: 'Rope: name the song' });
  await user.keyboard('{F2}');
  await user.keyboard('Other{Escape}');
  expect(field()).toBeNull();
  await user.keyboard('{F2}');
  await user.keyboard('Kelp');
  await user.click(document.body);
  await kept('title: Kelp\nkey: G\n\n1 4\n');
  expect(button.isConnected).toBe(false);
});

test('without a title it is called by its first bars and says that it can be named', async () => {
  open('key: G\n\n1 4 5\n');
  const button = await screen.findByRole('button', { name: '1 4 5: name the song' });
  expect(button.textContent).toBe('1 4 5 name it');
  await user.click(button);
  await user.keyboard('Tide{Enter}');
  await kept('title: Tide\nkey: G\n\n1 4 5\n');
});

test('a guest reads it', async () => {
  house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'guest' as const })) };
  open('title: Rope\nkey: G\n\n1 4\n');
  await screen.findByText('1 4 5');
  expect(screen.queryByRole('button')).toBeNull();
});
