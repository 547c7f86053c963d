/** @jest-environment jsdom */
import '../../test/dom.ts';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen, waitFor, within } from '@testing-library/react';
import { BAND_ID, FakeHouse, playerOf, Refusal, setOf, songOf } from '../../test/fake-house.ts';
import { openRoom } from '../../test/open-room.tsx';
import { user } from '../../test/user.ts';
import { WaitingLine } from './WaitingLine.tsx';

let house: FakeHouse;
const BASE = 'title: Harbor Wall\nkey: D\n\n[Verse]\n1 4\n\n[Chorus]\n4 5\n';
const MINE = BASE.replace('1 4', '1 5');
const AGO = 11 * 60_000;

beforeEach(() => {
  localStorage.clear();
  sessionStorage.clear();
  house = new FakeHouse();
  house.songs = [songOf(BASE), songOf('title: Kelp Ladder\nkey: Em\n1-\n')];
});
afterEach(cleanup);

const song = () => house.songs[0] as (typeof house.songs)[0];

/** Leaves a copy on the device, as a tab does that was closed without a network. */
function leave(
  kind: string,
  id: string,
  value: unknown,
  base: { value: unknown; revision: number; savedAt: string },
  band: string | null = BAND_ID,
) {
  const copy = { at: Date.now() - AGO, band, value, base, sent: [] };
  localStorage.setItem(`aurora-copy ${kind} ${id} gone`, JSON.stringify({ aurora: 2, value: copy }));
}

const leaveSong = (band: string | null = BAND_ID) =>
  leave('song', song().id, MINE, { value: BASE, revision: 1, savedAt: song().savedAt }, band);
const open = () => openRoom(house, '/', [{ path: '', Component: WaitingLine }]);
const line = () => screen.queryByRole('region', { name: 'What waits on this device' });
const stored = () => song().source;

describe('what waits on the device is sent without being opened', () => {
  test('a song, when the application opens; then nothing waits', async () => {
    leaveSong();
    open();
    await waitFor(() => expect(stored()).toBe(MINE));
    await waitFor(() => expect(line()).toBeNull());
    expect(Object.keys(localStorage).filter((name) => name.startsWith('aurora-copy'))).toEqual([]);
  });

  test('put together with what the others wrote elsewhere in it', async () => {
    leaveSong();
    house.songs = [{ ...song(), revision: 2, source: BASE.replace('4 5', '4 5 1') }, ...house.songs.slice(1)];
    open();
    await waitFor(() => expect(stored()).toBe(MINE.replace('4 5', '4 5 1')));
  });

  test('a set', async () => {
    const set = setOf('Quay night', [song()]);
    house.sets = [set];
    const { name, place, startsAt, date, gapSeconds, entries } = set;
    const body = { name, place, startsAt, date, gapSeconds, entries };
    leave('set', set.id, { ...body, name: 'Quay night, late' }, { value: body, revision: 1, savedAt: set.savedAt });
    open();
    await waitFor(() => expect(house.sets[0]?.name).toBe('Quay night, late'));
  });

  test('what was kept before bands were told too', async () => {
    leaveSong(null);
    open();
    await waitFor(() => expect(stored()).toBe(MINE));
  });

  test('nothing of another band is asked for here', async () => {
    leaveSong('00000000-0000-4000-8000-00000000ffff');
    open();
    await screen.findByText('1 change waits on this device:');
    expect(house.all('GET', /\/songs\//)).toEqual([]);
  });
});

test('what was practised without a network is sent with the application, in whatever room', async () => {
  const tam = playerOf('Tam', 'guitar');
  house.members = [tam];
  house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, memberId: tam.id })) };
  const pass = {
    id: '00000000-0000-4000-8000-0000000000aa',
    at: new Date().toISOString(),
    item: 'shapes/ladder/C major',
    outcome: 'clean',
    stage: '',
    tempo: null,
    answeredMs: null,
    said: '',
    hidden: false,
    seconds: 20,
    night: null,
  };
  localStorage.setItem(`aurora-pass:${BAND_ID}:${tam.id}:${pass.id}`, JSON.stringify({ aurora: 1, value: { thing: pass, refused: null } }));
  house.on('POST', /.*\/passes/, ({ body }) => ({ stored: (body as { passes: unknown[] }).passes.length, known: 0, remarks: [] }));
  open();
  await waitFor(() => expect(house.all('POST', /\/passes$/)).toHaveLength(1));
  await waitFor(() => expect(Object.keys(localStorage).filter((name) => name.startsWith('aurora-pass'))).toEqual([]));
});

describe('while it cannot be sent it is said', () => {
  test('how many, which they are, and where to look; it is sent when somebody says so', async () => {
    leaveSong();
    let isAway = true;
    house.on('PUT', /\/songs\//, ({ body }) => {
      if (isAway) return new Refusal(503, 'The database is away for a moment.');
      const saved = { ...song(), source: (body as { source: string }).source, revision: 2 };
      house.songs = [saved, ...house.songs.slice(1)];
      return saved;
    });
    open();
    expect(await screen.findByText('1 change waits on this device:')).toBeTruthy();
    const link = within(line() as HTMLElement).getByRole('link', { name: 'Harbor Wall' });
    expect(link.getAttribute('href')).toBe(`/songs/${song().id}/chart`);
    isAway = false;
    await user.click(await screen.findByRole('button', { name: 'Send now' }));
    await waitFor(() => expect(stored()).toBe(MINE));
  });

  test('what others changed too is never overwritten: it waits until somebody looks', async () => {
    leaveSong();
    const theirs = BASE.replace('1 4', '1 6-');
    house.songs = [{ ...song(), revision: 2, source: theirs }, ...house.songs.slice(1)];
    open();
    await screen.findByText('1 change waits on this device:');
    await screen.findByRole('button', { name: 'Send now' });
    expect(stored()).toBe(theirs);
    expect(Object.keys(localStorage).some((name) => name.startsWith(`aurora-copy song ${song().id}`))).toBe(true);
  });

  test('a song that is gone from the band is not asked for without end, and not forgotten', async () => {
    leave('song', '00000000-0000-4000-8000-00000000abcd', MINE, { value: BASE, revision: 1, savedAt: song().savedAt });
    open();
    await screen.findByText('1 change waits on this device:');
    await waitFor(() => expect(house.all('GET', /\/songs\//).length).toBe(1));
    expect(Object.keys(localStorage).filter((name) => name.startsWith('aurora-copy'))).toHaveLength(1);
  });
});
