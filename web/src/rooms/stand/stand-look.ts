import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../../device/kept-state.ts';
import { stateIn } from '../../device/record-form.ts';

const standLook = z.object({
  /** Pages of whole lines, or one line after the other. */
  turn: z.enum(['pages', 'lines']),
  /** As the chart is written, or with repeats and jumps played out. */
  form: z.enum(['written', 'played']),
  /** Dark as a stage is, or light as paper is by day; its own, whatever the other rooms are. */
  theme: z.enum(['night', 'paper']).default('night'),
});
type StandLook = Readonly<z.output<typeof standLook>>;

/** How charts lie on this device's stand. */
export const useStandLook = create<StandLook>()(
  persist(
    (): StandLook => ({ turn: 'pages', form: 'written', theme: 'night' }),
    keptAs({ name: 'aurora-stand', schema: standLook, upgrades: [stateIn] }),
  ),
);
