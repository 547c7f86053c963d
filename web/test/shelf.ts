import type { Shelf } from '../src/device/records.ts';

/** A browser's storage in memory; a value longer than `room` letters finds none. */
export function shelfOf(storage: Map<string, string>, room: () => number = () => Number.POSITIVE_INFINITY): Shelf {
  return {
    get length() {
      return storage.size;
    },
    key: (place) => [...storage.keys()][place] ?? null,
    getItem: (name) => storage.get(name) ?? null,
    setItem: (name, value) => {
      if (value.length > room()) throw new DOMException('no room', 'QuotaExceededError');
      storage.set(name, value);
    },
    removeItem: (name) => void storage.delete(name),
  };
}
