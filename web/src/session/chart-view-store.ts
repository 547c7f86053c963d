import type { ChordShow } from '@aurora/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface ChartViewState {
  readonly show: ChordShow;
  /** Whether a digit alone writes the key's own chord: 2 in a major key is 2–. */
  readonly ownChords: boolean;
  readonly setShow: (show: ChordShow) => void;
  readonly setOwnChords: (ownChords: boolean) => void;
}

/** How charts are looked at on this device. */
export const useChartView = create<ChartViewState>()(
  persist(
    (set) => ({
      show: 'both',
      ownChords: false,
      setShow: (show) => set({ show }),
      setOwnChords: (ownChords) => set({ ownChords }),
    }),
    { name: 'aurora-chart-view' },
  ),
);
