import type { Result } from '@aurora/core';
import { readScore, type ScoreFormat, writeTable } from '@aurora/core/format';
import type { SetList } from '@aurora/wire';
import { ANALYSIS_CALLS } from '../analysis/analysis-calls.ts';
import { BRIDGE_CALLS } from '../bridge/bridge-calls.ts';
import type { Call, Work } from '../call/call.ts';
import { CAPO_CALLS } from '../capo/capo-calls.ts';
import { CHART_CALLS } from '../chart/chart-calls.ts';
import { CONVERT_CALLS } from '../file/convert-calls.ts';
import { tableOfSet } from '../file/set-table.ts';
import { PRACTICE_CALLS } from '../practice/question-calls.ts';
import { REDUCE_CALLS } from '../reduce/reduce-calls.ts';
import { SHEET_CALLS } from '../sheet/sheet-calls.ts';
import { outlineOf, type SongOutline } from '../song/song-outline.ts';
import { changesOf } from '../song/version-changes.ts';
import { THEORY_CALLS } from '../theory/theory-calls.ts';
import { VOICING_CALLS } from '../voicing/voicing-calls.ts';

/** The calls that are answered from what is sent alone. */
export const OPEN_CALLS: readonly Call[] = [
  ...THEORY_CALLS,
  ...ANALYSIS_CALLS,
  ...REDUCE_CALLS,
  ...BRIDGE_CALLS,
  ...CHART_CALLS,
  ...CONVERT_CALLS,
  ...VOICING_CALLS,
  ...CAPO_CALLS,
  ...SHEET_CALLS,
  ...PRACTICE_CALLS,
];

/** What else is worked out beside the loop that answers everybody, by name: what is given, and what comes of it. */
export interface Tasks {
  readonly outline: { readonly given: string; readonly told: SongOutline };
  readonly changes: { readonly given: readonly string[]; readonly told: readonly (readonly string[])[] };
  readonly setTable: { readonly given: SetList; readonly told: string };
  readonly score: {
    readonly given: { readonly format: ScoreFormat; readonly source: Uint8Array };
    readonly told: Result<{ readonly title: string; readonly by: string }>;
  };
}

type TaskTable = { readonly [Name in keyof Tasks]: (given: Tasks[Name]['given']) => Tasks[Name]['told'] };

export const TASKS: TaskTable = {
  outline: outlineOf,
  changes: changesOf,
  setTable: (set) => writeTable(tableOfSet(set)),
  score: ({ format, source }) => {
    const read = readScore(format, source);
    return read.ok ? { ok: true, value: { title: read.value.score.title, by: read.value.score.by } } : read;
  },
};

/** The work of each open call by the call's name. */
export const WORKS: ReadonlyMap<string, Work> = new Map(OPEN_CALLS.flatMap(({ id, work }) => (work === undefined ? [] : [[id, work]])));
