/** @jest-environment jsdom */
import '../../../test/dom.ts';
import type { SentChart } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor } from '@testing-library/react';
import { FakeHouse, Refusal, setOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { setReader } from '../../session/lens-store.ts';
import { SentPage } from './SentPage.tsx';
import { useSentReading } from './sent-reading.ts';

const HARBOR = 'title: Harbor Wall\nkey: D\ntempo: 92\n\n[Verse]\n1 5/7 6-7 4\n';
let house: FakeHouse;

beforeEach(() => {
  localStorage.clear();
  house = new FakeHouse();
  useSentReading.setState({ readerId: null, part: 'chart' });
  setReader(null);
});
afterEach(cleanup);

const sent = (over: Partial<SentChart> = {}): SentChart => ({
  band: 'The Weirlamp Seven',
  bandId: 'another',
  madeBy: 'Tam',
  expiresAt: '2026-12-31T12:00:00.000Z',
  key: null,
  song: null,
  set: null,
  ...over,
});

/** Opens a link as somebody the house does not know. */
function openLink(chart: SentChart | Refusal, isMember = false): void {
  if (!isMember) house.me = { ...house.me, person: null, bands: [] };
  house.on('POST', /^\/sent\/look$/, () => chart);
  openRoom(house, '/read#abcdefghijklmnopqrstuvwxyz', [
    { path: 'read', Component: SentPage },
    { path: 'songs/:songId/chart', Component: () => <p>the band’s chart</p> },
    { path: 'band/stand', Component: () => <p>the band’s stand</p> },
  ]);
}
const letters = async () => {
  await waitFor(() => expect(document.querySelectorAll('[data-line]').length).toBeGreaterThan(0));
  return document.querySelector('main')?.textContent ?? '';
};

describe('somebody without an account', () => {
  test.each([
    ['Concert', 'D'],
    ['B♭', 'E'],
    ['E♭', 'B'],
  ])('who says %s reads in the key of %s', async (way, key) => {
    openLink(sent({ song: house.addSong(HARBOR) }));
    await screen.findByText('Tam of The Weirlamp Seven sends you this.');
    await user.click(await screen.findByRole('button', { name: new RegExp(`^${way}`) }));
    await letters();
    expect(screen.getByTestId('stand-key').textContent).toMatch(new RegExp(`^${key}`));
    expect(screen.queryByRole('link', { name: /off the stand/i })).toBeNull();
  });

  test('with a capo reads shapes, and what sounds beside them', async () => {
    openLink(sent({ song: house.addSong(HARBOR) }));
    await user.selectOptions(await screen.findByRole('combobox'), 'capo 2');
    await letters();
    expect(screen.getByTestId('stand-key').textContent).toContain('C');
    expect(screen.getByTestId('stand-key').textContent).toContain('D');
  });

  test('on bass reads roots and the notes under a slash', async () => {
    openLink(sent({ song: house.addSong(HARBOR) }));
    await user.click(await screen.findByRole('button', { name: /^Bass/ }));
    const text = await letters();
    expect(text).toContain('C♯');
    expect(text).not.toContain('Bm7');
  });

  test('the song comes in the key it was sent in', async () => {
    openLink(sent({ song: house.addSong(HARBOR), key: 'F' }));
    await user.click(await screen.findByRole('button', { name: /^Concert/ }));
    await letters();
    await waitFor(() => expect(screen.getByTestId('stand-key').textContent).toMatch(/^F/));
  });

  test('is asked once, and asked again when they wish', async () => {
    useSentReading.setState({ readerId: 'Bb', part: 'chart' });
    openLink(sent({ song: house.addSong(HARBOR) }));
    await letters();
    await user.click(screen.getByRole('button', { name: 'Read as: B♭' }));
    expect(await screen.findByRole('heading', { name: 'How do you read?' })).toBeTruthy();
  });

  test('a set goes from song to song, each in its key of the evening', async () => {
    const songs = [house.addSong(HARBOR), house.addSong('title: Kelp Ladder\nkey: G\n\n1 4 5 1\n')];
    const set = setOf('Friday', songs);
    const entries = set.entries.map((entry, at) => (entry.kind === 'song' && at === 1 ? { ...entry, key: 'A' } : entry));
    openLink(sent({ set: { ...set, entries } }));
    await user.click(await screen.findByRole('button', { name: /^Concert/ }));
    await screen.findByRole('heading', { name: 'Harbor Wall' });
    await user.click(screen.getByRole('button', { name: 'The next song' }));
    await screen.findByRole('heading', { name: 'Kelp Ladder' });
    await waitFor(() => expect(screen.getByTestId('stand-key').textContent).toMatch(/^A/));
  });
});

describe('somebody of the band', () => {
  test('reads the song where it is', async () => {
    openLink(sent({ song: house.addSong(HARBOR), bandId: house.me.bands[0]?.id ?? '' }), true);
    expect(await screen.findByText('the band’s chart')).toBeTruthy();
  });

  test('reads the set on the band’s stand', async () => {
    openLink(sent({ set: setOf('Friday', []), bandId: house.me.bands[0]?.id ?? '' }), true);
    expect(await screen.findByText('the band’s stand')).toBeTruthy();
  });
});

test('a link that was taken back says so', async () => {
  openLink(new Refusal(404, 'This link is taken back.'));
  expect((await screen.findByRole('alert')).textContent).toBe('This link is taken back.');
});
