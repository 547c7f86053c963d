import { type PracticePass, type PracticeSession, passesTaken, practiceSession } from '@aurora/wire';
import { ApiFault, call } from '../api/client.ts';

const PREFIX = 'aurora-';
const AT_ONCE = 200;
/** Who sits here is not known yet. */
const NOBODY = '';
const RETRY_MS = 15_000;

/** Where a device keeps what it has not sent yet; each thing under a name of its own, so that two tabs take nothing from each other. */
type Store = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** How things are sent; the server keeps each by its id, however often it comes. */
export type Send<Thing> = (memberId: string, things: readonly Thing[]) => Promise<unknown>;

/** What is not on the server yet: written on the device first, sent when the server answers, kept there once. */
export class Outbox<Thing extends { readonly id: string }> {
  readonly #name: string;
  readonly #store: Store;
  readonly #send: Send<Thing>;
  readonly #listeners = new Set<() => void>();
  #sending: Promise<void> | null = null;

  constructor(name: string, store: Store, send: Send<Thing>) {
    this.#name = `${PREFIX}${name}`;
    this.#store = store;
    this.#send = send;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Keeps a thing on the device, and tries to send it. False where the device has no room: then it is only sent. */
  readonly add = (memberId: string, thing: Thing): boolean => {
    const isKept = this.#put(memberId, thing);
    if (isKept && memberId !== NOBODY) void this.flush(memberId);
    else if (!isKept) void this.#send(memberId, [thing]).catch(() => undefined);
    this.#tell();
    return isKept;
  };

  /** What of a player waits here to be sent. */
  readonly waiting = (memberId: string): readonly Thing[] => this.#names(memberId).flatMap((name) => this.#read(name) ?? []);

  /** What was kept before it was known who sits here belongs to whoever does. */
  readonly adopt = (memberId: string): void => {
    for (const thing of this.waiting(NOBODY)) {
      if (this.#put(memberId, thing)) this.#store.removeItem(this.#nameOf(NOBODY, thing.id));
    }
  };

  /** Sends what waits. What the server refuses for good is kept on the device apart, and tried no more. */
  readonly flush = async (memberId: string): Promise<void> => {
    this.#sending ??= this.#sendAll(memberId).finally(() => {
      this.#sending = null;
    });
    await this.#sending;
  };

  async #sendAll(memberId: string): Promise<void> {
    for (let things = this.waiting(memberId); things.length > 0; things = this.waiting(memberId)) {
      const some = things.slice(0, AT_ONCE);
      const settled = await this.#sent(memberId, some);
      for (const { id } of settled) this.#store.removeItem(this.#nameOf(memberId, id));
      this.#tell();
      // what did not get through is tried again later
      if (settled.length < some.length) return;
    }
  }

  /** Sends things together, and one by one where the server will not have them all; those it has, or will never take. */
  async #sent(memberId: string, things: readonly Thing[]): Promise<readonly Thing[]> {
    try {
      await this.#send(memberId, things);
      return things;
    } catch (error) {
      if (!isRefused(error)) return [];
    }
    const settled: Thing[] = [];
    for (const thing of things) if (await this.#sentSingly(memberId, thing)) settled.push(thing);
    return settled;
  }

  async #sentSingly(memberId: string, thing: Thing): Promise<boolean> {
    try {
      await this.#send(memberId, [thing]);
    } catch (error) {
      if (!isRefused(error)) return false;
      this.#store.setItem(`${this.#name}-refused:${memberId}:${thing.id}`, JSON.stringify(thing));
    }
    return true;
  }

  #put(memberId: string, thing: Thing): boolean {
    try {
      this.#store.setItem(this.#nameOf(memberId, thing.id), JSON.stringify(thing));
      return true;
    } catch {
      return false;
    }
  }

  #names(memberId: string): readonly string[] {
    const names = Array.from({ length: this.#store.length }, (_, at) => this.#store.key(at) ?? '');
    return names.filter((name) => name.startsWith(`${this.#name}:${memberId}:`));
  }

  #read(name: string): Thing | null {
    try {
      return JSON.parse(this.#store.getItem(name) ?? 'null') as Thing | null;
    } catch {
      return null;
    }
  }

  #nameOf(memberId: string, id: string): string {
    return `${this.#name}:${memberId}:${id}`;
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }
}

/** Whether the server has read it and will never take it. */
function isRefused(error: unknown): boolean {
  return error instanceof ApiFault && error.status >= 400 && error.status < 500 && error.status !== 429;
}

interface PracticeOutbox {
  readonly passes: Outbox<PracticePass>;
  readonly sessions: Outbox<PracticeSession>;
}

const PRACTICE = new Map<string, PracticeOutbox>();

/** What was practised in a band at this browser and is not on the server yet. */
export function practiceOutbox(bandId: string): PracticeOutbox {
  const known = PRACTICE.get(bandId);
  if (known !== undefined) return known;
  const member = (memberId: string) => `/bands/${bandId}/members/${memberId}`;
  const made: PracticeOutbox = {
    passes: new Outbox('pass', window.localStorage, (memberId, passes) =>
      call('POST', `${member(memberId)}/passes`, passesTaken, { body: { passes } }),
    ),
    sessions: new Outbox('session', window.localStorage, async (memberId, sessions) => {
      for (const session of sessions)
        await call('PUT', `${member(memberId)}/practice/sessions/${session.id}`, practiceSession, { body: session });
    }),
  };
  PRACTICE.set(bandId, made);
  return made;
}

/** Tries again from time to time, and whenever there may be a network; gives back what ends it. */
export function keepSending(box: Pick<Outbox<{ readonly id: string }>, 'flush' | 'adopt'>, memberId: string): () => void {
  box.adopt(memberId);
  const send = () => void box.flush(memberId);
  const timer = window.setInterval(send, RETRY_MS);
  window.addEventListener('online', send);
  send();
  return () => {
    window.clearInterval(timer);
    window.removeEventListener('online', send);
  };
}
