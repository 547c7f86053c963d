import { type PracticePass, practicePass } from '@aurora/wire';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { shelfOf } from '../../test/shelf.ts';
import { ApiFault } from '../api/client.ts';
import { Records } from '../device/records.ts';
import { Outbox, type Owner, type Send } from './outbox.ts';

const ME: Owner = { bandId: 'quay', memberId: 'me' };
const YOU: Owner = { bandId: 'quay', memberId: 'you' };
const NOBODY: Owner = { bandId: 'quay', memberId: '' };
const ELSEWHERE: Owner = { bandId: 'mill', memberId: 'me' };

const pass = (id: string, said = ''): PracticePass => ({
  id: idOf(id),
  at: '2026-11-27T20:00:00.000Z',
  item: 'runs/arpeggios/C major',
  stage: '',
  tempo: 60,
  answeredMs: null,
  outcome: 'clean',
  said,
  hidden: false,
  seconds: 60,
  night: null,
});
const idOf = (letter: string) => `00000000-0000-4000-8000-${letter.charCodeAt(0).toString().padStart(12, '0')}`;
const names = (passes: readonly PracticePass[]) =>
  passes
    .map(({ id }) => String.fromCharCode(Number(id.slice(-12))))
    .sort()
    .join('');
const settled = () => new Promise((resolve) => setTimeout(resolve, 5));

let storage: Map<string, string>;
let room: number;
beforeEach(() => {
  storage = new Map();
  room = Number.POSITIVE_INFINITY;
});

/** A server that keeps by id, and may be away, lose its answer, be slow, or refuse. */
function house() {
  const kept: { owner: Owner; pass: PracticePass }[] = [];
  const state = { isAway: false, losesAnswer: false, refuses: '', status: 422, until: Promise.resolve() };
  const send: Send<PracticePass> = async (owner, passes) => {
    if (state.isAway) throw new ApiFault(0, 'away');
    await state.until;
    if (passes.some(({ id }) => id === idOf(state.refuses || ' '))) throw new ApiFault(state.status, 'no such study');
    for (const one of passes) {
      const before = kept.findIndex((each) => each.pass.id === one.id);
      kept.splice(before < 0 ? kept.length : before, before < 0 ? 0 : 1, { owner, pass: one });
    }
    if (state.losesAnswer) throw new ApiFault(0, 'the answer was lost');
  };
  const has = (owner: Owner) =>
    names(kept.filter((one) => one.owner.bandId === owner.bandId && one.owner.memberId === owner.memberId).map((one) => one.pass));
  return { kept, state, has, send };
}
const boxOf = (send: Send<PracticePass>) => new Outbox('pass', practicePass, new Records(() => shelfOf(storage, () => room)), send);

describe('what was practised, on its way to the server', () => {
  test('with the server there it is sent at once and leaves the device', async () => {
    const { has, send } = house();
    const box = boxOf(send);
    expect(box.add(ME, pass('a'))).toBe(true);
    await settled();
    expect([has(ME), names(box.waiting(ME)), storage.size]).toEqual(['a', '', 0]);
  });

  test('without it everything waits on the device, over a reload too, and is there once when it is back', async () => {
    const { has, state, send } = house();
    state.isAway = true;
    const box = boxOf(send);
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    const afterReload = boxOf(send);
    expect(names(afterReload.waiting(ME))).toBe('abc');
    state.isAway = false;
    await Promise.all([box.flush(ME), afterReload.flush(ME)]);
    expect([has(ME), names(afterReload.waiting(ME))]).toEqual(['abc', '']);
  });

  test('an answer that was lost sends it again, and the server keeps it once', async () => {
    const { has, state, send } = house();
    state.losesAnswer = true;
    const box = boxOf(send);
    box.add(ME, pass('a'));
    await settled();
    expect(names(box.waiting(ME))).toBe('a');
    state.losesAnswer = false;
    await box.flush(ME);
    expect([has(ME), names(box.waiting(ME))]).toEqual(['a', '']);
  });

  test('more than go at once all go', async () => {
    const { kept, state, send } = house();
    state.isAway = true;
    const box = boxOf(send);
    const many = Array.from({ length: 450 }, (_, at) => ({ ...pass('a'), id: `00000000-0000-4000-9000-${String(at).padStart(12, '0')}` }));
    for (const one of many) box.add(ME, one);
    await settled();
    state.isAway = false;
    await box.flush(ME);
    expect([kept.length, box.waiting(ME).length]).toEqual([450, 0]);
  });

  test('what is changed while it is sent is sent again as it is now', async () => {
    const { kept, state, send } = house();
    let answer: () => void = () => undefined;
    state.until = new Promise((resolve) => {
      answer = resolve;
    });
    const box = boxOf(send);
    box.add(ME, pass('a', 'first'));
    await settled();
    box.add(ME, pass('a', 'second'));
    answer();
    await box.flush(ME);
    expect([kept.map((one) => one.pass.said), box.waiting(ME)]).toEqual([['second'], []]);
  });
});

