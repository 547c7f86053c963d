import type { Song } from '@aurora/wire';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { ApiFault } from '../api/client.ts';
import { DraftKeeper } from './draft-keeper.ts';

const song = (revision: number, source: string): Song => ({
  id: 'one',
  title: '',
  by: '',
  key: 'C',
  tempo: null,
  bars: 1,
  opening: [],
  ridge: [],
  tags: [],
  archived: false,
  revision,
  savedAt: `2026-01-0${revision}T00:00:00.000Z`,
  source,
});

/** A device, a clock moved by hand, and a server that answers as told. */
class World {
  readonly kept = new Map<string, string>();
  readonly timers = new Map<number, () => void>();
  readonly saves: (readonly [source: string, base: number])[] = [];
  answer: (source: string, base: number) => Promise<Song> = (source, base) => Promise.resolve(song(base + 1, source));
  private nextTimer = 1;

  open(stored: Song): DraftKeeper {
    return new DraftKeeper(stored, {
      save: (source, base) => {
        this.saves.push([source, base]);
        return this.answer(source, base);
      },
      storage: {
        getItem: (name) => this.kept.get(name) ?? null,
        setItem: (name, value) => void this.kept.set(name, value),
        removeItem: (name) => void this.kept.delete(name),
      },
      onSaved: () => undefined,
      setTimer: (work) => {
        this.timers.set(this.nextTimer, work);
        this.nextTimer += 1;
        return this.nextTimer - 1;
      },
      clearTimer: (timer) => void this.timers.delete(timer),
    });
  }

  /** Lets every timer run out, and everything that follows from it happen. */
  async pass(): Promise<void> {
    const due = [...this.timers.values()];
    this.timers.clear();
    for (const work of due) work();
    for (let turn = 0; turn < 10; turn += 1) await Promise.resolve();
  }
}

let world: World;
beforeEach(() => {
  world = new World();
});

const fails = (fault: ApiFault) => () => Promise.reject(fault);

