import type { ChordShow } from '@aurora/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

interface ChartViewState {
  readonly show: ChordShow;
  /** Whether the text stands beside the sheet. */
  readonly writing: boolean;
  readonly setShow: (show: ChordShow) => void;
  readonly setWriting: (writing: boolean) => void;
}

/** How charts are looked at on this device. */
export const useChartView = create<ChartViewState>()(
  persist(
    (set) => ({
      show: 'both',
      writing: true,
      setShow: (show) => set({ show }),
      setWriting: (writing) => set({ writing }),
    }),
    { name: 'aurora-chart-view' },
  ),
);
