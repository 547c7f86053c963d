import { beforeEach, describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import { shelfOf } from '../../test/shelf.ts';
import { Records } from '../device/records.ts';
import { CHART_KIND } from './chart-kind.ts';
import { type Device, deviceCopies, type Saved } from './device-copy.ts';
import { Draft, type SaveFault } from './draft.ts';

/** A server with one chart, and the clock of everybody who works on it. */
class World {
  saved: Saved<string>;
  now = 1000;
  answers: 'all' | 'none' | 'lost' | 'refused' | 'later' = 'all';
  readonly storage = new Map<string, string>();
  readonly #tab = shelfOf(new Map());
  room = Number.POSITIVE_INFINITY;
  #timers = new Map<number, { at: number; work: () => void }>();
  #next = 1;
  /** How often each tab was loaded: what an earlier loading waited for never happens. */
  readonly #loadings = new Map<string, number>();
  saves = 0;

  constructor(text: string) {
    this.saved = { value: text, revision: 1, savedAt: this.#stamp(1) };
  }

  #stamp(revision: number): string {
    return new Date(Date.UTC(2026, 0, 1, 0, 0, revision)).toISOString();
  }

  /** Somebody saves, whoever it is. */
  put(value: string, base: number): Saved<string> {
    if (base !== this.saved.revision) throw Object.assign(new Error('stale'), { current: this.saved });
    const revision = base + 1;
    this.saved = { value, revision, savedAt: this.#stamp(revision) };
    return this.saved;
  }

  device(): Device {
    return {
      local: new Records(() => shelfOf(this.storage, () => this.room)),
      session: new Records(() => this.#tab),
      locks: undefined,
      now: () => this.now,
      newId: () => 'tab',
    };
  }

  /** Opens the chart in a tab: with what the server has now, or with what was fetched before. */
  open(tab: string, device = this.device(), fetched = this.saved) {
    const loading = (this.#loadings.get(tab) ?? 0) + 1;
    this.#loadings.set(tab, loading);
    const lives = () => this.#loadings.get(tab) === loading;
    return new Draft(fetched, CHART_KIND, {
      save: async (value, base) => {
        this.saves += 1;
        if (this.answers === 'none') throw new Error('away');
        if (this.answers === 'later') throw Object.assign(new Error('away'), { againMs: 30_000 });
        if (this.answers === 'refused') throw Object.assign(new Error('too long'), { refused: true });
        const saved = this.put(value, base);
        if (this.answers === 'lost') throw new Error('away');
        return saved;
      },
      faultOf: (error): SaveFault<string> => {
        const { current, refused, againMs = null } = error as { current?: Saved<string>; refused?: boolean; againMs?: number };
        if (current !== undefined) return { current };
        return { isFinal: refused === true, why: (error as Error).message, againMs };
      },
      copies: deviceCopies(device, tab, CHART_KIND, { bandId: 'band', id: 'song' }),
      now: () => this.now,
      setTimer: (work, ms) => {
        this.#timers.set(this.#next, { at: this.now + ms, work: () => void (lives() && work()) });
        return this.#next++;
      },
      clearTimer: (timer) => void this.#timers.delete(timer),
    });
  }

  /** Lets time pass, and everything that waits for it happen. */
  async pass(ms: number): Promise<void> {
    const until = this.now + ms;
    for (let rounds = 0; rounds < 200; rounds += 1) {
      await new Promise((resolve) => setImmediate(resolve));
      const due = [...this.#timers].filter(([, { at }]) => at <= until).sort(([, a], [, b]) => a.at - b.at)[0];
      if (due === undefined) break;
      this.#timers.delete(due[0]);
      this.now = due[1].at;
      due[1].work();
    }
    this.now = until;
    await new Promise((resolve) => setImmediate(resolve));
  }
}

/** Whether any tab keeps something of the song that the server does not have. */
const isUnsaved = ({ local }: Device) => local.names('aurora-copy song song ').length > 0;

const BASE = 'key: G\n\n[Verse]\n1 4\n\n[Chorus]\n4 5\n';
const verse = (bars: string) => BASE.replace('1 4', bars);
const chorus = (bars: string) => BASE.replace('4 5', bars);
let world: World;
beforeEach(() => {
  world = new World(BASE);
});

describe('a draft is saved', () => {
  test('after a pause, once, and typing on while it is saved is saved after it', async () => {
    const draft = world.open('a');
    draft.write(verse('1 5'));
    draft.write(verse('1 5 6-'));
    expect(draft.get().status.kind).toBe('waiting');
    await world.pass(1000);
    expect(draft.get().status.kind).toBe('saved');
    expect([world.saves, world.saved.value]).toEqual([1, verse('1 5 6-')]);
    const saving = draft.write(verse('2-')) ?? draft.flush();
    draft.write(verse('2- 5'));
    await saving;
    await world.pass(1000);
    expect(world.saved.value).toBe(verse('2- 5'));
  });

  test('while the server is away it is tried again, and what is written is kept on the device', async () => {
    const draft = world.open('a');
    world.answers = 'none';
    draft.write(verse('1 5'));
    await world.pass(30_000);
    expect(draft.get()).toMatchObject({ status: { kind: 'away' }, isKept: true });
    expect(isUnsaved(world.device())).toBe(true);
    world.answers = 'all';
    await world.pass(30_000);
    expect(draft.get().status.kind).toBe('saved');
    expect(isUnsaved(world.device())).toBe(false);
  });

  test('each time it waits twice as long, from two seconds to twenty, and begins anew once it was saved', async () => {
    const draft = world.open('a');
    world.answers = 'none';
    draft.write(verse('1 5'));
    const waits: number[] = [];
    for (let tries = 0; tries < 6; tries += 1) {
      const [before, saves] = [world.now, world.saves];
      while (world.saves === saves) await world.pass(100);
      waits.push(Math.round((world.now - before) / 100) * 100);
    }
    expect(waits).toEqual([600, 2000, 4000, 8000, 16_000, 20_000]);
    world.answers = 'all';
    await world.pass(25_000);
    expect(draft.get().status.kind).toBe('saved');
    world.answers = 'none';
    draft.write(verse('1 6-'));
    await world.pass(600);
    const saves = world.saves;
    await world.pass(1900);
    expect(world.saves).toBe(saves);
    await world.pass(200);
    expect(world.saves).toBe(saves + 1);
  });

  test('and no sooner than the server asked for', async () => {
    const draft = world.open('a');
    world.answers = 'later';
    draft.write(verse('1 5'));
    await world.pass(700);
    expect(world.saves).toBe(1);
    await world.pass(28_000);
    expect(world.saves).toBe(1);
    await world.pass(3000);
    expect(world.saves).toBe(2);
  });

  test('what others saved is not taken in while one’s own save is on its way', async () => {
    const draft = world.open('a');
    draft.write(verse('1 5'));
    const saving = draft.flush();
    const before = draft.get();
    draft.adopt({ value: verse('9 9'), revision: 9, savedAt: '2030-01-01T00:00:00.000Z' });
    expect(draft.get()).toBe(before);
    await saving;
    expect([draft.get().value, world.saved.value]).toEqual([verse('1 5'), verse('1 5')]);
  });

  test('what the server refuses says why, and is tried again when it has changed', async () => {
    const draft = world.open('a');
    world.answers = 'refused';
    draft.write(verse('1 5'));
    await world.pass(10_000);
    expect(draft.get().status).toEqual({ kind: 'refused', why: 'too long' });
    world.answers = 'all';
    draft.write(verse('1'));
    await world.pass(1000);
    expect(world.saved.value).toBe(verse('1'));
  });

  test('a device without room says so', async () => {
    const draft = world.open('a');
    world.room = 10;
    world.answers = 'none';
    draft.write(verse('1 5'));
    await world.pass(1000);
    expect(draft.get()).toMatchObject({ status: { kind: 'away' }, isKept: false });
    world.answers = 'all';
    await world.pass(30_000);
    expect(draft.get()).toMatchObject({ status: { kind: 'saved' }, isKept: true });
  });
});

test('what is taken back to what the server has is saved already', async () => {
  const draft = world.open('a');
  draft.write(verse('1 5'));
  draft.undo();
  expect(draft.get().value).toBe(BASE);
  await world.pass(1000);
  expect([draft.get().status.kind, world.saves]).toEqual(['saved', 0]);
});

test('but not while a save may have arrived whose answer was lost', async () => {
  const draft = world.open('a');
  world.answers = 'lost';
  draft.write(verse('1 5'));
  await world.pass(700);
  world.answers = 'all';
  draft.undo();
  await world.pass(30_000);
  expect([draft.get().status.kind, draft.get().value, world.saved.value]).toEqual(['saved', BASE, BASE]);
});

describe('nobody is in conflict with themselves', () => {
  test('a save whose answer was lost is one’s own', async () => {
    const draft = world.open('a');
    world.answers = 'lost';
    draft.write(verse('1 5'));
    await world.pass(700);
    expect([draft.get().status.kind, world.saved.value]).toEqual(['away', verse('1 5')]);
    world.answers = 'all';
    draft.write(verse('1 5 6-'));
    await world.pass(30_000);
    expect(draft.get().status.kind).toBe('saved');
    expect(world.saved.value).toBe(verse('1 5 6-'));
  });

  test('nor after the page was loaded again meanwhile, with what was fetched before the save arrived', async () => {
    const device = world.device();
    const draft = world.open('a', device);
    const before = world.saved;
    world.answers = 'lost';
    draft.write(verse('1 5'));
    await world.pass(700);
    draft.write(verse('1 5 6-'));
    world.answers = 'all';
    const again = world.open('a', device, before);
    expect(again.get().value).toBe(verse('1 5 6-'));
    await world.pass(30_000);
    expect(again.get().status.kind).toBe('saved');
    expect(world.saved.value).toBe(verse('1 5 6-'));
  });
});

describe('what others save', () => {
  test('is taken over where nothing of one’s own waits, before the first key', async () => {
    const draft = world.open('a');
    world.put(verse('1 5'), 1);
    draft.adopt(world.saved);
    expect(draft.get()).toMatchObject({ value: verse('1 5'), status: { kind: 'saved' } });
    draft.write(verse('1 5 1'));
    await world.pass(1000);
    expect(draft.get().status.kind).toBe('saved');
    expect(world.saved.value).toBe(verse('1 5 1'));
  });

  test('in another section is put together with one’s own by itself', async () => {
    const draft = world.open('a');
    draft.write(verse('1 2-'));
    world.put(chorus('4 1'), 1);
    await world.pass(2000);
    expect(draft.get().status.kind).toBe('saved');
    expect(world.saved.value).toBe(BASE.replace('1 4', '1 2-').replace('4 5', '4 1'));
    draft.undo();
    await world.pass(2000);
    expect(world.saved.value).toBe(chorus('4 1'));
  });

  test('in the same section is asked about; nothing is saved until somebody has chosen', async () => {
    const draft = world.open('a');
    draft.write(verse('1 2-'));
    world.put(verse('1 5'), 1);
    await world.pass(2000);
    expect(draft.get()).toMatchObject({ value: verse('1 2-'), status: { kind: 'conflict', clashes: [{ name: 'Verse' }] } });
    draft.write(verse('1 2- 2-'));
    await world.pass(10_000);
    expect(world.saved.value).toBe(verse('1 5'));
    draft.resolve(verse('1 5'));
    await world.pass(2000);
    expect(draft.get()).toMatchObject({ value: verse('1 5'), status: { kind: 'saved' } });
    draft.undo();
    await world.pass(2000);
    expect(world.saved.value).toBe(verse('1 2- 2-'));
  });

  test('in the same section is still asked about after the page was loaded again', async () => {
    const device = world.device();
    const draft = world.open('a', device);
    draft.write(verse('1 2-'));
    world.put(verse('1 5'), 1);
    await world.pass(2000);
    const again = world.open('a', device);
    await world.pass(2000);
    expect(again.get()).toMatchObject({ value: verse('1 2-'), status: { kind: 'conflict' } });
    again.resolve(verse('1 2-'));
    await world.pass(2000);
    expect(world.saved.value).toBe(verse('1 2-'));
  });

  test('an older answer changes nothing', async () => {
    const draft = world.open('a');
    const old = world.saved;
    draft.write(verse('1 5'));
    await world.pass(1000);
    draft.adopt(old);
    expect(draft.get().value).toBe(verse('1 5'));
  });
});

describe('several tabs', () => {
  test('keep their texts apart: one tab’s save leaves what the other has not saved', async () => {
    const device = world.device();
    const [one, two] = [world.open('a', device), world.open('b', device)];
    world.answers = 'none';
    two.write(chorus('4 1'));
    await world.pass(700);
    world.answers = 'all';
    one.write(verse('1 5'));
    await one.flush();
    expect(isUnsaved(device)).toBe(true);
    await world.pass(60_000);
    expect([one.get().status.kind, two.get().status.kind]).toEqual(['saved', 'saved']);
    expect(world.saved.value).toBe(BASE.replace('1 4', '1 5').replace('4 5', '4 1'));
  });

  test('what a tab that is gone has left behind is taken up', async () => {
    const device = world.device();
    const gone = world.open('a', device);
    world.answers = 'none';
    gone.write(verse('1 5'));
    world.now += 11 * 60_000;
    world.answers = 'all';
    const here = world.open('b', device);
    await world.pass(2000);
    expect(here.get()).toMatchObject({ value: verse('1 5'), status: { kind: 'saved' } });
    expect(world.saved.value).toBe(verse('1 5'));
  });
});

describe('what can be taken back', () => {
  test('outlives the loading of the page', async () => {
    const device = world.device();
    const draft = world.open('a', device);
    draft.write(verse('1 5'));
    draft.write(verse('1 5 6-'));
    await world.pass(1000);
    const again = world.open('a', device);
    expect(again.get().canUndo).toBe(true);
    again.undo();
    again.undo();
    expect(again.get()).toMatchObject({ value: BASE, canUndo: false, canRedo: true });
    again.redo();
    expect(again.get().value).toBe(verse('1 5'));
  });

  test('also when an older answer was here first: it waits for what it was made up to', async () => {
    const before = world.saved;
    const draft = world.open('a');
    draft.write(verse('1 5'));
    await world.pass(5000);
    draft.write(verse('1 5 6-'));
    await world.pass(5000);
    const again = world.open('a', world.device(), before);
    expect(again.get()).toMatchObject({ value: BASE, canUndo: false });
    again.adopt(world.saved);
    again.undo();
    expect(again.get().value).toBe(verse('1 5'));
    again.undo();
    expect(again.get().value).toBe(BASE);
  });

  test('also over what somebody else made of it while the page was gone', async () => {
    const draft = world.open('a');
    draft.write(verse('1 5'));
    await world.pass(5000);
    world.put(verse('1 5').replace('4 5', '4 5 1'), world.saved.revision);
    const again = world.open('a');
    again.undo();
    expect(again.get().value).toBe(chorus('4 5 1'));
  });

  test('what is written on an older answer is a beginning of its own', async () => {
    const before = world.saved;
    const draft = world.open('a');
    draft.write(verse('1 5'));
    await world.pass(5000);
    const again = world.open('a', world.device(), before);
    again.write(chorus('4 5 1'));
    again.adopt(world.saved);
    expect(again.get().value).toBe(verse('1 5').replace('4 5', '4 5 1'));
    again.undo();
    expect(again.get()).toMatchObject({ value: verse('1 5'), canUndo: false });
  });

  test('what a closed tab left behind does not push own steps off their place', async () => {
    const gone = world.open('b');
    world.answers = 'none';
    gone.write(verse('1 5 6- 4'));
    world.now += 11 * 60_000;
    const own = world.open('a');
    own.write(chorus('4 5 1'));
    await world.pass(0);
    expect(own.get().value).toBe(verse('1 5 6- 4').replace('4 5', '4 5 1'));
    own.undo();
    expect(own.get()).toMatchObject({ value: verse('1 5 6- 4'), canUndo: false });
  });

  test('letters typed on are one step', () => {
    const draft = world.open('a');
    for (const bars of ['1 4 ', '1 4 5', '1 4 57']) draft.write(verse(bars), true);
    draft.undo();
    expect(draft.get().value).toBe(BASE);
  });
});

test('whoever writes what, when, and whatever is lost on the way: all who wrote in sections of their own come to one text', async () => {
  type Tab = 'a' | 'b';
  const step = fc.tuple(
    fc.constantFrom<Tab[]>('a', 'b'),
    fc.constantFrom<('write' | 'lose' | 'away' | 'wait' | 'reload')[]>('write', 'lose', 'away', 'wait', 'reload'),
    fc.constantFrom('1', '2-', '5 5', '6- 4'),
  );
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 1, maxLength: 14 }), async (steps) => {
      const here = new World(BASE);
      const device = { a: here.device(), b: here.device() };
      const tabs = { a: here.open('a', device.a), b: here.open('b', device.b) };
      const last = { a: '1 4', b: '4 5' };
      const happens = {
        write: (tab: Tab, bars: string) => {
          const mine = new RegExp(`(\\[${tab === 'a' ? 'Verse' : 'Chorus'}\\]\\n).*`);
          tabs[tab].write(tabs[tab].get().value.replace(mine, `$1${bars}`));
          last[tab] = bars;
        },
        lose: () => {
          here.answers = 'lost';
        },
        away: () => {
          here.answers = 'none';
        },
        wait: () => {
          here.answers = 'all';
          return here.pass(3000);
        },
        reload: (tab: Tab) => {
          tabs[tab] = here.open(tab, device[tab]);
        },
      };
      for (const [tab, what, bars] of steps) await happens[what](tab, bars);
      here.answers = 'all';
      for (let round = 0; round < 4; round += 1) {
        await here.pass(60_000);
        tabs.a.adopt(here.saved);
        tabs.b.adopt(here.saved);
      }
      expect([tabs.a.get().status.kind, tabs.b.get().status.kind]).toEqual(['saved', 'saved']);
      expect(here.saved.value).toBe(BASE.replace('1 4', last.a).replace('4 5', last.b));
      expect([tabs.a.get().value, tabs.b.get().value]).toEqual([here.saved.value, here.saved.value]);
    }),
    { seed: 97, numRuns: 150 },
  );
});
