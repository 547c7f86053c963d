import type { Paper } from '@aurora/core';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';

/** Which paper lies in the printer at this device. */
export const usePaper = create<{ readonly paper: Paper }>()(persist(() => ({ paper: 'A4' as Paper }), { name: 'aurora-paper' }));

export function setPaper(paper: Paper): void {
  usePaper.setState({ paper });
}
