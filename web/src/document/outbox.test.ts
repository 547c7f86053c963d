/** @jest-environment jsdom */
import '../../test/dom.ts';
import type { PracticePass } from '@aurora/wire';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { ApiFault } from '../api/client.ts';
import { Outbox, type Send } from './outbox.ts';

const ME = 'me';
const pass = (id: string): PracticePass => ({
  id,
  at: '2026-11-27T20:00:00.000Z',
  item: 'runs/arpeggios/C major',
  stage: '',
  tempo: 60,
  answeredMs: null,
  outcome: 'clean',
  said: '',
  hidden: false,
  seconds: 60,
  night: null,
});
const ids = (passes: readonly PracticePass[]) => passes.map(({ id }) => id).sort();
const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

beforeEach(() => localStorage.clear());

describe('what was practised, on its way to the server', () => {
  /** A server that keeps by id, and may be away, lose its answer, or refuse. */
  function server() {
    const kept = new Map<string, PracticePass>();
    const state = { isAway: false, losesAnswer: false, refuses: '' };
    const send: Send<PracticePass> = async (_, passes) => {
      if (state.isAway) throw new ApiFault(0, 'away');
      if (passes.some(({ id }) => id === state.refuses)) throw new ApiFault(422, 'no');
      for (const one of passes) kept.set(one.id, one);
      if (state.losesAnswer) throw new ApiFault(0, 'the answer was lost');
    };
    return { kept, state, send };
  }

  test('with the server there it is sent at once and leaves the device', async () => {
    const { kept, send } = server();
    const box = new Outbox('pass', localStorage, send);
    expect(box.add(ME, pass('a'))).toBe(true);
    await settled();
    expect([...kept.keys()]).toEqual(['a']);
    expect(box.waiting(ME)).toEqual([]);
  });

  test('without it everything waits on the device, over a reload too, and is there once when it is back', async () => {
    const { kept, state, send } = server();
    state.isAway = true;
    const box = new Outbox('pass', localStorage, send);
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    const afterReload = new Outbox('pass', localStorage, send);
    expect(ids(afterReload.waiting(ME))).toEqual(['a', 'b', 'c']);
    state.isAway = false;
    await Promise.all([box.flush(ME), afterReload.flush(ME)]);
    expect([...kept.keys()].sort()).toEqual(['a', 'b', 'c']);
    expect(afterReload.waiting(ME)).toEqual([]);
  });

  test('an answer that was lost sends it again, and the server keeps it once', async () => {
    const { kept, state, send } = server();
    state.losesAnswer = true;
    const box = new Outbox('pass', localStorage, send);
    box.add(ME, pass('a'));
    await settled();
    expect(ids(box.waiting(ME))).toEqual(['a']);
    state.losesAnswer = false;
    await box.flush(ME);
    expect([kept.size, box.waiting(ME).length]).toEqual([1, 0]);
  });

  test('one that is refused for good holds up no other, and stays on the device', async () => {
    const { kept, state, send } = server();
    state.refuses = 'b';
    const box = new Outbox('pass', localStorage, send);
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    await box.flush(ME);
    expect([...kept.keys()].sort()).toEqual(['a', 'c']);
    expect(box.waiting(ME)).toEqual([]);
    expect(localStorage.getItem('aurora-pass-refused:me:b')).toContain('arpeggios');
  });

  test('one that is refused, and then no server: what was not sent waits on', async () => {
    const { kept, state, send } = server();
    state.isAway = true;
    const box = new Outbox<PracticePass>('pass', localStorage, async (memberId, passes) => {
      // after the refusal of all together the network is gone
      if (passes.length === 1) state.isAway = true;
      await send(memberId, passes);
    });
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    Object.assign(state, { isAway: false, refuses: 'b' });
    await box.flush(ME);
    expect([kept.size, ids(box.waiting(ME))]).toEqual([0, ['a', 'b', 'c']]);
  });

  test('what another player left on this device is not sent under one’s own name', async () => {
    const { kept, state, send } = server();
    state.isAway = true;
    const box = new Outbox('pass', localStorage, send);
    box.add('somebody', pass('x'));
    await settled();
    state.isAway = false;
    await box.flush(ME);
    expect(kept.size).toBe(0);
    expect(ids(box.waiting('somebody'))).toEqual(['x']);
  });

  test('what was played before it was known who sits here goes to whoever does', async () => {
    const { kept, send } = server();
    const box = new Outbox('pass', localStorage, send);
    box.add('', pass('early'));
    await settled();
    expect(kept.size).toBe(0);
    box.adopt(ME);
    await box.flush(ME);
    expect([...kept.keys()]).toEqual(['early']);
    expect(box.waiting('')).toEqual([]);
  });

  test('a device without room says so, and it is sent all the same', async () => {
    const { kept, send } = server();
    const full = {
      ...localStorage,
      length: 0,
      key: () => null,
      getItem: () => null,
      removeItem: () => undefined,
      setItem: () => {
        throw new Error('full');
      },
    };
    const box = new Outbox('pass', full, send);
    expect(box.add(ME, pass('a'))).toBe(false);
    await settled();
    expect([...kept.keys()]).toEqual(['a']);
  });
});
