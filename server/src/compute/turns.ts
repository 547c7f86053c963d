import { HttpFault } from '../http-fault.ts';

const MOST_WAITING = 30;
const TOO_MANY = 'You have asked for a lot at once. Wait for some of it and go on.';

/** One piece of work of a client after the other; different clients do not wait for each other. */
export class Turns {
  readonly #last = new Map<string, { end: Promise<unknown>; waiting: number }>();

  readonly take = async <T>(client: string, work: () => Promise<T>): Promise<T> => {
    const line = this.#last.get(client) ?? { end: Promise.resolve(), waiting: 0 };
    if (line.waiting >= MOST_WAITING) throw new HttpFault('too-many', TOO_MANY);
    this.#last.set(client, line);
    line.waiting += 1;
    const mine = line.end.then(work);
    line.end = mine.catch(() => undefined);
    try {
      return await mine;
    } finally {
      line.waiting -= 1;
      if (line.waiting === 0) this.#last.delete(client);
    }
  };
}
