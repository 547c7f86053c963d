import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { type ClickWish, PLAIN_CLICK } from '../../../transport/clicks.ts';
import type { Run } from './session-run.ts';

interface RunState {
  /** The session that is under way; it outlives a reload. */
  readonly run: Run | null;
  readonly minutes: number;
  readonly click: ClickWish;
  /** Whether what is played is heard beside the click. */
  readonly heard: boolean;
}

/** What of practising this device remembers. */
export const useRun = create<RunState>()(
  persist((): RunState => ({ run: null, minutes: 20, click: PLAIN_CLICK, heard: true }), { name: 'aurora-practice' }),
);

/** Changes the session by what was pressed; nothing happens where there is none. */
export function turnRun(turn: (run: Run) => Run): void {
  useRun.setState(({ run }) => (run === null ? {} : { run: turn(run) }));
}
