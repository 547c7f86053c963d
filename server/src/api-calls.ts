import { ANALYSIS_CALLS } from './analysis/analysis-calls.ts';
import { bandCalls } from './band/band-calls.ts';
import { BRIDGE_CALLS } from './bridge/bridge-calls.ts';
import type { Call } from './call/call.ts';
import { CAPO_CALLS } from './capo/capo-calls.ts';
import { CHART_CALLS } from './chart/chart-calls.ts';
import type { Pool } from './db/pool.ts';
import { CONVERT_CALLS } from './file/convert-calls.ts';
import { exportCalls } from './file/export-calls.ts';
import { importCalls } from './file/import-calls.ts';
import { jobCalls } from './job/job-calls.ts';
import type { Jobs } from './job/jobs.ts';
import { memberCalls } from './member/member-calls.ts';
import { packCalls } from './pack/pack-calls.ts';
import { pieceCalls } from './piece/piece-calls.ts';
import { practiceCalls } from './practice/practice-calls.ts';
import { PRACTICE_CALLS } from './practice/question-calls.ts';
import { reduceCalls } from './reduce/reduce-calls.ts';
import type { Reducer } from './reduce/reducer.ts';
import { setCalls } from './set/set-calls.ts';
import { SHEET_CALLS } from './sheet/sheet-calls.ts';
import { songCalls } from './song/song-calls.ts';
import { swapCalls } from './swap/swap-calls.ts';
import { THEORY_CALLS } from './theory/theory-calls.ts';
import { VOICING_CALLS } from './voicing/voicing-calls.ts';

/** Every call the API answers: what computes, then what a band keeps. */
export function apiCalls(pool: Pool, jobs: Jobs, reduce: Reducer): readonly Call[] {
  return [
    ...THEORY_CALLS,
    ...ANALYSIS_CALLS,
    ...reduceCalls(reduce),
    ...BRIDGE_CALLS,
    ...CHART_CALLS,
    ...CONVERT_CALLS,
    ...VOICING_CALLS,
    ...CAPO_CALLS,
    ...SHEET_CALLS,
    ...PRACTICE_CALLS,
    ...bandCalls(pool),
    ...songCalls(pool),
    ...swapCalls(pool),
    ...memberCalls(pool),
    ...practiceCalls(pool),
    ...setCalls(pool),
    ...pieceCalls(pool),
    ...packCalls(pool, jobs),
    ...importCalls(pool, jobs),
    ...exportCalls(pool, jobs),
    ...jobCalls(jobs),
  ];
}
