/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, Refusal, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { Home } from './Home.tsx';
import { Shelf } from './Shelf.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.addSong('title: Harbor Wall\nkey: D\ntempo: 92\n\n1 4 6- 5\n', { tags: ['slow'] });
  house.addSong('title: Kelp Ladder\nkey: Em\ntempo: 60\n\n1- b7 b6 5\n', { tags: ['slow', 'late'] });
  house.addSong('title: Northbound Gravel\nkey: A\ntempo: 138\n\n1 b7 4 1\n');
});
afterEach(cleanup);

const open = () =>
  openRoom(house, '/', [
    { index: true, Component: Shelf },
    { path: 'songs/:songId/chart', Component: () => <p>the chart</p> },
  ]);
const titles = () =>
  within(screen.getByRole('list', { name: 'Songs' }))
    .queryAllByRole('link')
    .map(
      (link) => ['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel'].find((title) => link.textContent?.includes(title)) ?? link.textContent,
    );
const shown = (expected: readonly string[]) => waitFor(() => expect(titles()).toEqual(expected));
async function choose(title: string, item: string): Promise<void> {
  await user.click(await screen.findByRole('button', { name: `More about ${title}` }));
  await user.click(await screen.findByRole('menuitem', { name: item }));
}

async function newSong(way: string): Promise<void> {
  await user.click(await screen.findByRole('button', { name: 'New song' }));
  await user.click(await screen.findByRole('menuitem', { name: new RegExp(`^${way}`) }));
}

