/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import type { Song } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { entryOf, FakeHouse, playerOf, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useTonight } from '../../session/tonight-store.ts';
import { BandRoom } from './BandRoom.tsx';

let house: FakeHouse;
let songs: readonly [Song, Song, Song];

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar'), playerOf('Juno', 'second guitar', { barres: 'none' })];
  songs = [
    house.addSong('title: Glasswater Orchard\nkey: Bb\ntempo: 120\n\n[A] x8\n1 4 5 1\n'),
    house.addSong('title: Low Tide Waltz\nkey: Eb\ntempo: 90\ntime: 3/4\n\n[A] x8\n1 4 5 1\n'),
    house.addSong('title: Emberwick Street\nkey: G\ntempo: 100\n\n[A] x8\n1 4 5 1\n'),
  ];
  useTonight.setState({ setId: null });
});
afterEach(cleanup);

const rows = () => [...document.querySelectorAll<HTMLElement>('[data-entry]')];
const stored = () => house.sets.find(({ name }) => name !== 'Another')?.entries ?? [];
async function open(taken: readonly Song[] = songs, over: Parameters<typeof setOf>[2] = {}) {
  house.sets = [setOf('Capo night', taken, over)];
  openRoom(house, '/band/tonight', [{ path: 'band/:part?', Component: BandRoom }]);
  await waitFor(() => expect(rows()).toHaveLength(over.entries?.length ?? taken.length));
}
const press = async (name: string | RegExp) => user.click(await screen.findByRole('button', { name }));
const fill = (label: string | RegExp, value: string) => {
  const field = screen.getByLabelText(label);
  fireEvent.change(field, { target: { value } });
  fireEvent.keyDown(field, { key: 'Enter' });
  fireEvent.blur(field);
};

describe('a set as a whole', () => {
  test('has a name, a place and a time, kept as they are written', async () => {
    await open();
    await press('Edit name, place and time');
    await screen.findByLabelText('Where');
    fill('Where', 'The Net Loft');
    await waitFor(() => expect(house.sets[0]?.place).toBe('The Net Loft'));
    expect(screen.getByTestId('set-length').textContent).toContain('The Net Loft');
  });

  test('is copied for the next evening, and stays as it is', async () => {
    await open([songs[2]], { place: 'The Net Loft' });
    await press('Edit name, place and time');
    await press('Copy the set');
    await waitFor(() => expect(house.sets).toHaveLength(2));
    expect(house.sets[0]).toMatchObject({ name: 'Capo night, copy', place: 'The Net Loft' });
    expect(house.sets[0]?.entries).toHaveLength(1);
  });

  test('is deleted when it was asked once more, and another one is not', async () => {
    house.sets = [setOf('Capo night', [songs[0]]), setOf('Another', [songs[1]])];
    openRoom(house, '/band/tonight', [{ path: 'band/:part?', Component: BandRoom }]);
    await press('Edit name, place and time');
    await press('Delete the set');
    expect(house.sets).toHaveLength(2);
    await user.click(within(await screen.findByRole('alertdialog')).getByRole('button', { name: 'Delete' }));
    await waitFor(() => expect(house.sets.map(({ name }) => name)).toEqual(['Another']));
  });

  test('a song is taken out, and comes back by undo where it was', async () => {
    await open();
    await user.click(rows()[1] as HTMLElement);
    await press('Remove Low Tide Waltz from the set');
    await waitFor(() => expect(rows()).toHaveLength(2));
    await press('Undo');
    await waitFor(() => expect(rows()[1]?.textContent).toContain('Low Tide Waltz'));
  });
});

describe('capos for the whole set', () => {
  test('are planned for a player, and said with how often the capo moves', async () => {
    await open();
    await press('Plan Juno’s capo');
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('status')
          .map(({ textContent }) => textContent)
          .join(' '),
      ).toMatch(/Juno:.*(stays where it is|moves? between songs)/),
    );
    await waitFor(() => expect(Object.keys((stored()[0] as { capos: object }).capos)).toEqual([house.members[1]?.id]));
    expect(rows()[0]?.textContent).toMatch(/Juno capo \d/);
  });
});

describe('what an evening needs', () => {
  test('a break stands in the order with its length, and counts', async () => {
    await open([songs[0]], {
      entries: [entryOf(songs[0]), { kind: 'break', id: 'tea', name: 'Tea', seconds: 900 }],
    });
    expect(rows()[1]?.textContent).toContain('Tea');
    expect(Number(/(\d+) minutes?/.exec(screen.getByTestId('set-length').textContent ?? '')?.[1])).toBeGreaterThanOrEqual(15);
  });

  test('three songs in one key are worth a word', async () => {
    const alike = ['One', 'Two', 'Three'].map((title) => house.addSong(`title: ${title}\nkey: G\ntempo: 100\n\n1 4 5 1\n`));
    await open(alike);
    expect((await screen.findByRole('list', { name: 'What to look out for' })).textContent).toMatch(/G/);
  });

  test('tonight’s key that cannot be read is answered in place, and changes nothing', async () => {
    await open([songs[0]]);
    await user.click(rows()[0] as HTMLElement);
    const field = await screen.findByLabelText('Type tonight’s key');
    fireEvent.change(field, { target: { value: 'H' } });
    fireEvent.submit(field.closest('form') ?? field);
    fireEvent.keyDown(field, { key: 'Enter' });
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('alert')
          .map(({ textContent }) => textContent)
          .join(' '),
      ).toContain('write B'),
    );
    expect(stored()[0]).toMatchObject({ key: null });
  });
});
