/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, playerOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { useNeck } from '../../parts/neck/neck-store.ts';
import { setKey, useLensStore } from '../../session/lens-store.ts';
import { NeckRoom } from './NeckRoom.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  house.members = [playerOf('Tam', 'guitar')];
  setKey(null);
  useNeck.setState({ family: null, inversion: null, without: [] });
});
afterEach(cleanup);

const ROUTES = [
  { path: 'neck', Component: NeckRoom },
  { path: 'songs/:songId/neck', Component: NeckRoom },
];
async function open(search: string, part?: string) {
  const opened = openRoom(house, `/neck${search}`, ROUTES);
  await screen.findByRole('tab', { name: 'Shapes' });
  if (part !== undefined) await user.click(screen.getByRole('tab', { name: part }));
  return opened;
}
const shape = async () => (await screen.findByTestId('shape')).textContent;
const fill = (label: string | RegExp, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const selection = () => useLensStore.getState().selection;

describe('shapes', () => {
  test('the barre of F: fingers with reasons, an easier version, colours, and what a ringing string makes of it', async () => {
    await open('?key=C');
    await shape();
    fill('Any other chord', 'F');
    const asked = within(screen.getByRole('group', { name: 'What is asked for first' }));
    await user.click(await asked.findByRole('button', { name: /^Barre/ }));
    expect(screen.queryByRole('group', { name: 'Family' })).toBeNull();
    await user.click(screen.getByRole('button', { name: 'More' }));
    await user.click(within(screen.getByRole('group', { name: 'Family' })).getByRole('button', { name: /Barre, root on 6/ }));
    await user.click(await screen.findByRole('button', { name: /^frets 1, 3, 3, 2, 1, 1,/ }));
    await waitFor(async () => expect(await shape()).toBe('133211'));
    const about = screen.getByRole('complementary', { name: 'About this shape' });
    expect(about.textContent).toContain('1 3 4 2 1 1');
    expect(about.textContent).toContain('thumb over the lowest string');
    await waitFor(() => expect(about.textContent).toMatch(/Fmaj7\s*xx3210/));
    expect(within(about).getByRole('button', { name: 'xx3211' })).toBeTruthy();
  });

  test('a chord that cannot be is answered; one with more notes than strings is found all the same', async () => {
    await open('?key=C');
    fill('Any other chord', 'H7');
    expect((await screen.findByRole('alert')).textContent).toContain('write B');
    fill('Any other chord', 'C13');
    await waitFor(() => expect(screen.queryByRole('alert')).toBeNull());
    expect(await shape()).toMatch(/^[x\d-]{6,}$/);
  });

  test('shapes without a root are shown when asked for', async () => {
    await open('?key=C');
    fill('Any other chord', 'G9');
    await user.click(screen.getByRole('button', { name: 'More' }));
    const all = async () =>
      Number(
        (await within(screen.getByRole('group', { name: 'Family' })).findByRole('button', { name: /^All/ })).textContent?.replace(
          /\D/g,
          '',
        ),
      );
    const before = await waitFor(async () => {
      const count = await all();
      expect(count).toBeGreaterThan(0);
      return count;
    });
    await user.click(screen.getByLabelText('rootless'));
    await waitFor(async () => expect(await all()).toBeGreaterThan(before));
  });
});

describe('the key along the neck', () => {
  const listed = (name: string | RegExp) => screen.findByRole('list', { name });

  test('open chords first, with easier ones and what there is none of', async () => {
    await open('?key=G', 'Key');
    const chords = await listed('G: open');
    await waitFor(() => expect(within(chords).getAllByRole('listitem')).toHaveLength(7));
    expect(within(chords).getByRole('button', { name: /easier 32000x/ })).toBeTruthy();
    expect(chords.textContent).toContain('no open chord: the usual grip');
    expect(within(chords).getByRole('button', { name: /easier xx4432/ })).toBeTruthy();
  });

  test('every family up the neck, in one position, and on one root tone by tone', async () => {
    await open('?key=G', 'Key');
    await listed('G: open');
    await user.selectOptions(screen.getByLabelText('Family'), 'drop-2');
    await user.click(screen.getByRole('radio', { name: 'One root, tone by tone' }));
    await waitFor(async () => expect(within(await listed('G: drop-2')).getAllByRole('listitem')).toHaveLength(5));
    expect(screen.getByText(/^to G7: Strings 6 5 3 stay, string 4 down 1 fret/)).toBeTruthy();
    await user.click(screen.getByRole('radio', { name: 'Up the neck' }));
    await user.selectOptions(screen.getByLabelText('Family'), 'triad');
    await waitFor(() => expect(screen.getByText(/^to Am:/)).toBeTruthy());
    await user.click(screen.getByRole('radio', { name: 'In one position' }));
    fill('First fret', '7');
    await waitFor(async () => expect(within(await listed(/^G: triads/)).getAllByRole('listitem').length).toBeGreaterThanOrEqual(7));
  });
});

describe('a path through chords', () => {
  const path = () => screen.findByRole('list', { name: 'The path' });
  const total = () => screen.getByText(/^movement in all:/).textContent;

  test('one shape a chord; a kept one and a note on top change it, and are let go again', async () => {
    const song = house.addSong('title: Harbor Wall\nkey: D\n\n1 4 6- 5\n');
    openRoom(house, `/songs/${song.id}/neck`, ROUTES);
    await user.click(await screen.findByRole('tab', { name: 'Path' }));
    await waitFor(async () => expect((await path()).textContent).toContain('bar 1'));
    const before = await waitFor(() => total());
    const others = within(await screen.findByRole('region', { name: 'This chord' })).getAllByRole('button', { name: /^frets/ });
    await user.click(others[0] as HTMLElement);
    await waitFor(async () => expect((await path()).textContent).toContain('bar 1, kept'));
    await user.click(screen.getByRole('button', { name: 'Let it go' }));
    await waitFor(() => expect(total()).toBe(before));
  });

  test('limits nothing fits say so; chords may be typed, and what cannot be read is told', async () => {
    await open('?key=C', 'Path');
    fill('Chords for the path', '2-7 57 1maj7');
    await waitFor(async () => expect(within(await path()).getAllByRole('listitem')).toHaveLength(3));
    fill('Highest fret', '0');
    await waitFor(async () => expect((await path()).textContent).toContain('nothing fits'));
    fill('Highest fret', '9');
    fill('Chords for the path', '2-7 z9');
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('alert')
          .map(({ textContent }) => textContent)
          .join(),
      ).toContain('z9'),
    );
  });
});

