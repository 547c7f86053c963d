/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { BeginRoom } from './BeginRoom.tsx';

let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
});
afterEach(cleanup);

async function open() {
  openRoom(house, '/begin', [{ path: 'begin', Component: BeginRoom }]);
  await screen.findByRole('heading', { name: 'What did you just play?' });
}
const bars = () =>
  within(screen.getByRole('region', { name: 'What you played' }))
    .getAllByRole('listitem')
    .slice(0, -1)
    .map((bar) => [...bar.querySelectorAll('[aria-hidden]')].map(({ textContent }) => textContent).join(' '));
const ridge = () => screen.queryByRole('img', { name: /^Its ridge/ });
const choose = (name: string) => user.selectOptions(screen.getByRole('combobox', { name: 'Tonic' }), name);

describe('the first minute', () => {
  test('every key shows its letters at once; what is pressed or typed stands as a bar, and can be taken back', async () => {
    await open();
    await choose('G');
    expect(screen.getByRole('button', { name: '6 minor, play it' }).textContent).toContain('Em');
    await user.click(screen.getByRole('button', { name: '1, play it' }));
    expect([bars(), ridge()]).toEqual([['1 G'], null]);
    await user.keyboard('6');
    expect(bars()).toEqual(['1 G', '6– Em']);
    expect(ridge()).not.toBeNull();
    await user.keyboard('{Backspace}');
    expect(bars()).toEqual(['1 G']);
    await user.click(screen.getByRole('button', { name: 'Undo the last chord' }));
    expect(screen.queryByRole('region', { name: 'What you played' })).toBeNull();
  });

  test('another key moves the letters and not the numbers', async () => {
    await open();
    await user.keyboard('164');
    await choose('G');
    expect(bars()).toEqual(['1 G', '6– Em', '4 C']);
    await user.click(screen.getByRole('button', { name: 'A half step down' }));
    expect(bars()).toEqual(['1 F♯', '6– D♯m', '4 B']);
    await user.click(screen.getByRole('button', { name: 'A half step up' }));
    expect(bars()).toEqual(['1 G', '6– Em', '4 C']);
  });

  test('in minor, with a ♭7 and its 5⁷, named, is saved as it was played', async () => {
    await open();
    await choose('E');
    await user.click(screen.getByRole('radio', { name: 'minor' }));
    await user.type(screen.getByRole('textbox', { name: 'Title' }), 'Rope Walk');
    await user.click(screen.getByRole('button', { name: '1 minor, play it' }));
    await user.click(screen.getByRole('button', { name: 'flat 7, play it' }));
    await user.click(screen.getByRole('button', { name: 'More chords' }));
    await user.click(screen.getByRole('button', { name: '5 7, play it' }));
    expect(bars()).toEqual(['1– Em', '♭7 D', '57 B7']);
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await screen.findByRole('heading', { name: 'Rope Walk is on the shelf' });
    expect(house.songs.map(({ source }) => source)).toEqual(['title: Rope Walk\nkey: Em\n\n1- b7 57\n']);
    const [song] = house.songs;
    expect(screen.getByRole('link', { name: 'Keep writing' }).getAttribute('href')).toBe(`/songs/${song?.id}/chart`);
    expect(screen.getByRole('link', { name: 'On the stand' }).getAttribute('href')).toBe(`/songs/${song?.id}/stand`);
  });

  test('one chord is enough to hear and to save; without a title the song is called by its bars', async () => {
    await open();
    expect(screen.queryByRole('button', { name: 'Save' })).toBeNull();
    await user.keyboard('1');
    expect(screen.getByRole('button', { name: 'Hear' })).toBeTruthy();
    await user.click(screen.getByRole('button', { name: 'Save' }));
    await waitFor(() => expect(house.songs.map(({ source }) => source)).toEqual(['key: C\n\n1\n']));
  });
});