describe('what may still be taken back', () => {
  test('is on the device and not sent until it is released', async () => {
    const { has, send } = house();
    const box = boxOf(send);
    for (const id of ['a', 'b']) box.hold(ME, pass(id));
    await box.flush(ME);
    expect([has(ME), names(box.waiting(ME)), storage.size]).toEqual(['', 'ab', 2]);
    box.release(ME, idOf('a'));
    await settled();
    expect([has(ME), names(box.waiting(ME))]).toEqual(['a', 'b']);
    box.release(ME);
    await settled();
    expect([has(ME), names(box.waiting(ME))]).toEqual(['ab', '']);
  });

  test('was never there once it is taken back; what is sent stands', async () => {
    const { has, send } = house();
    const box = boxOf(send);
    for (const id of ['a', 'b']) box.hold(ME, pass(id));
    expect(box.takeBack(ME, idOf('b'))).toBe(true);
    box.release(ME);
    await settled();
    expect(box.takeBack(ME, idOf('a'))).toBe(false);
    expect([has(ME), storage.size]).toEqual(['a', 0]);
  });

  test('is sent by the page that is opened after this one was closed', async () => {
    const { has, send } = house();
    boxOf(send).hold(ME, pass('a'));
    await boxOf(send).flush(ME);
    expect(has(ME)).toBe('a');
  });

  test('held before it was known who plays, it is held for whoever does', async () => {
    const { has, send } = house();
    const box = boxOf(send);
    box.hold(NOBODY, pass('a'));
    box.adopt(ME);
    await box.flush(ME);
    expect(has(ME)).toBe('');
    expect(box.takeBack(ME, idOf('a'))).toBe(true);
  });
});

describe('whose it is', () => {
  test('what another player left on this device is not sent under one’s own name', async () => {
    const { kept, state, send } = house();
    state.isAway = true;
    const box = boxOf(send);
    box.add(YOU, pass('x'));
    await settled();
    state.isAway = false;
    await box.flush(ME);
    expect([kept.length, names(box.waiting(YOU)), names(box.waiting(ME))]).toEqual([0, 'x', '']);
  });

  test('what was played before it was known who sits here goes to whoever does, in that band and in no other', async () => {
    const { has, send } = house();
    const box = boxOf(send);
    box.add(NOBODY, pass('e'));
    await settled();
    box.adopt(ELSEWHERE);
    await box.flush(ELSEWHERE);
    expect([has(ELSEWHERE), names(box.waiting(NOBODY))]).toEqual(['', 'e']);
    box.adopt(ME);
    await box.flush(ME);
    expect([has(ME), names(box.waiting(NOBODY))]).toEqual(['e', '']);
  });

  test('what two players have is sent for both, whoever is first', async () => {
    const { has, state, send } = house();
    state.isAway = true;
    const box = boxOf(send);
    box.add(ME, pass('a'));
    box.add(YOU, pass('b'));
    await settled();
    state.isAway = false;
    let answer: () => void = () => undefined;
    state.until = new Promise((resolve) => {
      answer = resolve;
    });
    const both = [box.flush(ME), box.flush(YOU)];
    answer();
    await both[1];
    expect(has(YOU)).toBe('b');
    await both[0];
    expect(has(ME)).toBe('a');
  });
});

