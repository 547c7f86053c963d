import type { PersistOptions, PersistStorage } from 'zustand/middleware';
import type { RecordForm } from './record-form.ts';
import { device } from './records.ts';

/** Has a store keep its state, or a part of it, in this browser. */
export function keptAs<State, T extends object = State & object>(
  form: RecordForm<T>,
): Pick<PersistOptions<State, T>, 'name' | 'storage' | 'partialize'> {
  const storage: PersistStorage<T> = {
    getItem: () => {
      const state = device.get(form);
      return state === null ? null : { state, version: 0 };
    },
    setItem: (_, { state }) => void device.put(form, state),
    removeItem: device.drop,
  };
  // what a store can do is no part of what it is
  return { name: form.name, storage, partialize: (state) => form.schema.parse(state) };
}
