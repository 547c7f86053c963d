import type { SetList, SetListBody, Song } from '@aurora/wire';
import { afterEach, beforeEach, describe, expect, jest, test } from '@jest/globals';
import { ApiFault } from '../api/client.ts';
import { SetDesk } from './set-desk.ts';

const SET: SetList = {
  id: 's',
  name: 'Friday',
  place: '',
  startsAt: '',
  date: '',
  gapSeconds: 30,
  entries: [],
  revision: 1,
  savedAt: '',
  savedBy: null,
  songs: [],
};
const named = (name: string) => (body: SetListBody) => ({ ...body, name });

beforeEach(() => void jest.useFakeTimers());
afterEach(() => void jest.useRealTimers());

function deskWith(answer: (body: SetListBody, base: number) => Promise<SetList>) {
  const saves: [string, number][] = [];
  const save = (body: SetListBody, base: number) => {
    saves.push([body.name, base]);
    return answer(body, base);
  };
  const nothing = () => undefined;
  const copies = { put: () => true, drop: nothing, own: () => null, leftBehind: async () => [], putHistory: nothing, history: () => null };
  const clock = {
    now: () => Date.now(),
    setTimer: (work: () => void, ms: number) => Number(setTimeout(work, ms)),
    clearTimer: (timer: number) => clearTimeout(timer),
  };
  return { desk: new SetDesk(SET, save, { ...clock, copies }), saves };
}
const accept = async (body: SetListBody, base: number): Promise<SetList> => ({ ...SET, ...body, revision: base + 1 });

