import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface StandLook {
  /** Pages of whole lines, or one line after the other. */
  readonly turn: 'pages' | 'lines';
  /** As the chart is written, or with repeats and jumps played out. */
  readonly form: 'written' | 'played';
}

/** How charts lie on this device's stand. */
export const useStandLook = create<StandLook>()(persist((): StandLook => ({ turn: 'pages', form: 'written' }), { name: 'aurora-stand' }));
