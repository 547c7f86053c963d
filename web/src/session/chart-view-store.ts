import { CHORD_SHOWS, type ChordShow } from '@aurora/core';
import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../device/kept-state.ts';
import { stateIn } from '../device/record-form.ts';

interface ChartViewState {
  readonly show: ChordShow;
  /** Whether a digit alone writes the key's own chord: 2 in a major key is 2–. */
  readonly ownChords: boolean;
  readonly setShow: (show: ChordShow) => void;
  readonly setOwnChords: (ownChords: boolean) => void;
}

const schema = z.object({ show: z.enum(CHORD_SHOWS), ownChords: z.boolean() });

/** How charts are looked at on this device. */
export const useChartView = create<ChartViewState>()(
  persist(
    (set) => ({
      show: 'both',
      ownChords: false,
      setShow: (show) => set({ show }),
      setOwnChords: (ownChords) => set({ ownChords }),
    }),
    keptAs<ChartViewState, z.output<typeof schema>>({ name: 'aurora-chart-view', schema, upgrades: [stateIn] }),
  ),
);