describe('a set being worked on', () => {
  test('is saved after a pause, once, on top of the last save', async () => {
    const { desk, saves } = deskWith(accept);
    desk.change(named('A'));
    desk.change(named('B'));
    expect(desk.get().status.kind).toBe('waiting');
    await jest.advanceTimersByTimeAsync(700);
    desk.change(named('C'));
    await jest.advanceTimersByTimeAsync(700);
    expect(saves).toEqual([
      ['B', 1],
      ['C', 2],
    ]);
    expect(desk.get().status.kind).toBe('saved');
  });

  test('every change can be taken back and made again', async () => {
    const { desk, saves } = deskWith(accept);
    desk.change(named('A'));
    desk.change(named('B'));
    desk.undo();
    expect(desk.get().body.name).toBe('A');
    desk.undo();
    desk.undo();
    expect(desk.get().body.name).toBe('Friday');
    desk.redo();
    desk.redo();
    desk.redo();
    expect(desk.get().body.name).toBe('B');
    desk.undo();
    desk.change(named('D'));
    expect(desk.get().canRedo).toBe(false);
    await jest.advanceTimersByTimeAsync(700);
    expect(saves.at(-1)?.[0]).toBe('D');
  });

  test('what is changed while a save is under way is saved after it', async () => {
    const { desk, saves } = deskWith(async (body, base) => {
      await new Promise((resolve) => setTimeout(resolve, 1000));
      return accept(body, base);
    });
    desk.change(named('A'));
    await jest.advanceTimersByTimeAsync(700);
    desk.change(named('B'));
    await jest.advanceTimersByTimeAsync(5000);
    expect(saves).toEqual([
      ['A', 1],
      ['B', 2],
    ]);
    expect(desk.get().body.name).toBe('B');
  });

  test('while the server is away it is tried again, and nothing is lost', async () => {
    let away = true;
    const { desk, saves } = deskWith((body, base) => (away ? Promise.reject(new ApiFault(0, 'away')) : accept(body, base)));
    desk.change(named('A'));
    await jest.advanceTimersByTimeAsync(700);
    expect(desk.get()).toMatchObject({ body: { name: 'A' }, status: { kind: 'away' } });
    away = false;
    await jest.advanceTimersByTimeAsync(4000);
    expect(desk.get().status.kind).toBe('saved');
    expect(saves).toHaveLength(2);
  });

  test('somebody else’s save is not overwritten unasked; either can be kept, and taken back', async () => {
    const theirs: SetList = { ...SET, name: 'Theirs', revision: 4 };
    const stale = new ApiFault(409, 'stale', { type: '', title: '', status: 409, detail: '', currentSet: theirs });
    const { desk, saves } = deskWith((body, base) => (base < 4 ? Promise.reject(stale) : accept(body, base)));
    desk.change(named('Mine'));
    await jest.advanceTimersByTimeAsync(700);
    expect(desk.get()).toMatchObject({ body: { name: 'Mine' }, status: { kind: 'conflict' } });
    const { status } = desk.get();
    desk.settle(status.kind === 'conflict' ? status.clashes : []);
    expect(desk.get().body.name).toBe('Theirs');
    desk.undo();
    await jest.advanceTimersByTimeAsync(700);
    expect(saves.at(-1)).toEqual(['Mine', 4]);
    expect(desk.get().status.kind).toBe('saved');
  });

  test('what somebody else changed in other fields is put together with one’s own by itself', async () => {
    const theirs: SetList = { ...SET, place: 'The weir', revision: 4, savedAt: '2026-01-02' };
    const stale = new ApiFault(409, 'stale', { type: '', title: '', status: 409, detail: '', currentSet: theirs });
    const { desk, saves } = deskWith((body, base) => (base < 4 ? Promise.reject(stale) : accept(body, base)));
    desk.change(named('Mine'));
    await jest.advanceTimersByTimeAsync(2000);
    expect(desk.get()).toMatchObject({ body: { name: 'Mine', place: 'The weir' }, status: { kind: 'saved' } });
    expect(saves.at(-1)).toEqual(['Mine', 4]);
  });

  test('a name with a space behind it, as it is typed, is no change by somebody else', async () => {
    const { desk } = deskWith(async (body, base) => ({ ...(await accept(body, base)), name: body.name.trim() }));
    desk.change(named('Spring '));
    await jest.advanceTimersByTimeAsync(650);
    desk.change(named('Spring t'));
    await jest.advanceTimersByTimeAsync(2000);
    expect(desk.get()).toMatchObject({ body: { name: 'Spring t' }, status: { kind: 'saved' } });
  });

  test('what the server refuses is said, and not tried again by itself', async () => {
    const { desk, saves } = deskWith(() => Promise.reject(new ApiFault(422, 'name: give the set a name')));
    desk.change(named(''));
    await jest.advanceTimersByTimeAsync(20_000);
    expect(desk.get().status).toEqual({ kind: 'refused', why: 'name: give the set a name' });
    expect(saves).toHaveLength(1);
  });

  const song = (id: string, revision: number, source = ''): Song => ({
    id,
    title: id,
    by: '',
    key: 'C',
    tempo: null,
    bars: 1,
    opening: [],
    ridge: [],
    tags: [],
    archived: false,
    revision,
    savedAt: '2026-01-01T00:00:00.000Z',
    source,
  });

  test('what others saved is taken over, a set from a backup too; what is taken back is one’s own', () => {
    const { desk } = deskWith(accept);
    desk.adopt({ ...SET, name: 'Theirs', revision: 3, savedAt: '2026-01-01T10:00:00.000Z' });
    expect(desk.get().body.name).toBe('Theirs');
    // a clock that went back says nothing: revisions only go up
    desk.adopt({ ...SET, name: 'Restored', revision: 4, savedAt: '2025-12-31T11:00:00.000Z' });
    expect(desk.get().body.name).toBe('Restored');
    desk.adopt({ ...SET, name: 'Late answer', revision: 3, savedAt: '2026-01-01T10:30:00.000Z' });
    expect(desk.get().body.name).toBe('Restored');
    desk.undo();
    expect(desk.get()).toMatchObject({ body: { name: 'Restored' }, canUndo: false });
  });

  test('a chart that was changed meanwhile comes into the set, whatever waits to be saved', () => {
    const { desk } = deskWith(accept);
    desk.adopt({ ...SET, songs: [song('a', 1, 'key: C')] });
    desk.change(named('Mine'));
    desk.bring([song('b', 1)]);
    desk.adopt({ ...SET, songs: [song('a', 2, 'key: D')] });
    expect(desk.get().body.name).toBe('Mine');
    expect(desk.get().songs.map(({ id, source }) => [id, source])).toEqual([
      ['a', 'key: D'],
      ['b', ''],
    ]);
  });

  test('leaving saves at once', async () => {
    const { desk, saves } = deskWith(accept);
    void desk.flush();
    desk.change(named('A'));
    void desk.flush();
    await jest.advanceTimersByTimeAsync(1);
    expect(saves).toEqual([['A', 1]]);
  });
});