describe('what is refused', () => {
  async function refusing() {
    const server = house();
    server.state.refuses = 'b';
    const box = boxOf(server.send);
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    await box.flush(ME);
    return { ...server, box };
  }

  test('holds up no other, and is shown with why, over a reload too', async () => {
    const { box, has, send } = await refusing();
    expect([has(ME), names(box.waiting(ME))]).toEqual(['ac', '']);
    for (const one of [box, boxOf(send)]) expect(one.refused(ME)).toMatchObject([{ thing: { id: idOf('b') }, why: 'no such study' }]);
  });

  test('can be sent again', async () => {
    const { box, has, state } = await refusing();
    await box.flush(ME);
    expect(has(ME)).toBe('ac');
    state.refuses = '';
    box.sendAgain(ME);
    await box.flush(ME);
    expect([has(ME), box.refused(ME)]).toEqual(['abc', []]);
  });

  test('can be let go', async () => {
    const { box, has } = await refusing();
    box.letGo(ME);
    await box.flush(ME);
    expect([has(ME), box.refused(ME), storage.size]).toEqual(['ac', [], 0]);
  });

  test.each([
    [429, 'waits'],
    [401, 'waits'],
    [500, 'waits'],
    [400, 'refused'],
    [409, 'refused'],
    [430, 'refused'],
  ])('an answer of %i: it %s', async (status, what) => {
    const { state, send } = house();
    Object.assign(state, { refuses: 'b', status });
    const box = boxOf(send);
    box.add(ME, pass('b'));
    await settled();
    expect([names(box.waiting(ME)), box.refused(ME).length]).toEqual(what === 'waits' ? ['b', 0] : ['', 1]);
  });

  test('and then no server: what was not sent waits on', async () => {
    const { kept, state, send } = house();
    state.isAway = true;
    const box = boxOf(async (owner, passes) => {
      // after the refusal of all together the network is gone
      if (passes.length === 1) state.isAway = true;
      await send(owner, passes);
    });
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    Object.assign(state, { isAway: false, refuses: 'b' });
    await box.flush(ME);
    expect([kept.length, names(box.waiting(ME))]).toEqual([0, 'abc']);
  });
});

describe('a device without room', () => {
  test('says so, and it is sent all the same', async () => {
    const { has, send } = house();
    room = 0;
    const box = boxOf(send);
    expect(box.add(ME, pass('a'))).toBe(false);
    await settled();
    expect([has(ME), box.waiting(ME)]).toEqual(['a', []]);
  });

  test('keeps in the page what the server does not take now, and sends it when it does', async () => {
    const { has, state, send } = house();
    Object.assign(state, { isAway: true });
    room = 0;
    const box = boxOf(send);
    box.add(ME, pass('a'));
    await settled();
    expect(names(box.waiting(ME))).toBe('a');
    state.isAway = false;
    await box.flush(ME);
    expect([has(ME), box.waiting(ME)]).toEqual(['a', []]);
  });

  test('blocks nothing: one that is refused while it is full holds up no other, and no promise fails', async () => {
    const { has, state, send } = house();
    state.isAway = true;
    const box = boxOf(send);
    for (const id of ['a', 'b', 'c']) box.add(ME, pass(id));
    await settled();
    Object.assign(state, { isAway: false, refuses: 'a' });
    room = 0;
    await expect(box.flush(ME)).resolves.toBeUndefined();
    expect([has(ME), names(box.waiting(ME)), box.refused(ME).length]).toEqual(['bc', '', 1]);
  });
});

describe('what older pages kept', () => {
  test('under a player alone is theirs in their band, refused or not; what had no player stays', async () => {
    const { has, send } = house();
    storage.set('aurora-pass:me:1', JSON.stringify(pass('a')));
    storage.set('aurora-pass-refused:me:2', JSON.stringify(pass('b')));
    storage.set('aurora-pass::3', JSON.stringify(pass('c')));
    const box = boxOf(send);
    box.adopt(ME);
    await box.flush(ME);
    expect([has(ME), names(box.refused(ME).map(({ thing }) => thing)), storage.has('aurora-pass::3')]).toEqual(['a', 'b', true]);
  });

  test('what is no pass is neither sent nor lost', async () => {
    const { kept, send } = house();
    storage.set('aurora-pass:quay:me:1', '{"aurora":1,"value":{"thing":{"id":7},"refused":null}}');
    storage.set('aurora-pass:quay:me:2', 'half a rec');
    storage.set('aurora-pass:quay:me:3', JSON.stringify({ aurora: 9, value: {} }));
    const box = boxOf(send);
    await box.flush(ME);
    expect([kept, box.waiting(ME), storage.size]).toEqual([[], [], 3]);
  });
});

test('who listens is told, until they stop', async () => {
  const { send } = house();
  const box = boxOf(send);
  let told = 0;
  const stop = box.subscribe(() => {
    told += 1;
  });
  box.add(ME, pass('a'));
  await settled();
  expect(told).toBeGreaterThanOrEqual(2);
  stop();
  const before = told;
  box.add(ME, pass('b'));
  await settled();
  expect(told).toBe(before);
});
