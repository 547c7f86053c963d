/** @jest-environment jsdom */
import '../../test/dom.ts';
import { type Key, parseKey, printKey, requireValue } from '@aurora/core';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, screen } from '@testing-library/react';
import userEvent from '@testing-library/user-event';
import { FakeHouse, playerOf } from '../../test/fake-house.ts';
import { renderInBand } from '../../test/in-a-band.tsx';
import { openRoom } from '../../test/open-room.tsx';
import { useLensStore } from '../session/lens-store.ts';
import { type Opened, open } from '../session/opened.ts';
import { KeyLens } from './KeyLens.tsx';
import { ReaderLens } from './ReaderLens.tsx';

let close = () => undefined as unknown;
beforeEach(() => useLensStore.setState({ key: null, readerId: null, selection: null }));
afterEach(() => {
  cleanup();
  close();
});

const rehomed: [string, string][] = [];

/** Opens a song in a key, with music in it or not. */
function opened(key: string, isEmpty: boolean): void {
  rehomed.length = 0;
  const value: Opened = {
    home: requireValue(parseKey(key)),
    resting: null,
    capos: {},
    isEmpty,
    rehome: (to: Key, keeps) => void rehomed.push([printKey(to), keeps]),
  };
  close = open({ subscribe: () => () => undefined, get: () => value });
}

const role = () => screen.getByTestId('key-role').textContent;
const inForce = () => screen.getByTestId('key-in-force').textContent;

describe('the key lens', () => {
  test('with nothing open it is just a key, moved by half steps', async () => {
    const user = userEvent.setup();
    renderInBand(<KeyLens scaleIsFree />);
    expect([role(), inForce()]).toEqual(['Key', 'C']);
    await user.click(screen.getByRole('button', { name: 'Key up a half step' }));
    expect(inForce()).toMatch(/^[DC]/);
    await user.click(screen.getByRole('button', { name: 'Key down a half step' }));
    expect(inForce()).toBe('C');
  });

  test('over a song with music it says where home is and where it is seen, and goes back', async () => {
    opened('D', false);
    const user = userEvent.setup();
    renderInBand(<KeyLens scaleIsFree={false} />);
    expect([role(), inForce()]).toEqual(['Home key', 'D']);
    await user.click(screen.getByRole('button', { name: 'Key up a half step' }));
    expect([role(), inForce()]).toEqual(['home D', 'E♭']);
    expect(rehomed).toEqual([]);
    await user.click(screen.getByRole('button', { name: 'Back to the home key D' }));
    expect([role(), inForce()]).toEqual(['Home key', 'D']);
  });

  test('over an empty chart the key that is chosen is the song’s', async () => {
    opened('C', true);
    const user = userEvent.setup();
    renderInBand(<KeyLens scaleIsFree={false} />);
    await user.click(screen.getByRole('button', { name: 'Key down a half step' }));
    expect(rehomed).toEqual([['B', 'numbers']]);
    expect(role()).toBe('Home key');
  });
});

describe('the reader lens', () => {
  test('lists the band, horns and capos, and says what the chosen one reads', async () => {
    opened('D', false);
    const user = userEvent.setup();
    renderInBand(<ReaderLens />);
    expect(screen.getByTestId('reader-note').textContent).toBe('as it sounds');
    await user.click(screen.getByRole('button', { name: /^Reader/ }));
    await screen.findByRole('menu');
    for (const group of ['The band', 'Concert and horns', 'Guitar']) expect(screen.getByText(group)).toBeTruthy();
    await user.click(screen.getByRole('menuitemradio', { name: /Odile/ }));
    expect(screen.getByRole('button', { name: /^Reader: Odile/ })).toBeTruthy();
    expect(screen.getByTestId('reader-note').textContent).toContain('B');
  });

  test('is chosen by the keyboard alone', async () => {
    const user = userEvent.setup();
    renderInBand(<ReaderLens />);
    screen.getByRole('button', { name: /^Reader/ }).focus();
    await user.keyboard('{Enter}');
    await screen.findByRole('menu');
    expect(document.activeElement?.getAttribute('aria-checked')).toBe('true');
    await user.keyboard('{ArrowDown}{Enter}');
    expect(useLensStore.getState().readerId).not.toBeNull();
  });
});

describe('the reader comes with the person', () => {
  const alto = playerOf('Odile', 'alto saxophone', { transpose: 9, show: 'letters' });
  const guitar = playerOf('Tam', 'guitar');

  async function signedInAs(memberId: string | null, search = '') {
    const house = new FakeHouse();
    house.members = [guitar, alto];
    const [band] = house.me.bands;
    house.me = { ...house.me, bands: [{ ...band, memberId } as (typeof house.me.bands)[number]] };
    openRoom(house, `/lens${search}`, [{ path: 'lens', Component: ReaderLens }]);
    await screen.findByRole('button', { name: /^Reader/ });
  }
  const reader = (name: RegExp) => screen.findByRole('button', { name });

  test('signed in as the alto everything is in the alto’s pitch, without anything chosen', async () => {
    opened('D', false);
    await signedInAs(alto.id);
    expect(await reader(/^Reader: Odile, alto saxophone/)).toBeTruthy();
    expect(screen.getByTestId('reader-note').textContent).toBe('reads B = sounding D');
    expect(useLensStore.getState().readerId).toBeNull();
  });

  test('another reader is a look for this visit, says so, and goes back', async () => {
    const user = userEvent.setup();
    await signedInAs(alto.id);
    await user.click(await reader(/^Reader: Odile/));
    await user.click(await screen.findByRole('menuitemradio', { name: /Tam/ }));
    const back = await screen.findByRole('button', { name: 'back to Odile' });
    expect(back.getAttribute('title')).toBe('Reading as Tam for this visit; back to Odile');
    await user.click(back);
    expect(await reader(/^Reader: Odile/)).toBeTruthy();
    expect([useLensStore.getState().readerId, screen.queryByRole('button', { name: 'back to Odile' })]).toEqual([null, null]);
  });

  test('a link with a reader of its own is followed, and the way back is beside it', async () => {
    await signedInAs(alto.id, '?reader=concert');
    expect(await reader(/^Reader: Concert/)).toBeTruthy();
    expect(await screen.findByRole('button', { name: 'back to Odile' })).toBeTruthy();
  });

  test('choosing oneself in the menu is no other reader', async () => {
    const user = userEvent.setup();
    await signedInAs(alto.id, '?reader=concert');
    await user.click(await reader(/^Reader/));
    await user.click(await screen.findByRole('menuitemradio', { name: /Odile.*you/ }));
    expect(useLensStore.getState().readerId).toBeNull();
  });

  test('who is no player reads what sounds', async () => {
    await signedInAs(null);
    expect(await reader(/^Reader: Concert/)).toBeTruthy();
  });
});
