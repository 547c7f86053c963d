import { type PracticePass, type PracticeSession, passesTaken, practiceSession } from '@aurora/wire';
import { ApiFault, call } from '../api/client.ts';

const PREFIX = 'aurora-';
const AT_ONCE = 200;
/** Who sits here is not known yet. */
const NOBODY = '';
const RETRY_MS = 15_000;

/** Where a device keeps what it has not sent yet; each pass under a name of its own, so that two tabs take nothing from each other. */
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
  readonly add = (memberId: string, pass: Thing): boolean => {
    const isKept = this.#put(memberId, pass);
    if (isKept && memberId !== NOBODY) void this.flush(memberId);
    else if (!isKept) void this.#send(memberId, [pass]).catch(() => undefined);
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
    for (let passes = this.waiting(memberId); passes.length > 0; passes = this.waiting(memberId)) {
      const some = passes.slice(0, AT_ONCE);
      try {
        await this.#send(memberId, some);
      } catch (error) {
        if (!isRefused(error)) return;
        await this.#sendSingly(memberId, some);
      }
      for (const { id } of some) this.#store.removeItem(this.#nameOf(memberId, id));
      this.#tell();
    }
  }

  async #sendSingly(memberId: string, passes: readonly Thing[]): Promise<void> {
    for (const pass of passes) {
      await this.#send(memberId, [pass]).catch((error: unknown) => {
        if (isRefused(error)) this.#store.setItem(`${this.#name}-refused:${memberId}:${pass.id}`, JSON.stringify(pass));
      });
    }
  }

  #put(memberId: string, pass: Thing): boolean {
    try {
      this.#store.setItem(this.#nameOf(memberId, pass.id), JSON.stringify(pass));
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
