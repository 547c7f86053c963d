/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { FakeHouse, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { SongsToOpen } from './SongsToOpen.tsx';

let house: FakeHouse;
beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
});
afterEach(cleanup);

const open = () => openRoom(house, '/', [{ index: true, Component: () => <SongsToOpen room="analyze" /> }]);
const chart = (title: string) => `title: ${title}\nkey: G\n\n1 4 5 1\n`;

test('the songs of the set come first, each once, and lead to the room', async () => {
  const songs = ['Harbor Wall', 'Kelp Ladder', 'Low Tide'].map((title) => house.addSong(chart(title)));
  house.sets = [setOf('Friday', [songs[2], songs[0]] as never)];
  open();
  await screen.findByRole('link', { name: /Kelp/ });
  const names = () => screen.getAllByRole('link').map((link) => link.querySelector('b')?.textContent);
  await waitFor(() => expect(names()).toEqual(['Low Tide', 'Harbor Wall', 'Kelp Ladder']));
  const links = screen.getAllByRole('link');
  expect(links[0]?.getAttribute('href')).toContain(`/songs/${songs[2]?.id}/analyze`);
});

test('no more than six are offered', async () => {
  for (let at = 0; at < 9; at += 1) house.addSong(chart(`Song ${at}`));
  open();
  expect(await screen.findAllByRole('link')).toHaveLength(6);
});

test('a band without songs is offered none', async () => {
  open();
  await new Promise((resolve) => setTimeout(resolve, 50));
  expect(screen.queryByRole('region')).toBeNull();
});
