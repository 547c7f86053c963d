import { printRecord, type RecordForm, readRecord } from './record-form.ts';

/** Where records lie; each under a name of its own, so that two tabs take nothing from each other. */
export type Shelf = Pick<Storage, 'getItem' | 'setItem' | 'removeItem' | 'key' | 'length'>;

/** The records of a browser. A browser that keeps nothing, or is full, is none the worse: it says so. */
export class Records {
  readonly #shelf: () => Shelf;

  /** @param shelf asked for at every use: a browser may refuse it at any time */
  constructor(shelf: () => Shelf) {
    this.#shelf = shelf;
  }

  /** The record of that name; null where there is none that can be read. */
  readonly get = <T>(form: RecordForm<T>, name: string = form.name): T | null => {
    const text = this.text(name);
    const reading = text === null ? null : readRecord(form, text);
    return reading?.kind === 'value' ? reading.value : null;
  };

  /** Keeps a record; false where the device has no room. */
  readonly put = <T>(form: RecordForm<T>, value: T, name: string = form.name): boolean => {
    try {
      this.#shelf().setItem(name, printRecord(form, value));
      return true;
    } catch {
      return false;
    }
  };

  readonly drop = (name: string): void => {
    try {
      this.#shelf().removeItem(name);
    } catch {
      // what cannot be reached is not there
    }
  };

  /** The names that begin so, in no order. */
  readonly names = (start: string): readonly string[] => {
    try {
      const shelf = this.#shelf();
      return Array.from({ length: shelf.length }, (_, index) => shelf.key(index) ?? '').filter((name) => name.startsWith(start));
    } catch {
      return [];
    }
  };

  /** The text under a name, as it lies there. */
  readonly text = (name: string): string | null => {
    try {
      return this.#shelf().getItem(name);
    } catch {
      return null;
    }
  };
}

/** What stays in this browser. */
export const device = new Records(() => window.localStorage);
/** What stays as long as the tab does. */
export const tab = new Records(() => window.sessionStorage);
