import { BLOCK_KINDS, STUDIES } from '@aurora/core';
import { z } from 'zod';
import { create } from 'zustand';
import { persist } from 'zustand/middleware';
import { keptAs } from '../../../device/kept-state.ts';
import { type RecordForm, stateIn } from '../../../device/record-form.ts';
import { PLAIN_CLICK } from '../../../transport/clicks.ts';
import type { Run } from './session-run.ts';

const runItem = z.object({
  item: z.object({ study: z.enum(STUDIES), what: z.string(), key: z.string() }),
  title: z.string(),
  night: z.number().int().nullable(),
  ms: z.number(),
  depth: z.enum(['triad', 'seventh']).optional(),
});

const run: z.ZodType<Run> = z.object({
  id: z.string(),
  blocks: z.array(z.object({ kind: z.enum(BLOCK_KINDS), minutes: z.number(), items: z.array(runItem) })),
  block: z.number().int(),
  place: z.number().int(),
  phase: z.enum(['preview', 'playing', 'asking', 'resting', 'over']),
  startedAt: z.number(),
  since: z.number(),
  passes: z.number().int(),
  good: z.number().int(),
});

const runState = z.object({
  /** The session that is under way; it outlives a reload. */
  run: run.nullable(),
  minutes: z.number(),
  click: z.object({
    subdivision: z.union([z.literal(1), z.literal(2), z.literal(3), z.literal(4)]),
    offBeat: z.boolean(),
    silentBars: z.boolean(),
  }),
  /** Whether what is played is heard beside the click. */
  heard: z.boolean(),
});
type RunState = Readonly<z.output<typeof runState>>;

const FIRST: RunState = { run: null, minutes: 20, click: PLAIN_CLICK, heard: true };

/** What an older form lacks is as on a new device. */
export const RUN_FORM: RecordForm<RunState> = {
  name: 'aurora-practice',
  schema: runState,
  upgrades: [(text) => ({ ...FIRST, ...(stateIn(text) as object) })],
};

/** What of practising this device remembers. */
export const useRun = create<RunState>()(persist(() => FIRST, keptAs(RUN_FORM)));

/** Changes the session by what was pressed; nothing happens where there is none. */
export function turnRun(turn: (run: Run) => Run): void {
  useRun.setState(({ run }) => (run === null ? {} : { run: turn(run) }));
}
