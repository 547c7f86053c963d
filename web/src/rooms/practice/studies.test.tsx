/** @jest-environment jsdom */
import '../../../test/dom.ts';
import '../../../test/workers.ts';
import { type Instrument, STANDARD_GUITAR } from '@aurora/core';
import { DEFAULT_PRACTICE, type Member, type PracticePass } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, test } from '@jest/globals';
import { cleanup, fireEvent, screen, waitFor } from '@testing-library/react';
import { FakeHouse, playerOf } from '../../../test/fake-house.ts';
import { openRoom } from '../../../test/open-room.tsx';
import { user } from '../../../test/user.ts';
import { PracticeRoom } from './PracticeRoom.tsx';
import { useRun } from './session/run-store.ts';
import { SessionPage } from './session/SessionPage.tsx';

let house: FakeHouse;
let sent: PracticePass[];

beforeEach(() => {
  localStorage.clear();
  useRun.setState({ run: null, minutes: 20 });
  house = new FakeHouse();
  sent = [];
  const tam = playerOf('Tam', 'guitar');
  house.members = [{ ...tam, instrument: ownedBy(STANDARD_GUITAR) }];
  house.me = { ...house.me, bands: house.me.bands.map((band) => ({ ...band, memberId: tam.id })) };
  house.on('GET', /.*\/practice/, () => DEFAULT_PRACTICE);
  house.on('GET', /.*\/passes.*/, () => ({ passes: [], next: null }));
  house.on('POST', /.*\/passes/, ({ body }) => {
    const { passes } = body as { passes: PracticePass[] };
    sent.push(...passes);
    return { stored: passes.length, known: 0, remarks: [] };
  });
  house.on('GET', /.*\/practice\/sessions/, () => ({ sessions: [] }));
});
afterEach(cleanup);

/** An instrument as a player's is kept. */
const ownedBy = (instrument: Instrument): Member['instrument'] => ({ ...instrument, tuning: [...instrument.tuning] });

async function openGroup(group: string): Promise<void> {
  openRoom(house, '/practice/studies', [
    { path: 'practice/session', Component: SessionPage },
    { path: 'practice/:part?', Component: PracticeRoom },
  ]);
  await user.click(await screen.findByRole('radio', { name: group }));
}
const studies = () => screen.getAllByRole('button').filter((button) => button.closest('[role="tabpanel"]') !== null);
async function begin(group: string, name: RegExp): Promise<void> {
  await openGroup(group);
  await user.click((await screen.findAllByRole('button', { name }))[0] as HTMLElement);
  await screen.findByRole('button', { name: 'Finish' });
}

describe.each(['Recall', 'Say it aloud', 'Along one string', 'Shapes', 'Runs', 'ii–V–I chain', 'By ear'])('studies of %s', (group) => {
  test('are there, and the first one opens', async () => {
    await openGroup(group);
    const [first] = studies().filter(({ textContent }) => (textContent ?? '').length > 3);
    expect(first).toBeTruthy();
    await user.click(first as HTMLElement);
    expect(await screen.findByRole('button', { name: 'Finish' })).toBeTruthy();
    expect(screen.getByRole('heading', { level: 1 }).textContent?.length).toBeGreaterThan(3);
    expect(useRun.getState().run?.blocks).toHaveLength(1);
  });
});

describe('by the pedal', () => {
  test('an answer is shown, then judged: forward I had it, back I had it not', async () => {
    await begin('Recall', /^Number to chord/);
    fireEvent.keyDown(screen.getByLabelText('Your answer'), { key: 'PageDown' });
    expect(await screen.findByRole('button', { name: 'I had it' })).toBeTruthy();
    fireEvent.keyDown(window, { key: 'PageDown' });
    await waitFor(() => expect(screen.queryByRole('button', { name: 'I had it' })).toBeNull());
    fireEvent.keyDown(await screen.findByLabelText('Your answer'), { key: 'PageDown' });
    await screen.findByRole('button', { name: 'I had it' });
    fireEvent.keyDown(window, { key: 'PageUp' });
    await user.click(screen.getByRole('button', { name: 'Finish' }));
    await waitFor(() => expect(sent.map(({ outcome }) => outcome)).toEqual(['right', 'wrong']));
  });
});

describe('what is kept of an answer', () => {
  test('its item, the time it took, and that nothing was in sight', async () => {
    await begin('Recall', /^Chord to number/);
    await user.type(screen.getByLabelText('Your answer'), '1');
    await user.click(screen.getByRole('button', { name: 'Finish' }));
    await waitFor(() => expect(sent).toHaveLength(1));
    expect(sent[0]).toMatchObject({ hidden: true, tempo: null, night: null });
    expect(sent[0]?.answeredMs).toBeGreaterThanOrEqual(0);
    expect(sent[0]?.item).toContain('chord-to-degree');
  });
});

test('in another key the study is asked in that key', async () => {
  await openGroup('Recall');
  await user.selectOptions(await screen.findByRole('combobox', { name: /^(Key|Tonic)/ }), screen.getByRole('option', { name: 'E♭' }));
  await user.click((await screen.findAllByRole('button', { name: /^Chord to number/ }))[0] as HTMLElement);
  await screen.findByRole('button', { name: 'Finish' });
  expect(screen.getByRole('heading', { level: 1 }).textContent).toContain('E♭');
});
