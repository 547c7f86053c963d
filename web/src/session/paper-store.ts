import { PAPER_NAMES, type Paper } from '@aurora/core';
import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../device/kept-state.ts';
import { stateIn } from '../device/record-form.ts';

const schema = z.object({ paper: z.enum(PAPER_NAMES) });

/** Which paper lies in the printer at this device. */
export const usePaper = create<{ readonly paper: Paper }>()(
  persist(() => ({ paper: 'A4' as Paper }), keptAs({ name: 'aurora-paper', schema, upgrades: [stateIn] })),
);

export function setPaper(paper: Paper): void {
  usePaper.setState({ paper });
}
