import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../../device/kept-state.ts';
import { stateIn } from '../../device/record-form.ts';

const sentReading = z.object({
  /** How whoever opens links on this device reads, as it stands in an address; null while nobody has said. */
  readerId: z.string().max(60).nullable(),
  part: z.enum(['chart', 'bass']),
});
export type SentReading = Readonly<z.output<typeof sentReading>>;

/** How charts that were sent here are read on this device. */
export const useSentReading = create<SentReading>()(
  persist(
    (): SentReading => ({ readerId: null, part: 'chart' }),
    keptAs({ name: 'aurora-sent', schema: sentReading, upgrades: [stateIn] }),
  ),
);
