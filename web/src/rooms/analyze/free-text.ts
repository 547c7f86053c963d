import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface FreeText {
  readonly text: string;
  readonly write: (text: string) => void;
}

/** Chords somebody is working out that belong to no song yet. They stay on this device. */
export const useFreeText = create<FreeText>()(
  persist((set) => ({ text: '', write: (text) => set({ text }) }), { name: 'aurora-analyze', partialize: ({ text }) => ({ text }) }),
);
