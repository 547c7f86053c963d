/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { SetStand } from './SetStand.tsx';
import { StandRoom } from './StandRoom.tsx';

const HARBOR =
  'title: Harbor Wall\nkey: D\ntempo: 92\nform: Intro, Verse x2, Chorus\n\n[Intro]\n1 4\n\n[Verse]\n1 5 6- 4\n\n[Chorus]\n4 5 1 1\n';
const KELP = 'title: Kelp Ladder\nkey: Em\ntempo: 60\n\n[Verse]\n1- b7 b6 5\n';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar'), playerOf('Juno', 'second guitar')];
  useTonight.setState({ setId: null });
});
afterEach(cleanup);

const ROUTES = [
  { path: 'songs/:songId/stand', Component: StandRoom },
  { path: 'songs/:songId/chart', Component: () => <p>the chart</p> },
  { path: 'band/stand', Component: SetStand },
  { path: 'band/:part?', Component: () => <p>the band</p> },
];
const openSong = (source: string) => openRoom(house, `/songs/${house.addSong(source).id}/stand`, ROUTES);
const heading = (name: string) => screen.findByRole('heading', { name });
const turning = async (way: string) => {
  await user.click(screen.getByRole('button', { name: 'How it turns' }));
  await user.click(await screen.findByRole('radio', { name: way }));
};
const here = () => document.querySelector('[aria-current="step"]')?.textContent ?? '';

describe('a song on the stand', () => {
  test('has its title, its key, its sections, and the numbers and letters of every bar', async () => {
    openSong(HARBOR);
    await heading('Harbor Wall');
    await waitFor(() => expect(document.querySelectorAll('[data-line]').length).toBeGreaterThan(0));
    const text = document.body.textContent ?? '';
    for (const part of ['Intro', 'Verse', 'Chorus', '92']) expect(text).toContain(part);
  });

  test('line by line: the pedal goes on and back, held it goes to the next section', async () => {
    openSong(HARBOR);
    await heading('Harbor Wall');
    await turning('Line by line');
    await waitFor(() => expect(here()).toContain('Intro'));
    fireEvent.keyDown(window, { key: 'PageDown' });
    fireEvent.keyUp(window, { key: 'PageDown' });
    await waitFor(() => expect(here()).toContain('Verse'));
    fireEvent.keyDown(window, { key: 'PageDown' });
    fireEvent.keyDown(window, { key: 'PageDown', repeat: true });
    fireEvent.keyUp(window, { key: 'PageDown' });
    await waitFor(() => expect(here()).toContain('Chorus'));
    fireEvent.keyDown(window, { key: 'PageUp' });
    fireEvent.keyUp(window, { key: 'PageUp' });
    await waitFor(() => expect(here()).not.toContain('Chorus'));
  });

  test('played out, a section comes as often as it is played', async () => {
    openSong(HARBOR);
    await heading('Harbor Wall');
    const verses = () =>
      [...document.querySelectorAll('main > [aria-hidden] h2, [aria-hidden] h2')].filter(({ textContent }) =>
        textContent?.includes('Verse'),
      ).length;
    const before = verses();
    await turning('Repeats written out');
    await waitFor(() => expect(verses()).toBeGreaterThan(before));
  });

  test('another key is tonight’s where there is an evening with the song in it', async () => {
    const song = house.addSong(HARBOR);
    house.sets = [setOf('Quay night', [song])];
    openRoom(house, `/songs/${song.id}/stand`, ROUTES);
    await heading('Harbor Wall');
    await user.click(await screen.findByRole('button', { name: 'Key up a half step' }));
    expect((await screen.findByRole('status')).textContent).toContain('E♭');
    await waitFor(() => expect(house.sets[0]?.entries[0]).toMatchObject({ key: 'Eb' }));
    expect(house.songs[0]?.source).toContain('key: D');
  });

  test('a song without bars says so, and Escape leads back to its chart', async () => {
    openSong('title: Empty\nkey: C\n');
    expect(await screen.findByText(/^Nothing is written in this song yet\./)).toBeTruthy();
    await user.keyboard('{Escape}');
    expect(await screen.findByText('the chart')).toBeTruthy();
  });

  test('is dark whatever the other rooms are, light by its own switch, and remembers it', async () => {
    const theme = () => document.documentElement.dataset.theme;
    openSong(HARBOR);
    await heading('Harbor Wall');
    expect(theme()).toBe('night');
    await turning('Light');
    await waitFor(() => expect(theme()).toBe('paper'));
    expect(localStorage.getItem('aurora-stand')).toContain('"theme":"paper"');
    await turning('Dark');
    await waitFor(() => expect(theme()).toBe('night'));
  });

  test('one that is not there says what to do', async () => {
    openRoom(house, '/songs/00000000-0000-4000-8000-999999999999/stand', ROUTES);
    house.on('GET', /.*\/songs\/00000000-0000-4000-8000-999999999999/, () => Promise.reject(new TypeError('gone')));
    expect(await screen.findByText(/does not answer|cannot be opened|not there/i)).toBeTruthy();
  });
});

describe('an evening on the stand', () => {
  const evening = () => {
    const [harbor, kelp] = [house.addSong(HARBOR), house.addSong(KELP)];
    const set = setOf('Quay night', [harbor, kelp]);
    house.sets = [
      { ...set, entries: set.entries.map((entry, index) => (index === 0 ? { ...entry, key: 'E', tempo: 120 } : entry)) } as typeof set,
    ];
    openRoom(house, '/band/stand', ROUTES);
  };

  test('begins with the first song in tonight’s key and tempo, and goes from song to song', async () => {
    evening();
    await heading('Harbor Wall');
    expect(document.body.textContent).toContain('120');
    await user.click(screen.getByRole('button', { name: 'The next song' }));
    await heading('Kelp Ladder');
    await user.click(screen.getByRole('button', { name: 'The song before' }));
    await heading('Harbor Wall');
  });

  test('what comes next is always in sight: title, key as it is read, and nothing after the last', async () => {
    evening();
    await heading('Harbor Wall');
    await waitFor(() => expect(screen.getByTestId('stand-next').textContent).toBe('NextKelp LadderEm'));
    await user.click(screen.getByRole('button', { name: 'The next song' }));
    await heading('Kelp Ladder');
    expect(screen.queryByTestId('stand-next')).toBeNull();
    expect(screen.getByTestId('stand-where').textContent).toContain('song 2 of 2');
  });

  test('the pedal leads over the end of a song into the next', async () => {
    evening();
    await heading('Harbor Wall');
    for (let turn = 0; turn < 12 && screen.queryByRole('heading', { name: 'Kelp Ladder' }) === null; turn += 1) {
      fireEvent.keyDown(window, { key: 'PageDown' });
      fireEvent.keyUp(window, { key: 'PageDown' });
      await waitFor(() => expect(screen.getAllByRole('heading').length).toBeGreaterThan(0));
    }
    await heading('Kelp Ladder');
  });

  test('Escape leads back to the band', async () => {
    evening();
    await heading('Harbor Wall');
    await user.keyboard('{Escape}');
    expect(await screen.findByText('the band')).toBeTruthy();
  });

  test('without a set it says where one is made', async () => {
    openRoom(house, '/band/stand', ROUTES);
    const main = await waitFor(() => {
      const text = document.body.textContent ?? '';
      expect(text.length).toBeGreaterThan(10);
      return within(document.body);
    });
    expect(main.queryByRole('heading', { name: 'Harbor Wall' })).toBeNull();
  });
});
