import { z } from 'zod';
import type { RecordForm } from '../device/record-form.ts';
import type { Records } from '../device/records.ts';
import { verdictOn } from './answers.ts';

const AT_ONCE = 200;

/** Whose something is: a player in a band. The player is empty while it is not known who sits here. */
export interface Owner {
  readonly bandId: string;
  readonly memberId: string;
}

/** How things are sent; the server keeps each by its id, however often it comes. */
export type Send<Thing> = (owner: Owner, things: readonly Thing[]) => Promise<unknown>;

/** Something the server will not take, and why. */
export interface Refused<Thing> {
  readonly thing: Thing;
  readonly why: string;
}

/** What an outbox keeps: a thing, and why it was refused where it was. */
interface Kept<Thing> {
  readonly thing: Thing;
  readonly refused: string | null;
}

/**
 * What is not on the server yet: written on the device first, sent when the server answers, kept there once. A device
 * without room keeps it for as long as the page lives.
 */
export class Outbox<Thing extends { readonly id: string }> {
  readonly #form: RecordForm<Kept<Thing>>;
  readonly #records: Records;
  readonly #send: Send<Thing>;
  readonly #listeners = new Set<() => void>();
  /** One sending for each owner. */
  readonly #sending = new Map<string, Promise<void>>();
  /** Names of what may still be taken back: kept, and not sent yet. */
  readonly #held = new Set<string>();
  /** What the device has no room for, by the name it would have. */
  readonly #inPage = new Map<string, Kept<Thing>>();

  /** @param name `pass` or the like; things are kept under it with their owner and id */
  constructor(name: string, schema: z.ZodType<Thing>, records: Records, send: Send<Thing>) {
    const kept = z.object({ thing: schema, refused: z.string().nullable() }) as unknown as z.ZodType<Kept<Thing>>;
    this.#form = { name: `aurora-${name}`, schema: kept, upgrades: [(text) => ({ thing: JSON.parse(text), refused: null })] };
    this.#records = records;
    this.#send = send;
  }

  readonly subscribe = (listener: () => void): (() => void) => {
    this.#listeners.add(listener);
    return () => this.#listeners.delete(listener);
  };

  /** Keeps a thing on the device, and tries to send it. False where the device has no room: then the page keeps it. */
  readonly add = (owner: Owner, thing: Thing): boolean => {
    const isKept = this.#put(nameOf(this.#form, owner, thing.id), { thing, refused: null });
    if (owner.memberId !== '') this.flush(owner);
    this.#tell();
    return isKept;
  };

