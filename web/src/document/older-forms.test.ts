/** @jest-environment jsdom */
import '../../test/dom.ts';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { chooseBand, chosenBand } from '../api/chosen-band.ts';
import { device, tab } from '../device/records.ts';
import { useChartView } from '../session/chart-view-store.ts';
import { useDevice } from '../session/device-store.ts';
import { usePaper } from '../session/paper-store.ts';
import { useTonight } from '../session/tonight-store.ts';
import { CHART_KIND } from './chart-kind.ts';
import { COPY_FORM, deviceCopies } from './device-copy.ts';

const ID = '00000000-0000-4000-8000-000000000007';
/** What stores of the interface kept before forms were counted. */
const older = (state: object) => JSON.stringify({ state, version: 0 });

beforeEach(() => localStorage.clear());

describe('what browsers have from before forms were counted is read', () => {
  test('how this device looks and sounds, with what was added later as on a new one', async () => {
    localStorage.setItem('aurora-device', older({ theme: 'night', volume: 0.5, strum: 'arpeggio', neckLabels: 'fingers', folds: {} }));
    await useDevice.persist.rehydrate();
    expect(useDevice.getState()).toMatchObject({ theme: 'night', volume: 0.5, strum: 'arpeggio', hintsRead: [] });
  });

  test('the paper, charts and the set of tonight', async () => {
    localStorage.setItem('aurora-paper', older({ paper: 'Letter' }));
    localStorage.setItem('aurora-chart-view', older({ show: 'letters', ownChords: true }));
    localStorage.setItem('aurora-tonight', older({ setId: ID }));
    for (const store of [usePaper, useChartView, useTonight]) await store.persist.rehydrate();
    expect(usePaper.getState().paper).toBe('Letter');
    expect(useChartView.getState()).toMatchObject({ show: 'letters', ownChords: true });
    expect(useTonight.getState().setId).toBe(ID);
  });

  test('the band it was left in', () => {
    localStorage.setItem('aurora-band', ID);
    expect(chosenBand()).toBe(ID);
    chooseBand(null);
    expect(chosenBand()).toBeNull();
    chooseBand(ID);
    expect(chosenBand()).toBe(ID);
  });

  test('an unsaved chart with its base; what can be taken back only where it says from what', () => {
    const base = { value: 'key: C\n1 4\n', revision: 3, savedAt: '2026-01-01T00:00:00.000Z' };
    localStorage.setItem(`aurora-copy song ${ID} left`, JSON.stringify({ version: 1, at: 5, value: 'key: C\n1 5\n', base, sent: [] }));
    sessionStorage.setItem(`aurora-undo song ${ID}`, '{"version":1,"done":[[1,[3,"x"]]],"undone":[]}');
    const here = { local: device, session: tab, locks: undefined, now: () => 10, newId: () => 'new' };
    const copies = deviceCopies(here, 'left', CHART_KIND, { bandId: null, id: ID });
    expect(copies.own()).toEqual({ value: 'key: C\n1 5\n', base, sent: [] });
    expect(copies.history()).toBeNull();
    copies.putHistory({ of: 'x', revision: 3, done: [], undone: [] });
    expect(copies.history()).toEqual({ of: 'x', revision: 3, done: [], undone: [] });
  });

  test('a copy from a newer application is left where it is when its tab is gone', async () => {
    const name = `aurora-copy song ${ID} gone`;
    localStorage.setItem(name, JSON.stringify({ aurora: COPY_FORM.upgrades.length + 1, value: {} }));
    const locks = { query: async () => ({ held: [] }), request: async () => undefined } as unknown as LockManager;
    const here = { local: device, session: tab, locks, now: () => 10, newId: () => 'new' };
    expect(await deviceCopies(here, 'mine', CHART_KIND, { bandId: null, id: ID }).leftBehind()).toEqual([]);
    expect(localStorage.getItem(name)).not.toBeNull();
  });
});

test.each([
  ['aurora-device', older({ volume: 11 })],
  ['aurora-device', 'half a rec'],
])('%s that holds nonsense leaves the device as new', async (name, text) => {
  localStorage.setItem(name, text);
  useDevice.setState({ volume: 0.3 });
  await useDevice.persist.rehydrate();
  expect(useDevice.getState().volume).toBe(0.3);
});
