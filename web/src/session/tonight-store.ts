import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface TonightState {
  /** The set this device works on; null for the last one anybody worked on. */
  readonly setId: string | null;
  readonly open: (setId: string | null) => void;
}

/** Which set is tonight's, on this device. */
export const useTonight = create<TonightState>()(
  persist((put) => ({ setId: null, open: (setId) => put({ setId }) }), { name: 'aurora-tonight' }),
);