describe('runs', () => {
  test('scale and arpeggios as tab', async () => {
    await open('?key=G', 'Runs');
    expect(await screen.findByRole('img', { name: 'G major, as tab' })).toBeTruthy();
    await user.click(screen.getByRole('radio', { name: 'Arpeggios' }));
    expect(await screen.findByRole('img', { name: 'G: sevenths, note by note, as tab' })).toBeTruthy();
  });
});

describe('the chord that is shown', () => {
  test('keeps its place when the key changes; typed letters are let go', async () => {
    await open('?key=C');
    await user.click(await screen.findByRole('button', { name: /^A minor$/ }));
    await waitFor(() => expect(selection()?.chord).toMatchObject({ root: 3 }));
    setKey({ tonic: -5, scale: 'major' });
    await waitFor(() => expect(selection()?.chord).toMatchObject({ root: -2 }));
  });
});

describe('the instrument', () => {
  test('frets and tuning that cannot be are answered in place', async () => {
    await open('?key=C', 'Instrument');
    fireEvent.change(await screen.findByLabelText('Open strings, lowest first'), { target: { value: 'E1' } });
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('alert')
          .map(({ textContent }) => textContent)
          .join(),
      ).toContain('one string'),
    );
    fireEvent.change(screen.getByRole('spinbutton', { name: 'Frets' }), { target: { value: '40' } });
    await waitFor(() =>
      expect(
        screen
          .getAllByRole('alert')
          .map(({ textContent }) => textContent)
          .join(),
      ).toContain('12 to 24'),
    );
  });
});