  /** Keeps a thing as `add` does, and sends it only once it is released, or by a page opened later. */
  readonly hold = (owner: Owner, thing: Thing): boolean => {
    const name = nameOf(this.#form, owner, thing.id);
    this.#held.add(name);
    const isKept = this.#put(name, { thing, refused: null });
    this.#tell();
    return isKept;
  };

  /** Sends what was held; without an id all of an owner's. */
  readonly release = (owner: Owner, id = ''): void => {
    const start = nameOf(this.#form, owner, id);
    for (const name of this.#held) if (id === '' ? name.startsWith(start) : name === start) this.#held.delete(name);
    if (owner.memberId !== '') this.flush(owner);
  };

  /** Forgets what was held, as if it had never been; false where it was sent already. */
  readonly takeBack = (owner: Owner, id: string): boolean => {
    const name = nameOf(this.#form, owner, id);
    if (!this.#held.delete(name) || this.#kept(name) === null) return false;
    this.#drop(name);
    this.#tell();
    return true;
  };

  /** What of a player waits here to be sent. */
  readonly waiting = (owner: Owner): readonly Thing[] =>
    this.#all(owner).flatMap(({ kept: { thing, refused } }) => (refused === null ? [thing] : []));

  /** What the server will not take of a player, with why. */
  readonly refused = (owner: Owner): readonly Refused<Thing>[] =>
    this.#all(owner).flatMap(({ kept: { thing, refused } }) => (refused === null ? [] : [{ thing, why: refused }]));

  /** Has what was refused sent once more. */
  readonly sendAgain = (owner: Owner): void => {
    for (const { name, kept } of this.#all(owner)) if (kept.refused !== null) this.#put(name, { ...kept, refused: null });
    this.#tell();
    this.flush(owner);
  };

  /** Forgets what was refused. */
  readonly letGo = (owner: Owner): void => {
    for (const { name, kept } of this.#all(owner)) if (kept.refused !== null) this.#drop(name);
    this.#tell();
  };

  /** What was kept in this band before it was known who sits here belongs to whoever does. */
  readonly adopt = (owner: Owner): void => {
    for (const { name, kept } of this.#all({ ...owner, memberId: '' })) this.#move(name, owner, kept);
    this.#adoptOlder(owner);
  };

  /** Sends what waits; comes back when it is sent, or kept for later. It never fails. */
  readonly flush = (owner: Owner): Promise<void> => {
    const key = `${owner.bandId}:${owner.memberId}`;
    const running = this.#sending.get(key);
    if (running !== undefined) return running;
    const sending = this.#sendAll(owner).finally(() => this.#sending.delete(key));
    this.#sending.set(key, sending);
    return sending;
  };

  async #sendAll(owner: Owner): Promise<void> {
    const tried = new Set<string>();
    // what was sent already and is here still cannot be taken off the device: once is enough
    const fresh = () =>
      this.waiting(owner).filter((thing) => !tried.has(JSON.stringify(thing)) && !this.#held.has(nameOf(this.#form, owner, thing.id)));
    for (let things = fresh(); things.length > 0; things = fresh()) {
      const some = things.slice(0, AT_ONCE);
      for (const thing of some) tried.add(JSON.stringify(thing));
      const isThrough = await this.#sendSome(owner, some);
      this.#tell();
      // what did not get through is tried again later
      if (!isThrough) return;
    }
  }

  /** Sends things together, and one by one where the server will not have them all; whether each is settled. */
  async #sendSome(owner: Owner, things: readonly Thing[]): Promise<boolean> {
    const why = await this.#sent(owner, things);
    if (why === null) return true;
    if (!why.isFinal) return false;
    let isThrough = true;
    for (const thing of things) {
      const verdict = await this.#sent(owner, [thing]);
      if (verdict?.isFinal === true) this.#put(nameOf(this.#form, owner, thing.id), { thing, refused: verdict.why });
      if (verdict?.isFinal === false) isThrough = false;
    }
    return isThrough;
  }

  /** Null when the server has them; they are no longer here then. */
  async #sent(owner: Owner, things: readonly Thing[]) {
    try {
      await this.#send(owner, things);
    } catch (error) {
      return verdictOn(error);
    }
    for (const thing of things) this.#dropSent(nameOf(this.#form, owner, thing.id), thing);
    return null;
  }

  /** What was changed while it was sent stays, to be sent after it. */
  #dropSent(name: string, sent: Thing): void {
    const now = this.#kept(name)?.thing;
    if (now === undefined || JSON.stringify(now) === JSON.stringify(sent)) this.#drop(name);
  }

  /** What older pages kept under a player alone: a player is of one band, so it is theirs. */
  #adoptOlder(owner: Owner): void {
    if (owner.memberId === '') return;
    for (const [start, why] of [
      [`${this.#form.name}:${owner.memberId}:`, null],
      [`${this.#form.name}-refused:${owner.memberId}:`, OLDER_REFUSAL],
    ] as const) {
      for (const name of this.#records.names(start)) {
        const kept = this.#records.get(this.#form, name);
        if (kept !== null) this.#move(name, owner, { ...kept, refused: why });
      }
    }
  }

  #move(name: string, owner: Owner, kept: Kept<Thing>): void {
    const own = nameOf(this.#form, owner, kept.thing.id);
    if (this.#held.delete(name)) this.#held.add(own);
    if (this.#put(own, kept)) this.#drop(name);
  }

  /** Everything of an owner, waiting or refused. */
  #all(owner: Owner): readonly { readonly name: string; readonly kept: Kept<Thing> }[] {
    const start = nameOf(this.#form, owner, '');
    const names = [...new Set([...this.#records.names(start), ...[...this.#inPage.keys()].filter((name) => name.startsWith(start))])];
    return names.flatMap((name) => {
      const kept = this.#kept(name);
      return kept === null ? [] : [{ name, kept }];
    });
  }

  #kept(name: string): Kept<Thing> | null {
    return this.#inPage.get(name) ?? this.#records.get(this.#form, name);
  }

  #put(name: string, kept: Kept<Thing>): boolean {
    const isKept = this.#records.put(this.#form, kept, name);
    if (isKept) this.#inPage.delete(name);
    else this.#inPage.set(name, kept);
    return isKept;
  }

  #drop(name: string): void {
    this.#inPage.delete(name);
    this.#records.drop(name);
  }

  #tell(): void {
    for (const listener of this.#listeners) listener();
  }
}

/** Older pages kept no reason with what was refused. */
const OLDER_REFUSAL = '';

function nameOf({ name }: { readonly name: string }, { bandId, memberId }: Owner, id: string): string {
  return `${name}:${bandId}:${memberId}:${id}`;
}
