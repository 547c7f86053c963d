import { HttpFault } from '../http-fault.ts';

const MOST_WAITING = 30;
const TOO_MANY = 'You have asked for a lot at once. Wait for some of it and go on.';

/** One piece of work of a client after the other; different clients do not wait for each other. */
export class Turns {
  readonly #last = new Map<string, { end: Promise<unknown>; waiting: number }>();

  readonly take = async <T>(client: string, gone: AbortSignal, work: () => Promise<T>): Promise<T> => {
    const before = this.#last.get(client);
    if (before !== undefined && before.waiting >= MOST_WAITING) throw new HttpFault('too-many', TOO_MANY);
    const mine = (before?.end ?? Promise.resolve()).then(() => {
      if (gone.aborted) throw new HttpFault('too-large', 'Nobody waits for this any more.');
      return work();
    });
    const entry = before ?? { end: mine, waiting: 0 };
    entry.waiting += 1;
    const end = mine.then(
      () => undefined,
      () => undefined,
    );
    entry.end = end;
    this.#last.set(client, entry);
    try {
      return await mine;
    } finally {
      entry.waiting -= 1;
      if (entry.waiting === 0) this.#last.delete(client);
    }
  };
}