describe('the shelf', () => {
  test('has the band’s songs, and fetching is not the same as having none', async () => {
    open();
    expect(screen.queryByText('No songs yet')).toBeNull();
    expect(await screen.findByRole('link', { name: /Harbor Wall/ })).toBeTruthy();
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
  });

  test('is found by words, narrowed by a tag, sorted, and whole again', async () => {
    open();
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    await user.type(screen.getByLabelText('Find a song'), 'kelp');
    await shown(['Kelp Ladder']);
    await user.clear(screen.getByLabelText('Find a song'));
    await user.click(await screen.findByRole('button', { name: /^slow/ }));
    await shown(['Harbor Wall', 'Kelp Ladder']);
    await user.selectOptions(screen.getByRole('combobox', { name: 'Sort' }), 'tempo');
    await shown(['Kelp Ladder', 'Harbor Wall']);
    await user.click(screen.getByRole('button', { name: /^slow/ }));
    await shown(['Kelp Ladder', 'Harbor Wall', 'Northbound Gravel']);
  });

  test('chords that go nowhere are told in place and asked of nobody; others find their songs', async () => {
    open();
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    await user.type(screen.getByLabelText('Find a song'), '1 1');
    expect((await screen.findByRole('status')).textContent).toContain('two chords or more');
    expect(house.all('GET', /pattern=1/)).toEqual([]);
    await user.clear(screen.getByLabelText('Find a song'));
    await user.type(screen.getByLabelText('Find a song'), '1 b7 4');
    await shown(['Northbound Gravel']);
  });

  test('a song is copied, tagged, put away and brought back', async () => {
    open();
    await choose('Harbor Wall', 'Duplicate');
    expect(await screen.findByRole('link', { name: /Harbor Wall \(copy\)/ })).toBeTruthy();
    await choose('Harbor Wall (copy)', 'Tags');
    const field = await screen.findByLabelText('Tags of Harbor Wall (copy)');
    await user.clear(field);
    await user.type(field, 'odd, late, odd{Enter}');
    await waitFor(() => expect(house.songs.at(-1)?.tags).toEqual(['odd', 'late']));
    await choose('Harbor Wall (copy)', 'Archive');
    await waitFor(() => expect(screen.queryByRole('link', { name: /copy/ })).toBeNull());
    await user.click(screen.getByRole('button', { name: 'Archived' }));
    expect(await screen.findByRole('link', { name: /Harbor Wall \(copy\)/ })).toBeTruthy();
    await choose('Harbor Wall (copy)', 'Restore');
    await waitFor(() => expect(house.songs.every(({ archived }) => !archived)).toBe(true));
  });

  test.each([
    ['Play it', '/begin'],
    ['Import', '/band/files'],
  ])('a new song is begun by “%s” as well', async (way, path) => {
    const { router } = open();
    await newSong(way);
    await waitFor(() => expect(router.state.location.pathname).toBe(path));
    expect(house.all('POST', /songs/)).toEqual([]);
  });

  test('a new song is opened once it is there', async () => {
    const { router } = open();
    await newSong('Write it');
    expect(await screen.findByText('the chart')).toBeTruthy();
    expect(router.state.location.pathname).toBe(`/songs/${house.songs.at(-1)?.id}/chart`);
  });

  test('a song that was begun and never written is gone on with, and not begun again', async () => {
    const press = async () => {
      open();
      await newSong('Write it');
      await screen.findByText('the chart');
      cleanup();
    };
    const before = house.songs.length;
    await press();
    await press();
    expect(house.songs).toHaveLength(before + 1);
    // once something stands in it, the next one is another
    const begun = house.songs.at(-1) as (typeof house.songs)[number];
    house.save(begun.id, { source: 'key: C\n\n1 4\n' });
    await press();
    expect(house.songs).toHaveLength(before + 2);
  });

  test('an empty shelf shows the first step, one of a filter says so', async () => {
    house.songs = [];
    open();
    expect(await screen.findByText('No songs yet')).toBeTruthy();
    await user.type(screen.getByLabelText('Find a song'), 'x');
    expect(await screen.findByText('No song here is like that.')).toBeTruthy();
  });

  test('the hint for newcomers is put away for good', async () => {
    open();
    await user.click(await screen.findByRole('button', { name: 'Hide this hint' }));
    expect(screen.queryByRole('note')).toBeNull();
    cleanup();
    open();
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    expect(screen.queryByRole('note')).toBeNull();
  });

  test('that cannot be reached says why, and is asked again', async () => {
    house.on('GET', /.*\/songs\?.*/, () => new Refusal(503, 'The database is away for a moment.'));
    open();
    expect(await screen.findByText('The database is away for a moment.')).toBeTruthy();
    house.on('GET', /.*\/songs\?.*/, () => ({ songs: [], next: null }));
    await user.click(screen.getByRole('button', { name: 'Try again' }));
    expect(await screen.findByText('No songs yet')).toBeTruthy();
  });

  test('a song is renamed on its row; the rest of its chart stays as it is', async () => {
    open();
    await choose('Harbor Wall', 'Rename');
    const field = await screen.findByRole('textbox', { name: 'Title' });
    await user.clear(field);
    await user.type(field, 'Harbour Lights{Enter}');
    await waitFor(() => expect(house.songs[0]?.source).toBe('title: Harbour Lights\nkey: D\ntempo: 92\n\n1 4 6- 5\n'));
    await choose('Kelp Ladder', 'Rename');
    await user.keyboard('x{Escape}');
    expect(screen.queryByRole('textbox', { name: 'Title' })).toBeNull();
    expect(house.songs[1]?.source).toContain('title: Kelp Ladder\n');
  });

  test('a guest finds nothing a guest may not do', async () => {
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role: 'guest' as const })) };
    open();
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    for (const name of [/^New song/, /^More about/]) expect(screen.queryByRole('button', { name })).toBeNull();
    expect(screen.queryByRole('link', { name: /Import/ })).toBeNull();
  });
});

describe('the way in', () => {
  const today = () => {
    const now = new Date();
    return `${now.getFullYear()}-${String(now.getMonth() + 1).padStart(2, '0')}-${String(now.getDate()).padStart(2, '0')}`;
  };
  const come = (role: 'leader' | 'member' | 'guest', date: string) => {
    house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, role })) };
    house.sets = [setOf('Quay night', house.songs, { date })];
    return openRoom(house, '/', [
      { index: true, Component: Home },
      { path: 'band/tonight', Component: () => <p>the evening</p> },
    ]);
  };

  test.each([
    ['a member', 'member', 'is on today', 'the evening'],
    ['a member', 'member', 'has no day', 'songs'],
    ['a guest', 'guest', 'is on today', 'the evening'],
    ['a guest', 'guest', 'has no day', 'the evening'],
    ['a leader', 'leader', 'is on today', 'songs'],
  ] as const)('of %s (%s) where a set %s leads to %s', async (_, role, when, wanted) => {
    come(role, when === 'is on today' ? today() : '');
    if (wanted === 'songs') await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
    else expect(await screen.findByText('the evening')).toBeTruthy();
  });

  test('leads to the songs where they are asked for later', async () => {
    const { router } = come('member', today());
    await screen.findByText('the evening');
    await router.navigate('/');
    await shown(['Harbor Wall', 'Kelp Ladder', 'Northbound Gravel']);
  });
});
