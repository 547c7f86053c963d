/** @jest-environment jsdom */
import '../../../../test/dom.ts';
import { beforeEach, expect, test } from '@jest/globals';
import { device } from '../../../device/records.ts';
import { RUN_FORM, useRun } from './run-store.ts';
import { beginRun, blockOf } from './session-run.ts';

const ID = '00000000-0000-4000-8000-000000000007';
const RUN = beginRun(ID, [blockOf('runs', { study: 'runs', what: 'scale', key: 'C major' }, 5)], 1000);
/** What was kept before forms were counted. */
const older = (state: object) => JSON.stringify({ state, version: 0 });

beforeEach(() => localStorage.clear());

test('a session that was under way before forms were counted goes on, with what was added later as on a new device', async () => {
  localStorage.setItem('aurora-practice', older({ run: RUN, minutes: 30 }));
  await useRun.persist.rehydrate();
  expect(useRun.getState()).toMatchObject({ run: RUN, minutes: 30, heard: true });
});

test('what is kept is read again', () => {
  expect(device.put(RUN_FORM, { ...useRun.getState(), run: RUN, minutes: 45 })).toBe(true);
  expect(device.get(RUN_FORM)).toMatchObject({ run: RUN, minutes: 45 });
});

test.each([
  ['a study there is none of', { run: { ...RUN, blocks: [{ kind: 'runs', minutes: 5, items: [{ item: { study: 'juggling' } }] }] } }],
  ['a phase there is none of', { run: { ...RUN, phase: 'sleeping' } }],
])('%s leaves the device as new', async (_, state) => {
  useRun.setState({ run: null, minutes: 20 });
  localStorage.setItem('aurora-practice', older(state));
  await useRun.persist.rehydrate();
  expect(useRun.getState()).toMatchObject({ run: null, minutes: 20 });
});