describe('a draft', () => {
  test('is saved after a pause, once, on top of what it was opened from', async () => {
    const keeper = world.open(song(3, 'a'));
    keeper.write('ab');
    keeper.write('abc');
    expect(keeper.get().status.kind).toBe('waiting');
    await world.pass();
    expect(world.saves).toEqual([['abc', 3]]);
    expect(keeper.get()).toEqual({ text: 'abc', status: { kind: 'saved', at: song(4, '').savedAt } });
    expect(world.kept.size).toBe(0);
  });

  test('that is typed on while its save is on the way is saved again, on the new revision', async () => {
    const keeper = world.open(song(1, 'a'));
    let arrive = (_: Song) => {};
    world.answer = () => new Promise((resolve) => (arrive = resolve));
    keeper.write('ab');
    await world.pass();
    keeper.write('abc');
    world.answer = (source, base) => Promise.resolve(song(base + 1, source));
    arrive(song(2, 'ab'));
    await world.pass();
    await world.pass();
    expect(world.saves).toEqual([
      ['ab', 1],
      ['abc', 2],
    ]);
    expect(keeper.get().status.kind).toBe('saved');
  });

  test('stays on the device while the server is away, and is saved when it is back', async () => {
    const keeper = world.open(song(1, 'a'));
    world.answer = fails(new ApiFault(503, 'away'));
    keeper.write('ab');
    await world.pass();
    expect(keeper.get().status.kind).toBe('away');
    expect(JSON.parse(world.kept.get('aurora-draft-one') as string)).toEqual({ text: 'ab', baseRevision: 1 });
    world.answer = (source, base) => Promise.resolve(song(base + 1, source));
    await world.pass();
    expect(keeper.get().status.kind).toBe('saved');
  });

  test('a text made of both sides goes on top of theirs', async () => {
    const keeper = world.open(song(1, 'a'));
    world.answer = fails(new ApiFault(409, 'stale', { type: '', title: '', status: 409, detail: '', current: song(5, 'theirs') }));
    keeper.write('mine');
    await world.pass();
    expect(keeper.get().status.kind).toBe('conflict');
    world.answer = (source, base) => Promise.resolve(song(base + 1, source));
    keeper.merge('mine and theirs');
    await world.pass();
    expect(world.saves.at(-1)).toEqual(['mine and theirs', 5]);
    expect(keeper.get()).toMatchObject({ text: 'mine and theirs', status: { kind: 'saved' } });
    keeper.merge('too late');
    expect(keeper.get().text).toBe('mine and theirs');
  });

  test('an unsaved draft of an earlier visit is recovered and saved', async () => {
    world.kept.set('aurora-draft-one', JSON.stringify({ text: 'mine', baseRevision: 2 }));
    const keeper = world.open(song(2, 'stored'));
    expect(keeper.get()).toEqual({ text: 'mine', status: { kind: 'waiting' } });
    await world.pass();
    expect(world.saves).toEqual([['mine', 2]]);
  });

  test('a recovered draft of an older revision is a conflict, not an overwrite', async () => {
    world.kept.set('aurora-draft-one', JSON.stringify({ text: 'mine', baseRevision: 2 }));
    const keeper = world.open(song(5, 'stored'));
    expect(keeper.get()).toMatchObject({ text: 'mine', status: { kind: 'conflict', theirs: { revision: 5 } } });
    await world.pass();
    expect(world.saves).toEqual([]);
  });

  test.each(['nonsense', '{}', '{"text":1}', 'null'])('a stored draft that is %s is no draft', (stored) => {
    world.kept.set('aurora-draft-one', stored);
    expect(world.open(song(1, 'a')).get().text).toBe('a');
  });

  test('what the server will not take is said, and kept', async () => {
    const keeper = world.open(song(1, 'a'));
    world.answer = fails(new ApiFault(413, 'A chart can be 240 KB at most.'));
    keeper.write('far too long');
    await world.pass();
    expect(keeper.get()).toEqual({ text: 'far too long', status: { kind: 'refused', why: 'A chart can be 240 KB at most.' } });
    expect(world.kept.size).toBe(1);
    expect(world.timers.size).toBe(0);
  });

  test('leaving saves at once', async () => {
    const keeper = world.open(song(1, 'a'));
    keeper.write('ab');
    await keeper.flush();
    expect(world.saves).toEqual([['ab', 1]]);
    expect(world.timers.size).toBe(0);
  });
});

describe('two who save at once', () => {
  const theirs = song(7, 'theirs');
  const stale = new ApiFault(409, 'stale', { type: '', title: '', status: 409, detail: '', current: theirs });

  async function conflict(): Promise<DraftKeeper> {
    const keeper = world.open(song(6, 'a'));
    world.answer = fails(stale);
    keeper.write('mine');
    await world.pass();
    world.answer = (source, base) => Promise.resolve(song(base + 1, source));
    return keeper;
  }

  test('both texts are kept until one is chosen, whatever is typed meanwhile', async () => {
    const keeper = await conflict();
    keeper.write('mine, more');
    await world.pass();
    expect(keeper.get()).toMatchObject({ text: 'mine, more', status: { kind: 'conflict', theirs } });
    expect(world.saves).toHaveLength(1);
  });

  test('mine goes on top of theirs', async () => {
    const keeper = await conflict();
    keeper.resolve('mine');
    await world.pass();
    expect(world.saves.at(-1)).toEqual(['mine', 7]);
    expect(keeper.get()).toMatchObject({ text: 'mine', status: { kind: 'saved' } });
  });

  test('theirs is taken, and the next change starts from it', async () => {
    const keeper = await conflict();
    keeper.resolve('theirs');
    expect(keeper.get()).toMatchObject({ text: 'theirs', status: { kind: 'saved' } });
    keeper.write('theirs, changed');
    await world.pass();
    expect(world.saves.at(-1)).toEqual(['theirs, changed', 7]);
  });
});
