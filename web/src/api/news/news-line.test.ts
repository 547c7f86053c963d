import type { NewsItem } from '@aurora/wire';
import { beforeEach, describe, expect, test } from '@jest/globals';
import { type Channel, type LineDeps, type News, NewsLine, type Source } from './news-line.ts';

const item = (seq: number, revision = seq): NewsItem => ({ seq, kind: 'song', id: 'harbor', revision });

/** A stream the test speaks on. */
class FakeSource implements Source {
  readyState = 0;
  readonly path: string;
  readonly #heard = new Map<string, (event: Event) => void>();

  constructor(path: string) {
    this.path = path;
  }
  addEventListener = (name: string, listener: unknown) => void this.#heard.set(name, listener as (event: Event) => void);
  close = () => {
    this.readyState = 2;
  };
  say(name: string, data: object = {}, lastEventId = '') {
    this.#heard.get(name)?.({ data: JSON.stringify(data), lastEventId } as unknown as Event);
  }
  /** The connection breaks; refused, it is not opened again by the browser. */
  break(isRefused = false) {
    if (isRefused) this.readyState = 2;
    this.#heard.get('error')?.(new Event('error'));
  }
}

/** One browser with tabs: one leads at a time, and all hear each other. */
class Browser {
  readonly sources: FakeSource[] = [];
  readonly #waiting: { signal: AbortSignal; work: () => Promise<void> }[] = [];
  #leads = false;
  #channels: { owner: object; listener: (event: MessageEvent) => void }[] = [];
  readonly timers = new Map<number, { work: () => void; ms: number }>();
  #next = 0;

  deps(): LineDeps {
    return {
      open: (path) => {
        this.sources.push(new FakeSource(path));
        return this.sources.at(-1) as FakeSource;
      },
      inOneTab: (_, signal, work) => {
        this.#waiting.push({ signal, work });
        this.#letOneLead();
      },
      channel: () => {
        const owner = {};
        return {
          postMessage: (data: unknown) => {
            for (const one of this.#channels) if (one.owner !== owner) one.listener({ data: structuredClone(data) } as MessageEvent);
          },
          addEventListener: (_name: string, listener: unknown) =>
            void this.#channels.push({ owner, listener: listener as (event: MessageEvent) => void }),
          close: () => {
            this.#channels = this.#channels.filter((one) => one.owner !== owner);
          },
        } as unknown as Channel;
      },
      setTimer: (work, ms) => {
        this.#next += 1;
        this.timers.set(this.#next, { work, ms });
        return this.#next;
      },
      clearTimer: (timer) => void this.timers.delete(timer),
    };
  }

  #letOneLead(): void {
    if (this.#leads) return;
    const next = this.#waiting.splice(0, this.#waiting.findIndex(({ signal }) => !signal.aborted) + 1).at(-1);
    if (next === undefined) return;
    this.#leads = true;
    void next.work().then(() => {
      this.#leads = false;
      this.#letOneLead();
    });
  }

  pass(): readonly number[] {
    const due = [...this.timers];
    this.timers.clear();
    for (const [, { work }] of due) work();
    return due.map(([, { ms }]) => ms);
  }

  get source(): FakeSource {
    return this.sources.at(-1) as FakeSource;
  }
}

let browser: Browser;
beforeEach(() => {
  browser = new Browser();
});

function tab(deps: LineDeps = browser.deps()) {
  const heard: News[] = [];
  const opens: boolean[] = [];
  const line = new NewsLine('quay', deps, { onNews: (news) => void heard.push(news), onOpen: (isOpen) => void opens.push(isOpen) });
  return { heard, opens, close: line.close };
}
const settled = () => new Promise((resolve) => setImmediate(resolve));

describe('one tab', () => {
  test('hears, tells what came together at once, and knows that it hears', () => {
    const { heard, opens } = tab();
    expect(browser.source.path).toBe('/api/v1/bands/quay/changes');
    browser.source.say('hello', {}, '4');
    browser.source.say('change', item(5), '5');
    browser.source.say('change', item(6), '6');
    expect(heard).toEqual([]);
    browser.pass();
    expect([heard, opens]).toEqual([[{ items: [item(5), item(6)], all: false }], [true]]);
  });

  test('that missed too much is told that anything may have changed', () => {
    const { heard } = tab();
    browser.source.say('hello', {}, '4');
    browser.source.say('change', item(5), '5');
    browser.source.say('all', {}, '900');
    browser.pass();
    expect(heard).toEqual([{ items: [], all: true }]);
  });

  test('what is no change is not told', () => {
    const { heard } = tab();
    browser.source.say('change', { seq: 1, kind: 'weather', id: null, revision: null }, '1');
    browser.pass();
    expect(heard).toEqual([]);
  });

  test('whose stream breaks is not heard until it is back; the browser comes again by itself', () => {
    const { opens } = tab();
    browser.source.say('hello', {}, '4');
    browser.source.break();
    expect([opens, browser.timers.size]).toEqual([[true, false], 0]);
    browser.source.say('hello', {}, '4');
    expect(opens).toEqual([true, false, true]);
  });

  test('that was refused comes again in two seconds, from what it heard last', () => {
    tab();
    browser.source.say('hello', {}, '41');
    browser.source.break(true);
    expect(browser.pass()).toEqual([2000]);
    expect(browser.sources.map(({ path }) => path)).toEqual(['/api/v1/bands/quay/changes', '/api/v1/bands/quay/changes?after=41']);
  });

  test('that is closed leaves nothing behind', async () => {
    const { close, heard } = tab();
    browser.source.say('change', item(5), '5');
    close();
    await settled();
    expect([browser.source.readyState, browser.timers.size]).toEqual([2, 0]);
    browser.pass();
    expect(heard).toEqual([]);
  });

  test('in a browser without streams hears nothing, and breaks nothing', () => {
    const { heard, opens, close } = tab({ ...browser.deps(), open: null });
    close();
    expect([browser.sources.length, heard, opens]).toEqual([0, [], []]);
  });
});

describe('tabs of one browser', () => {
  test('share one connection; each hears', () => {
    const [first, second, third] = [tab(), tab(), tab()];
    expect(browser.sources).toHaveLength(1);
    browser.source.say('hello', {}, '4');
    browser.source.say('change', item(5), '5');
    browser.pass();
    for (const { heard, opens } of [first, second, third]) expect([heard, opens]).toEqual([[{ items: [item(5)], all: false }], [true]]);
  });

  test('one that is opened later knows that there is one', () => {
    tab();
    browser.source.say('hello', {}, '4');
    expect(tab().opens).toEqual([true]);
  });

  test('the next one takes over from what was heard last', async () => {
    const first = tab();
    const second = tab();
    browser.source.say('hello', {}, '4');
    browser.source.say('change', item(5), '5');
    browser.pass();
    first.close();
    await settled();
    expect(browser.sources.map(({ path }) => path.split('?')[1])).toEqual([undefined, 'after=5']);
    browser.source.say('hello', {}, '5');
    browser.source.say('change', item(6), '6');
    browser.pass();
    expect(second.heard.at(-1)).toEqual({ items: [item(6)], all: false });
    expect(first.heard).toHaveLength(1);
  });

  test('when the connection breaks all of them know', () => {
    const [, second] = [tab(), tab()];
    browser.source.say('hello', {}, '4');
    browser.source.break();
    expect(second.opens).toEqual([true, false]);
  });
});
