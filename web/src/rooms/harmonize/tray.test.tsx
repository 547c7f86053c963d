/** @jest-environment jsdom */
import '../../../test/dom.ts';
import { DEFAULT_NAMING, parseKey, requireValue } from '@aurora/core';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { FakeHouse, Refusal } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { NO_HISTORY } from '../../document/history.ts';
import { addBars, useProgression } from '../../document/progression-store.ts';
import { ProgressionTray } from './ProgressionTray.tsx';

const EB = requireValue(parseKey('Eb'));
let house: FakeHouse;

beforeEach(() => {
  house = new FakeHouse();
  useProgression.setState({ bars: [], history: NO_HISTORY });
});
afterEach(cleanup);

function open() {
  const Tray = () => <ProgressionTray sounding={EB} written={EB} naming={DEFAULT_NAMING} />;
  return openRoom(house, '/tray', [
    { path: 'tray', Component: Tray },
    { path: 'songs/:songId/chart', Component: () => <p>the chart</p> },
  ]);
}
const bars = () => within(screen.getByRole('list', { name: 'Bars' })).getAllByRole('listitem');
const isOff = (name: string | RegExp) => (screen.getByRole('button', { name }) as HTMLButtonElement).disabled;

describe('chords that are gathered', () => {
  test('with none there is a hint, and nothing to take back, hear or begin', async () => {
    open();
    await screen.findByRole('button', { name: 'Undo' });
    for (const name of ['Undo', 'Redo', /^Hear/, /^New song/]) expect(isOff(name)).toBe(true);
    expect(screen.queryByRole('list', { name: 'Bars' })).toBeNull();
  });

  test('stand as numbers with their letters in the key that is read', async () => {
    addBars(['2-7', '57', '1maj7', '(4 4-)']);
    open();
    await screen.findByRole('list', { name: 'Bars' });
    expect(bars().map(({ textContent }) => textContent)).toEqual([
      expect.stringContaining('Fm7'),
      expect.stringContaining('B♭7'),
      expect.stringContaining('E♭maj7'),
      expect.stringMatching(/A♭.*A♭m/),
    ]);
  });

  test('letters typed are those of the key; all of it is one step back', async () => {
    open();
    await user.type(await screen.findByLabelText('Chords as numbers or letters'), 'Eb | Cm Ab | Bb7{Enter}');
    await waitFor(() => expect(useProgression.getState().bars).toEqual(['1', '(6- 4)', '57']));
    await user.click(screen.getByRole('button', { name: 'Undo' }));
    expect(useProgression.getState().bars).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Redo' }));
    expect(bars()).toHaveLength(3);
  });

  test('a song that could not be begun leaves them as they are', async () => {
    house.on('POST', /.*\/songs/, () => new Refusal(507, 'There is no room on the disk.'));
    addBars(['1', '4']);
    open();
    await user.click(await screen.findByRole('button', { name: /^New song/ }));
    await waitFor(() => expect(house.all('POST', /songs/)).toHaveLength(1));
    expect(useProgression.getState().bars).toEqual(['1', '4']);
    house.on('POST', /.*\/songs/, ({ body }) => house.addSong((body as { source: string }).source));
    await user.click(screen.getByRole('button', { name: /^New song/ }));
    expect(await screen.findByText('the chart')).toBeTruthy();
    expect(house.songs[0]?.source).toMatch(/key: Eb[\s\S]*1 4\n$/);
  });
});
