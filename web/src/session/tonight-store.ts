import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../device/kept-state.ts';
import { stateIn } from '../device/record-form.ts';

interface TonightState {
  /** The set this device works on; null for the last one anybody worked on. */
  readonly setId: string | null;
  readonly open: (setId: string | null) => void;
}

const schema = z.object({ setId: z.string().nullable() });

/** Which set is tonight's, on this device. */
export const useTonight = create<TonightState>()(
  persist(
    (put) => ({ setId: null, open: (setId) => put({ setId }) }),
    keptAs<TonightState, z.output<typeof schema>>({ name: 'aurora-tonight', schema, upgrades: [stateIn] }),
  ),
);
